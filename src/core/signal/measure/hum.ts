import { powerToDb, quantile } from './decibels';

/** Mains in the pauses. */
export interface Hum {
  readonly fundamentalHz: 50 | 60;
  /** All of the family together. */
  readonly levelDbfs: number;
  /** `hum`: most of it within the first three harmonics; `buzz`: above them. */
  readonly kind: 'hum' | 'buzz';
  /** The lines that stand out. */
  readonly lines: readonly { readonly hertz: number; readonly levelDbfs: number }[];
}

/** A line stands out so far over what lies beside it, dB; so many make a family, one of them the first or second. Our own. */
const [OVER, FAMILY] = [9, 2];
/** A single line must stand out further, and one in few frames, whose noise is uneven, by so much more. */
const [OVER_ALONE, MORE_IN_FEW] = [18, 6];
const HIGHEST = 1000;
/** Nothing under this is called hum, dBFS. Our own. */
const LEAST = -96;

interface Line {
  readonly hertz: number;
  readonly harmonic: number;
  readonly power: number;
  readonly over: number;
}

/** The lines of one family in a spectrum of the pauses, `step` hertz a bin. */
function linesOf(powers: Float32Array, step: number, fundamental: number): Line[] {
  const lines: Line[] = [];
  for (let harmonic = 1; harmonic * fundamental <= HIGHEST; harmonic += 1) {
    const hertz = harmonic * fundamental;
    const middle = hertz / step;
    // Mains wander by half a hertz in a hundred; Hann spreads a line over two bins to either side.
    const reach = 2 + (0.005 * hertz) / step;
    const [from, to] = [Math.round(middle - reach), Math.round(middle + reach)];
    if (to + 2 >= powers.length) break;
    const apart = Math.round(fundamental / 2 / step);
    const beside = [
      ...powers.subarray(Math.max(1, from - apart), from),
      ...powers.subarray(to + 1, to + 1 + apart),
    ];
    const around = quantile(
      beside.sort((a, b) => a - b),
      0.5,
    );
    const inside = powers.subarray(from, to + 1);
    const top = inside.reduce((a, b) => Math.max(a, b), 0);
    const power = Math.max(0, inside.reduce((a, b) => a + b, 0) - around * inside.length);
    lines.push({ hertz, harmonic, power, over: powerToDb(top / Math.max(around, 1e-20)) });
  }
  return lines;
}

/**
 * Mains hum in a spectrum of the pauses, `areFew` where it comes of few frames. The family whose lines stand out most; the other’s common multiples (300 Hz, 600 Hz) prove nothing.
 */
export function humOf(powers: Float32Array | undefined, step: number, areFew = false): Hum | null {
  if (!powers) return null;
  const more = areFew ? MORE_IN_FEW : 0;
  const families = ([50, 60] as const).map((fundamental) => {
    const lines = linesOf(powers, step, fundamental);
    const out = lines.filter(({ over }) => over >= OVER + more);
    const own = out.filter(({ hertz }) => hertz % 300 !== 0);
    const low = own.filter(({ harmonic }) => harmonic <= 2);
    const is = low.length > 0 && (own.length >= FAMILY || low.some(({ over }) => over >= OVER_ALONE + more));
    const power = own.reduce((sum, line) => sum + line.power, 0);
    return { fundamental, is, lines: out, power };
  });
  const [best] = families.filter(({ is }) => is).sort((a, b) => b.power - a.power);
  if (!best) return null;
  // Once the family is known, the common multiples are its own as well.
  const whole = best.lines.reduce((sum, line) => sum + line.power, 0);
  const levelDbfs = powerToDb(whole);
  if (levelDbfs < LEAST) return null;
  const low = best.lines.filter(({ harmonic }) => harmonic <= 3).reduce((sum, line) => sum + line.power, 0);
  return {
    fundamentalHz: best.fundamental,
    levelDbfs,
    kind: low >= whole / 2 ? 'hum' : 'buzz',
    lines: best.lines.map(({ hertz, power }) => ({ hertz, levelDbfs: powerToDb(power) })),
  };
}
