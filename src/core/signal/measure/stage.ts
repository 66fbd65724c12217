import type { Hops } from './hops';

/** One piece of a take: a run of samples for each channel, all of one length, full scale ±1. */
export type Piece = readonly Float32Array[];

/** What every measure is told before the first sample. */
export interface TakeShape {
  /** Hertz. */
  readonly sampleRate: number;
  readonly channels: number;
}

/** Samples to a millisecond, as near as whole samples come: what every measure steps by. */
// A whole number to the engine, too: indices that come of a rounded quotient are slow ones.
export const hopOf = (sampleRate: number): number => Math.max(1, Math.round(sampleRate / 1000)) | 0;

/** A measure that sees a take once, piece by piece, so that an hour fits in memory. */
export interface Stage<T> {
  /** `hops`: of each channel, what was read of every hop of the piece; the last hop may be short. */
  readonly push: (piece: Piece, hops: readonly Hops[]) => void;
  /** Asked once, after the last piece. */
  readonly finish: () => T;
}
