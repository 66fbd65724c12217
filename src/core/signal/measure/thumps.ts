import { powerToDb, quantile } from './decibels';
import { growing } from './growing';

/** Under this lies handling, wind and footfall, not a voice, Hz. */
const CORNER = 50;
const WINDOW_SECONDS = 0.05;
/** Loud (mean square at −38 dBFS), far over the take’s usual, and most of what sounds then. Our own. */
const [LOUD, OVER, SHARE] = [10 ** -3.8, 100, 0.4];

/** What lies below the voice: bursts of it, seconds, and how loud it stands there all the time, dBFS. */
export interface BelowVoice {
  readonly thumps: readonly number[];
  readonly rumbleDbfs: number;
}

/** Handling noise, wind and footfall. Fed with a channel brought down to `rate` hertz. */
export function thumpFinder(rate: number) {
  const w = (2 * Math.PI * CORNER) / rate;
  const alpha = Math.sin(w) / Math.SQRT2;
  const a0 = 1 + alpha;
  const b = (1 - Math.cos(w)) / 2 / a0;
  const [a1, a2] = [(-2 * Math.cos(w)) / a0, (1 - alpha) / a0];
  const size = Math.round(WINDOW_SECONDS * rate);
  const [low, whole] = [growing(), growing()];
  const state = { s1: 0, s2: 0, at: 0, lows: 0, all: 0, mean: Number.NaN };
  return {
    push(x: Float32Array) {
      let { s1, s2, at, lows, all, mean } = state;
      // An offset is there from the first sample on: it is no step.
      if (Number.isNaN(mean) && x.length > 0) mean = x.reduce((a, b) => a + b, 0) / x.length;
      for (let i = 0; i < x.length; i += 1) {
        const raw = x[i] as number;
        // What stands still is an offset, not a thump.
        mean += (raw - mean) * 0.0005;
        const v = raw - mean;
        const y = b * v + s1;
        s1 = 2 * b * v - a1 * y + s2;
        s2 = b * v - a2 * y;
        lows += y * y;
        all += v * v;
        at += 1;
        if (at < size) continue;
        low.add(lows / size);
        whole.add(all / size);
        at = 0;
        lows = 0;
        all = 0;
      }
      Object.assign(state, { s1, s2, at, lows, all, mean });
    },
    finish(): BelowVoice {
      const powers = low.all();
      const usual = quantile(powers.toSorted(), 0.5);
      const total = whole.all();
      const loud = [...powers.keys()].filter((i) => {
        const p = powers[i] as number;
        return p > LOUD && p > OVER * usual && p > SHARE * (total[i] as number);
      });
      return {
        thumps: loud
          .filter((i, n) => n === 0 || i - (loud[n - 1] as number) > 4)
          .map((i) => i * WINDOW_SECONDS),
        rumbleDbfs: powerToDb(usual),
      };
    },
  };
}
