import { powerToDb, quantile } from './decibels';

/** A steady tone in the pauses, above the mains family. */
export interface Whine {
  readonly hertz: number;
  readonly levelDbfs: number;
}

const [LOWEST, HIGHEST_SHARE] = [1000, 0.45];
/** How far a line stands out over its surroundings, dB, and the least that is told, dBFS. Our own. */
const [OVER, LEAST] = [18, -90];
const BESIDE = 24;

/** The strongest of such lines in a spectrum of the pauses, `step` hertz a bin. */
export function whineOf(powers: Float32Array | undefined, step: number): Whine | null {
  if (!powers) return null;
  const last = Math.floor(powers.length * 2 * HIGHEST_SHARE);
  let best: Whine | null = null;
  for (let bin = Math.ceil(LOWEST / step); bin < last; bin += 1) {
    const top = powers[bin] as number;
    if (top < (powers[bin - 1] as number) || top < (powers[bin + 1] as number)) continue;
    const near = [...powers.subarray(bin - BESIDE, bin - 3), ...powers.subarray(bin + 4, bin + 4 + BESIDE)];
    const around = quantile(
      near.sort((a, b) => a - b),
      0.5,
    );
    if (powerToDb(top / Math.max(around, 1e-20)) < OVER) continue;
    const levelDbfs = powerToDb(powers.subarray(bin - 2, bin + 3).reduce((a, b) => a + b, 0));
    if (levelDbfs >= LEAST && levelDbfs > (best?.levelDbfs ?? -Infinity))
      best = { hertz: bin * step, levelDbfs };
  }
  return best;
}
