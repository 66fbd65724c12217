import type { Hops } from './hops';
import type { Piece } from './shape';

/** A measure that sees a take once, piece by piece, so that an hour fits in memory. */
export interface Stage<T> {
  /** `hops`: of each channel, what was read of every hop of the piece; the last hop may be short. */
  readonly push: (piece: Piece, hops: readonly Hops[]) => void;
  /** Asked once, after the last piece. */
  readonly finish: () => T;
}
