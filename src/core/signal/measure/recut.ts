import { hopOf, type Piece, type TakeShape } from './shape';

/** Hops to a piece as the measures want them: about a second. */
const PIECE_HOPS = 1024;

/** Recuts pieces of any length into whole hops; the last may be short. */
export function recut({ sampleRate, channels }: TakeShape, use: (piece: Piece) => void) {
  const size = hopOf(sampleRate) * PIECE_HOPS;
  // Lent to the measures, and written over: none of them keeps it.
  const waiting = Array.from({ length: channels }, () => new Float32Array(size));
  let filled = 0;
  return {
    push(piece: Piece) {
      const length = piece[0]?.length ?? 0;
      for (let from = 0; from < length;) {
        const to = Math.min(length, from + size - filled);
        waiting.forEach((kept, channel) =>
          kept.set((piece[channel] as Float32Array).subarray(from, to), filled),
        );
        filled += to - from;
        from = to;
        if (filled < size) continue;
        use(waiting);
        filled = 0;
      }
    },
    rest() {
      if (filled > 0) use(waiting.map((kept) => kept.subarray(0, filled)));
    },
  };
}
