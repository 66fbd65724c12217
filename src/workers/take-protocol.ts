import type { Reading } from '../core/diagnosis';
import type { Rig } from '../core/rig';
import type { Measures } from '../core/signal/measure';
import type { WavHead } from '../core/signal/files';
import type { GuidedStep } from '../core/signal/render/stand-in';

/** A take that was read, or why not, in one line without the file’s name. */
export type TakeRead =
  | { readonly ok: true; readonly measures: Measures; readonly mended: WavHead['mended'] }
  | { readonly ok: false; readonly says: string };

/** A step of a guided take, and of which placed part. */
export type AskedStep = GuidedStep & { readonly part?: string };

/** What the page asks of the thread that listens. */
export interface TakeProtocol {
  /** Measures a file, telling the share that is done; WAV by itself, other files by the browser’s decoders. `keep` is given the sound, 16 bits, woven. */
  measureFile(
    file: Blob,
    tell: (share: number) => void,
    keep?: (samples: ArrayBuffer) => Promise<void>,
  ): Promise<TakeRead>;
  /** Compares what was measured with what a rig predicts at one of its recorders. */
  explain(rig: Rig, recorder: string, measures: Measures): Reading;
  /** A WAV file of a take with one of the faults of `FAULTY`. */
  faulty(name: string, seed: number): Blob;
  /** A WAV file of what a rig would deliver to a recorder: a stand-in; with steps that of a guided take. */
  simulate(rig: Rig, recorder: string, seed: number, steps?: readonly AskedStep[]): Blob;
}
