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
