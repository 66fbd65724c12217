import type { Finding } from '../core/checks';
import type { Drawer, Fixes, Option, ProvedAdds } from '../core/search/fixes';
import type { LevelsAtRest, LevelWay } from '../core/search/levels';
import type { WayOut } from '../core/search/way-out';
import type { Part } from '../core/parts';
import type { Analysis } from '../core/judge';
import type { ReadProblem } from '../core/files';
import type { Rig, RigEdit } from '../core/rig';
import type { AirMove, ReturnsPlan } from '../core/search/returns';
import type { HumView, PowerView, ReturnsView } from '../core/views';
import type { PowerAnswer } from '../core/words/say-power';
import type { ReadResult } from '../core/files/read-rig';

/** How a rig is fed and earthed, and what is said of it. */
export interface PowerAnswers {
  readonly view: PowerView;
  readonly answers: readonly PowerAnswer[];
}

/** Who hears whom; a plan where somebody is at a far end. */
export interface ReturnsAnswers {
  readonly view: ReturnsView;
  readonly plan?: ReturnsPlan;
  /** What is missing where no setting does it. */
  readonly missing: readonly string[];
  /** What gives a loop through the air more room. */
  readonly moves: readonly AirMove[];
}

/** What the page asks of the engine's thread; documents and answers are plain data. */
export interface EngineProtocol {
  analyse(rig: Rig): Analysis;
  /** Why a stored document is no rig; null for one that is. */
  problemOf(document: unknown): ReadProblem | null;
  /** Which of the user's own parts are sound, by their place in the list. */
  soundParts(parts: readonly Part[]): boolean[];
  /** Proved fixes of a finding, best first. */
  fixes(rig: Rig, finding: Finding, drawer: Drawer): Fixes;
  /** The lightest steps after which the whole rig is clean. */
  /** `found`: fixes that are proved already; the lightest that makes it clean is the answer where the search is cut. */
  wayOut(rig: Rig, drawer: Drawer, found: readonly Fixes[]): WayOut;
  /** What may stand in the place of a part, and where else its leads may go. */
  options(rig: Rig, placed: string): Option[];
  /** Each edit with what the rig would then do. */
  outcomes(rig: Rig, edits: readonly RigEdit[]): Option[];
  /** Levels along every way, for while a knob is turned. */
  levelWays(rig: Rig): readonly LevelWay[];
  /** Plans and responses, for when it is at rest. */
  levelsAtRest(rig: Rig): LevelsAtRest;
  /** What is proved to do what the usual plan asks for where no setting can. */
  provedAdds(rig: Rig, drawer: Drawer): ProvedAdds;
  /** Supply, session and earths. */
  powerAnswers(rig: Rig): PowerAnswers;
  /** Hum at each recorder after each of several edits. */
  humsAfter(rig: Rig, edits: readonly RigEdit[]): HumView[][];
  /** Who hears whom, and the sends of a mix-minus. */
  returns(rig: Rig): ReturnsAnswers;
  read(text: string): ReadResult;
}
