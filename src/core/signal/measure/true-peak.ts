import { gainToDb } from '../../units';
import type { Hops } from './hops';
import { hopOf, type TakeShape } from './shape';
import type { Stage } from './stage';

/** The interpolator of ITU-R BS.1770-5 Annex 2, four phases of twelve; phases 3 and 4 are 2 and 1 backwards. */
const FIRST = [
  0.001708984375, 0.010986328125, -0.0196533203125, 0.033203125, -0.0594482421875, 0.1373291015625,
  0.97216796875, -0.102294921875, 0.047607421875, -0.026611328125, 0.014892578125, -0.00830078125,
];
const SECOND = [
  -0.0291748046875, 0.029296875, -0.0517578125, 0.089111328125, -0.16650390625, 0.465087890625, 0.77978515625,
  -0.2003173828125, 0.1015625, -0.0582275390625, 0.0330810546875, -0.0189208984375,
];
const PHASES = [FIRST, SECOND, SECOND.toReversed(), FIRST.toReversed()].map((phase) =>
  Float64Array.from(phase),
);
const TAPS = 12;
/** Of a phase, the most that it makes of its two middle samples and of the others. */
const bound = (phase: Float64Array) =>
  [
    Math.abs(phase[5] ?? 0) + Math.abs(phase[6] ?? 0),
    phase.reduce((sum, tap, i) => (i === 5 || i === 6 ? sum : sum + Math.abs(tap)), 0),
  ] as const;
/** Phases that are one another backwards have one bound. */
const PAIRS = [[0, 3] as const, [1, 2] as const].map(([a, b]) => {
  const [one, other] = [PHASES[a] as Float64Array, PHASES[b] as Float64Array];
  const [middle, rest] = bound(one);
  return { one, other, middle, rest };
});
const MOST = Math.max(...PAIRS.map(({ middle, rest }) => middle + rest));

function larger(x: Float32Array, at: number, phase: Float64Array, most: number): number {
  let sum = 0;
  for (let tap = 0; tap < TAPS; tap += 1) sum += (phase[tap] as number) * (x[at - tap] as number);
  const size = Math.abs(sum);
  return size > most ? size : most;
}

/** A sample next to the middle that is smaller than this makes no more than `most`, where nothing around it passes `top`. */
const leastFor = ({ middle, rest }: (typeof PAIRS)[number], top: number, most: number): number =>
  (most - rest * top) / middle;

/**
 * The larger of `most` and what the interpolator makes of windows that end at samples from..to of `x`. The inner pair's middle weighs more and
 * its rest, too, so a sample that is no matter to it is none to the outer; the larger of two neighbours is carried on and compared with one number.
 */
function peakOf(x: Float32Array, from: number, to: number, top: number, most: number): number {
  const [outer, inner] = PAIRS as [(typeof PAIRS)[0], (typeof PAIRS)[0]];
  let largest = most;
  let least = leastFor(inner, top, largest);
  let before = Math.abs(x[from - 6] as number);
  for (let i = from; i < to; i += 1) {
    const size = Math.abs(x[i - 5] as number);
    const centre = size > before ? size : before;
    before = size;
    if (centre <= least) continue;
    largest = larger(x, i, inner.other, larger(x, i, inner.one, largest));
    if (centre > leastFor(outer, top, largest)) {
      largest = larger(x, i, outer.other, larger(x, i, outer.one, largest));
    }
    least = leastFor(inner, top, largest);
  }
  return largest;
}

/** True peak of each channel in dBTP: four times oversampled as ITU-R BS.1770-5 Annex 2 has it. */
export function truePeak({ sampleRate, channels }: TakeShape): Stage<readonly number[]> {
  const hop = hopOf(sampleRate);
  const peaks = new Float64Array(channels);
  const kept = Array.from({ length: channels }, () => ({ samples: new Float32Array(TAPS - 1), top: 0 }));
  const look = (samples: Float32Array, tops: Float32Array, channel: number): void => {
    const before = kept[channel] ?? { samples: new Float32Array(TAPS - 1), top: 0 };
    // The first windows begin in the piece before.
    const seam = new Float32Array(2 * (TAPS - 1));
    seam.set(before.samples);
    seam.set(samples.subarray(0, TAPS - 1), TAPS - 1);
    const start = Math.max(before.top, tops[0] ?? 0);
    const over = TAPS - 1 + Math.min(TAPS - 1, samples.length);
    let most = peakOf(seam, TAPS - 1, over, start, peaks[channel] as number);
    for (let h = 0, last = start; h < tops.length; h += 1) {
      const now = tops[h] as number;
      const top = now > last ? now : last;
      last = now;
      // Bounds pass over what cannot be more.
      if (MOST * top <= most) continue;
      most = peakOf(samples, Math.max(TAPS - 1, h * hop), Math.min(samples.length, (h + 1) * hop), top, most);
    }
    peaks[channel] = most;
    const tail = new Float32Array(TAPS - 1);
    tail.set(
      samples.subarray(Math.max(0, samples.length - tail.length)),
      Math.max(0, tail.length - samples.length),
    );
    kept[channel] = { samples: tail, top: Math.max(...tops.slice(-TAPS)) };
  };
  return {
    push: (piece, hops) => {
      piece.forEach((samples, channel) => look(samples, (hops[channel] as Hops).tops, channel));
    },
    finish: () => {
      const after = new Float32Array(TAPS);
      kept.forEach((_, channel) => look(after, new Float32Array(Math.ceil(TAPS / hop)), channel));
      return [...peaks].map(gainToDb);
    },
  };
}
