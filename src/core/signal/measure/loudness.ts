import { growing } from './growing';
import type { Hops } from './hops';
import { hopOf, type TakeShape } from './shape';
import type { Stage } from './stage';

/** LUFS and LU; −Infinity where nothing passes the gate. */
export interface Loudness {
  readonly integratedLufs: number;
  readonly loudnessRangeLu: number;
  readonly momentaryMaxLufs: number;
  readonly shortTermMaxLufs: number;
  /** Short-term loudness every 100 ms, for drawing. */
  readonly shortTerm: Float32Array;
}

/** Energies are kept every ten hops, 10 ms (9.98 at 44.1 kHz, where a hop is 44 samples): windows slide by that, finer than the 100 ms that EBU Tech 3341 asks at the least. */
const STEP = 10;
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
  const [first, hop] = [growing(), hopOf(sampleRate)];
  const each = Array.from({ length: channels }, () => ({ steps: growing(), sum: 0, hops: 0 }));
  return {
    push(piece, hops) {
      const whole = Math.floor((piece[0]?.length ?? 0) / hop);
      each.forEach((one, channel) => {
        const { weighted } = hops[channel] as Hops;
        for (let h = 0; h < whole; h += 1) {
          one.sum += weighted[h] as number;
          one.hops += 1;
          if (one.hops < STEP) continue;
          one.steps.add(one.sum / (STEP * hop));
          one.sum = 0;
          one.hops = 0;
        }
      });
    },
    finish() {
      const powers = each
        .map(({ steps }) => steps.all())
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
