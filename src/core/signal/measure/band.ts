import { powerToDb } from './decibels';

/** Between which frequencies something sounds. Hertz. */
export interface Band {
  readonly lowHz: number;
  readonly highHz: number;
}

/** Bands to an octave; the lowest that is looked at, Hz. */
const [BANDS_AN_OCTAVE, LOWEST] = [6, 50];
/** A band sounds that is within so much of the strongest and so far over the pauses, dB. Our own. */
const [WITHIN, OVER] = [60, 6];

/** From the mean spectrum of what sounds and that of the pauses, `step` hertz a bin; none where nothing stands out. */
export function bandOf(active: Float32Array, quiet: Float32Array | undefined, step: number): Band | null {
  const bands: { low: number; high: number; power: number; floor: number }[] = [];
  for (let low = LOWEST; low < (active.length - 2) * step; low *= 2 ** (1 / BANDS_AN_OCTAVE)) {
    const high = Math.min(low * 2 ** (1 / BANDS_AN_OCTAVE), (active.length - 1) * step);
    const [from, to] = [Math.ceil(low / step), Math.ceil(high / step)];
    if (to <= from) continue;
    const sum = (x: Float32Array) => x.subarray(from, to).reduce((a, b) => a + b, 0) / (to - from);
    bands.push({ low, high, power: sum(active), floor: quiet ? sum(quiet) : 0 });
  }
  const top = Math.max(0, ...bands.map(({ power }) => power));
  const sounding = bands.filter(
    ({ power, floor }) =>
      powerToDb(power / top) >= -WITHIN && (floor === 0 || powerToDb(power / floor) >= OVER),
  );
  const [first] = sounding;
  const last = sounding[sounding.length - 1];
  return first && last ? { lowHz: first.low, highHz: last.high } : null;
}
