import { powerToDb, quantile } from './decibels';
import type { Envelope } from './levels';

/** What speaks and what is left when nobody does, of one channel. dBFS. */
export interface Pauses {
  /** Mean of what is spoken or played. */
  readonly activeDbfs: number;
  /** RMS of the quietest twentieth; −Infinity where that is nothing at all; undefined where no pause stands out. */
  readonly floorDbfs: number | undefined;
  /** Share of the take that is exactly nothing. */
  readonly emptyShare: number;
}

/** Milliseconds of a window: short enough for a pause between words, long enough for five periods of 50 Hz. */
const WINDOW = 100;
/** Share of the windows that counts as pause; how far under the loud ones a pause must lie, dB. Our own. */
const [QUIET_SHARE, STANDS_OUT] = [0.05, 6];
/** What lies so far under the loudest twentieth is no longer speech, dB. Our own. */
const ACTIVE_WITHIN = 20;
/** Under this a window holds nothing but the rounding of single precision. */
const ROUNDING = 1e-13;

const averaged = (values: Float32Array): Float32Array => {
  const out = new Float32Array(Math.floor(values.length / WINDOW));
  for (let w = 0; w < out.length; w += 1) {
    let sum = 0;
    for (let i = w * WINDOW; i < (w + 1) * WINDOW; i += 1) sum += values[i] as number;
    out[w] = sum / WINDOW;
  }
  return out;
};

/** Mean products of two runs in windows of `WINDOW` milliseconds, from those of each millisecond, without what stands still in both. */
export function windowed(products: Float32Array, one: Float32Array, other: Float32Array): Float32Array {
  const [means, others] = [averaged(one), averaged(other)];
  return averaged(products).map((p, w) => p - (means[w] as number) * (others[w] as number));
}

/** Mean squares of windows of a channel. */
export const windowPowers = (
  { channels, means }: Pick<Envelope, 'channels' | 'means'>,
  channel: number,
): Float32Array => {
  const [powers, still] = [channels[channel] ?? new Float32Array(), means[channel] ?? new Float32Array()];
  return windowed(powers, still, still).map((p) => (p > ROUNDING ? p : 0));
};

const mean = (values: Float32Array): number => values.reduce((a, b) => a + b, 0) / Math.max(1, values.length);

/** Reads a channel’s windows. Exact silence counts as a pause only where there is nothing else. */
export function pausesOf(unsorted: Float32Array): Pauses {
  const windows = unsorted.toSorted();
  const sounding = windows.filter((p) => p > 0);
  const emptyShare = windows.length === 0 ? 1 : 1 - sounding.length / windows.length;
  if (sounding.length === 0) return { activeDbfs: -Infinity, floorDbfs: -Infinity, emptyShare };
  const loud = quantile(sounding, 0.95);
  const active = mean(sounding.filter((p) => p >= loud * 10 ** (-ACTIVE_WITHIN / 10)));
  const quiet = mean(sounding.subarray(0, Math.max(1, Math.floor(sounding.length * QUIET_SHARE))));
  const [activeDbfs, floor] = [powerToDb(active), powerToDb(quiet)];
  if (emptyShare > QUIET_SHARE) return { activeDbfs, floorDbfs: -Infinity, emptyShare };
  return { activeDbfs, floorDbfs: activeDbfs - floor >= STANDS_OUT ? floor : undefined, emptyShare };
}
