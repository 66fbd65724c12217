import type { Finding } from '../core/checks';
import type { Drawer, Fix, Option } from '../core/fixes';
import type { Analysis } from '../core/pipeline';
import type { Rig, RigEdit } from '../core/rig';
import type { ReadResult } from '../core/rig/read';

/** What the page asks of the engine's thread; documents and answers are plain data. */
export interface EngineProtocol {
  analyse(rig: Rig): Analysis;
  /** Proved fixes of a finding, best first. */
  fixes(rig: Rig, finding: Finding, drawer: Drawer): Fix[];
  /** What may stand in the place of a part, and where else its leads may go. */
  options(rig: Rig, placed: string): Option[];
  /** Each edit with what the rig would then do. */
  outcomes(rig: Rig, edits: readonly RigEdit[]): Option[];
  read(text: string): ReadResult;
}
