import { growing } from './growing';
import { kWeighting, type Biquad } from './k-weighting';
import type { Stage, TakeShape } from './stage';

/** LUFS and LU; −Infinity where nothing passes the gate. */
export interface Loudness {
  readonly integratedLufs: number;
  readonly loudnessRangeLu: number;
  readonly momentaryMaxLufs: number;
  readonly shortTermMaxLufs: number;
  /** Short-term loudness every 100 ms, for drawing. */
  readonly shortTerm: Float32Array;
}

/** Energies are kept every 10 ms: windows slide by that, finer than the 100 ms that EBU Tech 3341 asks at the least. */
const STEPS_A_SECOND = 100;
/** Windows in steps: momentary 400 ms, short-term 3 s (EBU Tech 3341); blocks of the gate 400 ms, 100 ms apart (BS.1770-5). */
const [MOMENTARY, SHORT_TERM, BLOCK_APART] = [40, 300, 10];
/** BS.1770-5: loudness of a mean square, absolute gate and relative gate; EBU Tech 3342: relative gate and percentiles of the range. */
const OFFSET = -0.691;
const ABSOLUTE_GATE = -70;
const RELATIVE_GATE = -10;
const RANGE_GATE = -20;
const RANGE_FROM = 0.1;
const RANGE_TO = 0.95;

const toLufs = (power: number): number => (power > 0 ? OFFSET + 10 * Math.log10(power) : -Infinity);
const toPower = (lufs: number): number => 10 ** ((lufs - OFFSET) / 10);

/** Two sections in a row, transposed direct form: filters `x` from..to, gives the energy that comes out; `state` goes on. */
function filtered(
  x: Float32Array,
  [from, to]: readonly [number, number],
  [shelf, pass]: readonly [Biquad, Biquad],
  state: Float64Array,
): number {
  const [b0, b1, b2] = shelf.b;
  const [a1, a2] = shelf.a;
  const [c1, c2] = pass.a;
  let s1 = state[0] as number;
  let s2 = state[1] as number;
  let t1 = state[2] as number;
  let t2 = state[3] as number;
  let sum = 0;
  for (let i = from; i < to; i += 1) {
    const v = x[i] as number;
    const y = b0 * v + s1;
    s1 = b1 * v - a1 * y + s2;
    s2 = b2 * v - a2 * y;
    const z = y + t1;
    t1 = t2 - 2 * y - c1 * z;
    t2 = y - c2 * z;
    sum += z * z;
  }
  state[0] = s1;
  state[1] = s2;
  state[2] = t1;
  state[3] = t2;
  return sum;
}

/** Weighs a channel: gives the energy of each 10 ms to `step`. */
function weighted(sampleRate: number, step: (energy: number) => void) {
  const filters = kWeighting(sampleRate);
  const state = new Float64Array(4);
  let [sum, at, index] = [0, 0, 0];
  const lengthOf = (of: number) =>
    Math.round(((of + 1) * sampleRate) / STEPS_A_SECOND) - Math.round((of * sampleRate) / STEPS_A_SECOND);
  return (samples: Float32Array): void => {
    for (let i = 0; i < samples.length;) {
      const stop = Math.min(samples.length, i + lengthOf(index) - at);
      sum += filtered(samples, [i, stop], filters, state);
      at += stop - i;
      i = stop;
      if (at < lengthOf(index)) continue;
      step(sum);
      index += 1;
      sum = 0;
      at = 0;
    }
  };
}

/** Mean power of every window of so many steps, `apart` steps from one to the next. */
function* windows(powers: Float32Array, length: number, apart: number): Generator<number> {
  let sum = 0;
  for (let i = 0; i < powers.length; i += 1) {
    sum += powers[i] as number;
    if (i >= length) sum -= powers[i - length] as number;
    if (i >= length - 1 && (i - length + 1) % apart === 0) yield Math.max(0, sum) / length;
  }
}

const meanOf = (powers: readonly number[]): number => powers.reduce((a, b) => a + b, 0) / powers.length;

/** Integrated loudness by the two gates of BS.1770-5. */
function integrated(powers: Float32Array): number {
  const loud = [...windows(powers, MOMENTARY, BLOCK_APART)].filter((p) => p > toPower(ABSOLUTE_GATE));
  if (loud.length === 0) return -Infinity;
  const gate = meanOf(loud) * 10 ** (RELATIVE_GATE / 10);
  return toLufs(meanOf(loud.filter((p) => p > gate)));
}

/** Loudness range, EBU Tech 3342: 10th to 95th percentile of short-term loudness over both gates. */
function range(powers: Float32Array): number {
  const loud = [...windows(powers, SHORT_TERM, BLOCK_APART)].filter((p) => p >= toPower(ABSOLUTE_GATE));
  if (loud.length === 0) return 0;
  const gate = meanOf(loud) * 10 ** (RANGE_GATE / 10);
  const kept = loud.filter((p) => p >= gate).sort((a, b) => a - b);
  const at = (share: number) => kept[Math.round((kept.length - 1) * share)] ?? 0;
  return toLufs(at(RANGE_TO)) - toLufs(at(RANGE_FROM));
}

const largest = (values: Iterable<number>): number => {
  let most = 0;
  for (const value of values) most = Math.max(most, value);
  return most;
};

/**
 * Loudness of a take by ITU-R BS.1770-5 and EBU Tech 3341/3342, every channel weighted alike (left, right, centre). A take shorter than a
 * window has none of its kind: −Infinity.
 */
export function loudness({ sampleRate, channels }: TakeShape): Stage<Loudness> {
  const first = growing();
  const length = sampleRate / STEPS_A_SECOND;
  const each = Array.from({ length: channels }, growing);
  const filters = each.map((steps) => weighted(sampleRate, (energy) => steps.add(energy / length)));
  return {
    push(piece) {
      piece.forEach((samples, channel) => filters[channel]?.(samples));
    },
    finish() {
      const powers = each
        .map((steps) => steps.all())
        .reduce((sum, more) => sum.map((p, i) => p + (more[i] as number)));
      for (const power of windows(powers, SHORT_TERM, BLOCK_APART)) first.add(toLufs(power));
      return {
        integratedLufs: integrated(powers),
        loudnessRangeLu: range(powers),
        momentaryMaxLufs: toLufs(largest(windows(powers, MOMENTARY, 1))),
        shortTermMaxLufs: toLufs(largest(windows(powers, SHORT_TERM, 1))),
        shortTerm: first.all(),
      };
    },
  };
}
