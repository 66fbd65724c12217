import { proxy } from 'comlink';
import type { Reading } from '../core/diagnosis';
import type { Rig } from '../core/rig';
import type { Measures } from '../core/signal/measure';
import { Thread } from './thread';
import type { AskedStep, TakeProtocol, TakeRead } from './take-protocol';

/** An hour of sound on a slow phone, ms. */
const PATIENCE = 1_800_000;

const start = () => new Worker(new URL('./take.worker.ts', import.meta.url), { type: 'module' });
const listener = new Thread<TakeProtocol>(start, PATIENCE);

export interface Listening {
  readonly answer: Promise<TakeRead>;
  /** Ends the thread: nothing goes on behind. The answer is then never given. */
  readonly cancel: () => void;
}

export const measureFile = (
  file: Blob,
  tell: (share: number) => void,
  keep?: (samples: ArrayBuffer) => Promise<void>,
): Listening => ({
  answer: listener.calls.measureFile(file, proxy(tell), keep && proxy(keep)),
  cancel: () => listener.stop(),
});

export const explainTake = (rig: Rig, recorder: string, measures: Measures): Promise<Reading> =>
  listener.calls.explain(rig, recorder, measures);

export const simulateTake = (
  rig: Rig,
  recorder: string,
  seed: number,
  steps?: readonly AskedStep[],
): Promise<Blob> => listener.calls.simulate(rig, recorder, seed, steps);

export const faultyStandIn = (name: string, seed: number): Promise<Blob> => listener.calls.faulty(name, seed);
