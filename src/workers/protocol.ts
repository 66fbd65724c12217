import type { Finding } from '../core/checks';
import type { Drawer, Fix, Option } from '../core/fixes';
import type { Analysis } from '../core/pipeline';
import type { ReadResult, Rig } from '../core/rig';

/** What the page asks of the engine's thread; documents and answers are plain data. */
export interface EngineProtocol {
  analyse(rig: Rig): Analysis;
  /** Proved fixes of each finding, in the findings' order. */
  fixes(rig: Rig, findings: readonly Finding[], drawer: Drawer): Fix[][];
  /** What may stand in the place of a part, and where else its leads may go. */
  options(rig: Rig, placed: string): Option[];
  read(text: string): ReadResult;
}
