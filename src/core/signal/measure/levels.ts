import { growing } from './growing';
import { gainToDb } from '../../units';
import { powerToDb } from './decibels';
import type { Hops } from './hops';
import { hopOf, type TakeShape } from './shape';
import type { Stage } from './stage';

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
function productOf(l: Float32Array, r: Float32Array, from: number, to: number): number {
  let sum = 0;
  for (let i = from; i < to; i += 1) sum += (l[i] as number) * (r[i] as number);
  return sum;
}

/** A channel as it grows. */
function channelLevel(hop: number) {
  const [powers, means, outline] = [growing(), growing(), growing()];
  let [sum, squares, peak, low, high, whole] = [0, 0, 0, 0, 0, 0];
  return {
    powers,
    means,
    outline,
    /** `samples`: how many the piece has. */
    push(hops: Hops, samples: number): void {
      for (let h = 0; h < hops.count; h += 1) {
        const top = hops.tops[h] as number;
        const total = hops.sums[h] as number;
        const square = hops.squares[h] as number;
        if (top > peak) peak = top;
        sum += total;
        squares += square;
        low = Math.min(low, hops.lows[h] as number);
        high = Math.max(high, hops.highs[h] as number);
        if ((h + 1) * hop > samples) continue;
        powers.add(square / hop);
        means.add(total / hop);
        whole += 1;
        if (whole % OUTLINE_MS !== 0) continue;
        outline.add(low);
        outline.add(high);
        low = 0;
        high = 0;
      }
    },
    level: (samples: number): ChannelLevel => ({
      samplePeakDbfs: gainToDb(peak),
      rmsDbfs: powerToDb(squares / Math.max(1, samples)),
      dcOffset: sum / Math.max(1, samples),
    }),
  };
}

/** Sample peak, RMS, mean and the envelope. Pieces are whole hops but for the last. */
export function levels({ sampleRate, channels }: TakeShape): Stage<Levels> {
  const hop = hopOf(sampleRate);
  const each = Array.from({ length: channels }, () => channelLevel(hop));
  const products = growing();
  let samples = 0;
  return {
    push(piece, hops) {
      const [l, r] = piece;
      samples += l?.length ?? 0;
      if (l && r) {
        for (let from = 0; from + hop <= l.length; from += hop)
          products.add(productOf(l, r, from, from + hop) / hop);
      }
      each.forEach((one, channel) => one.push(hops[channel] as Hops, l?.length ?? 0));
    },
    finish() {
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
