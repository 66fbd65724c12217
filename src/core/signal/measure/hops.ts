import { kWeighting } from './k-weighting';
import { hopOf, type Piece, type TakeShape } from './shape';

/**
 * What one pass over a channel's samples reads of every hop of a piece; the last hop may be short. One pass, because the passes are
 * what a take costs: a sample is fetched once for all that is asked of it.
 */
export interface Hops {
  readonly count: number;
  readonly sums: Float64Array;
  readonly squares: Float64Array;
  /** Least and largest sample, 0 at the nearest, and the larger size of the two. */
  readonly lows: Float32Array;
  readonly highs: Float32Array;
  readonly tops: Float32Array;
  /** Squares of the second difference: the largest, and their sum. How sharply it bends, and how much hiss there is. */
  readonly bends: Float32Array;
  readonly roughs: Float64Array;
  /** Energy after the K-weighting of ITU-R BS.1770-5. */
  readonly weighted: Float64Array;
}

const hopsFor = (count: number): Hops => ({
  count,
  sums: new Float64Array(count),
  squares: new Float64Array(count),
  lows: new Float32Array(count),
  highs: new Float32Array(count),
  tops: new Float32Array(count),
  bends: new Float32Array(count),
  roughs: new Float64Array(count),
  weighted: new Float64Array(count),
});

/** b0, b1, b2, a1, a2 of the shelf; a1, a2 of the high-pass, whose b are 1, −2, 1. */
function weightsAt(sampleRate: number): Float64Array {
  const [shelf, pass] = kWeighting(sampleRate);
  return Float64Array.of(...shelf.b, ...shelf.a, ...pass.a);
}

/** Two filters in a row in transposed direct form, and the two samples before: what goes on from one hop to the next. */
const STATE = 6;

/** Reads one hop after the other. One long loop over plain numbers: what is taken apart or looked up in it costs more than the sums. */
function readHops(x: Float32Array, hop: number, w: Float64Array, state: Float64Array, out: Hops): void {
  const [b0, b1, b2] = [w[0] as number, w[1] as number, w[2] as number];
  const [a1, a2, c1, c2] = [w[3] as number, w[4] as number, w[5] as number, w[6] as number];
  let s1 = state[0] as number;
  let s2 = state[1] as number;
  let t1 = state[2] as number;
  let t2 = state[3] as number;
  let before = state[4] as number;
  let last = state[5] as number;
  for (let h = 0, i = 0; h < out.count; h += 1) {
    let sum = 0;
    let squares = 0;
    let low = 0;
    let high = 0;
    let bend = 0;
    let rough = 0;
    let energy = 0;
    for (const end = Math.min(x.length, i + hop); i < end; i += 1) {
      const v = x[i] as number;
      sum += v;
      squares += v * v;
      if (v > high) high = v;
      else if (v < low) low = v;
      const turn = v - 2 * last + before;
      const size = turn * turn;
      rough += size;
      if (size > bend) bend = size;
      before = last;
      last = v;
      const y = b0 * v + s1;
      s1 = b1 * v - a1 * y + s2;
      s2 = b2 * v - a2 * y;
      const z = y + t1;
      t1 = t2 - 2 * y - c1 * z;
      t2 = y - c2 * z;
      energy += z * z;
    }
    out.sums[h] = sum;
    out.squares[h] = squares;
    out.lows[h] = low;
    out.highs[h] = high;
    out.tops[h] = high > -low ? high : -low;
    out.bends[h] = bend;
    out.roughs[h] = rough;
    out.weighted[h] = energy;
  }
  state[0] = s1;
  state[1] = s2;
  state[2] = t1;
  state[3] = t2;
  state[4] = before;
  state[5] = last;
}

/** Reads a channel piece by piece; every piece but the last is whole hops. What it gives is lent until the next piece. */
function hopReader(sampleRate: number): (samples: Float32Array) => Hops {
  const hop = hopOf(sampleRate);
  const weights = weightsAt(sampleRate);
  const state = new Float64Array(STATE);
  let out = hopsFor(0);
  return (samples) => {
    const count = Math.ceil(samples.length / hop);
    if (out.count !== count) out = hopsFor(count);
    readHops(samples, hop, weights, state, out);
    return out;
  };
}

/** The same of all channels. */
export function hopsReader({ sampleRate, channels }: TakeShape) {
  const readers = Array.from({ length: channels }, () => hopReader(sampleRate));
  return (piece: Piece): Hops[] => readers.map((read, channel) => read(piece[channel] ?? new Float32Array()));
}
