import { growing } from './growing';
import { gainToDb } from '../../units';
import { powerToDb } from './decibels';
import { hopOf, type Piece, type TakeShape } from './stage';

/** A channel over all of the take. RMS in dBFS re a full-scale square wave: a full-scale sine reads −3.01. */
export interface ChannelLevel {
  readonly samplePeakDbfs: number;
  readonly rmsDbfs: number;
  /** Mean, as a share of full scale. */
  readonly dcOffset: number;
}

/** Mean squares every millisecond: of each channel, and of the product of the first two. What pauses, image and gaps are read from. */
export interface Envelope {
  /** Samples to one value. */
  readonly hop: number;
  readonly channels: readonly Float32Array[];
  /** Mean sample of each: what stands still within a tenth of a second is no sound. */
  readonly means: readonly Float32Array[];
  /** Mean of left times right. */
  readonly cross?: Float32Array;
  /** Largest and least sample of every fiftieth of a second, all channels, for drawing. */
  readonly outline: { readonly hop: number; readonly channels: readonly Float32Array[] };
}

export interface Levels {
  readonly samples: number;
  readonly channels: readonly ChannelLevel[];
  readonly envelope: Envelope;
}

const OUTLINE_MS = 20;
/** Of a hop: sum, sum of squares, least and largest sample. */
const [SUM, SQUARES, LOW, HIGH] = [0, 1, 2, 3];

/** Reads a hop into `out`. */
function readHop(x: Float32Array, from: number, to: number, out: Float64Array): void {
  let sum = 0;
  let squares = 0;
  let low = 0;
  let high = 0;
  for (let i = from; i < to; i += 1) {
    const v = x[i] as number;
    sum += v;
    squares += v * v;
    if (v > high) high = v;
    else if (v < low) low = v;
  }
  out[SUM] = sum;
  out[SQUARES] = squares;
  out[LOW] = low;
  out[HIGH] = high;
}

function productOf(l: Float32Array, r: Float32Array, from: number, to: number): number {
  let sum = 0;
  for (let i = from; i < to; i += 1) sum += (l[i] as number) * (r[i] as number);
  return sum;
}

/** A channel as it grows. */
function channelLevel(hop: number) {
  const [powers, means, outline] = [growing(), growing(), growing()];
  const out = new Float64Array(4);
  let [sum, squares, peak, low, high, hops] = [0, 0, 0, 0, 0, 0];
  return {
    powers,
    means,
    outline,
    /** Gives back the tops of the hops. */
    push(x: Float32Array): Float32Array {
      const tops = new Float32Array(Math.ceil(x.length / hop));
      for (let h = 0; h < tops.length; h += 1) {
        const [from, to] = [h * hop, Math.min(x.length, (h + 1) * hop)];
        readHop(x, from, to, out);
        const [lowest, highest] = [out[LOW] as number, out[HIGH] as number];
        tops[h] = Math.max(highest, -lowest);
        sum += out[SUM] as number;
        squares += out[SQUARES] as number;
        [low, high] = [Math.min(low, lowest), Math.max(high, highest)];
        if (to - from < hop) continue;
        powers.add((out[SQUARES] as number) / hop);
        means.add((out[SUM] as number) / hop);
        hops += 1;
        if (hops % OUTLINE_MS !== 0) continue;
        outline.add(low);
        outline.add(high);
        [low, high] = [0, 0];
      }
      peak = tops.reduce((a, b) => (b > a ? b : a), peak);
      return tops;
    },
    level: (samples: number): ChannelLevel => ({
      samplePeakDbfs: gainToDb(peak),
      rmsDbfs: powerToDb(squares / Math.max(1, samples)),
      dcOffset: sum / Math.max(1, samples),
    }),
  };
}

/** Sample peak, RMS, mean and the envelope. Pieces are whole hops but for the last. */
export function levels({ sampleRate, channels }: TakeShape) {
  const hop = hopOf(sampleRate);
  const each = Array.from({ length: channels }, () => channelLevel(hop));
  const products = growing();
  let samples = 0;
  return {
    /** Gives back what other measures want to know first: the tops of every hop. */
    push(piece: Piece): Float32Array[] {
      const [l, r] = piece;
      samples += l?.length ?? 0;
      if (l && r) {
        for (let from = 0; from + hop <= l.length; from += hop)
          products.add(productOf(l, r, from, from + hop) / hop);
      }
      return each.map((one, channel) => one.push(piece[channel] as Float32Array));
    },
    finish(): Levels {
      return {
        samples,
        channels: each.map((one) => one.level(samples)),
        envelope: {
          hop,
          channels: each.map(({ powers }) => powers.all()),
          means: each.map(({ means }) => means.all()),
          ...(channels > 1 && { cross: products.all() }),
          outline: { hop: hop * OUTLINE_MS, channels: each.map(({ outline }) => outline.all()) },
        },
      };
    },
  };
}
