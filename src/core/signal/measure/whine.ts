import { powerToDb, quantile } from './decibels';
import type { Hum } from './hum';

/** A steady tone in the pauses, above the mains family. */
export interface Whine {
  readonly hertz: number;
  readonly levelDbfs: number;
}

/** USB’s own whine stands at 1 kHz, where its frames come. */
const [LOWEST, HIGHEST_SHARE] = [900, 0.45];
/** How far a line stands out over its surroundings, dB, and the least that is told, dBFS. Our own. */
const [OVER, LEAST] = [18, -90];
const BESIDE = 24;

/** A buzz that is followed up to here goes on above, its lines no louder than the last one that was seen by so much, dB. Our own. */
const [BUZZ_REACHES, BUZZ_RISES] = [700, 3];

/** Whether a line is only where a buzz goes on. */
function isOfBuzz({ hertz, levelDbfs }: Whine, step: number, hum: Hum | null): boolean {
  const last = hum?.lines.at(-1);
  if (!hum || !last || last.hertz < BUZZ_REACHES || levelDbfs > last.levelDbfs + BUZZ_RISES) return false;
  const beside = Math.abs(hertz / hum.fundamentalHz - Math.round(hertz / hum.fundamentalHz));
  return beside * hum.fundamentalHz <= step;
}

/** The strongest of such lines in a spectrum of the pauses, `step` hertz a bin, that no buzz explains. */
export function whineOf(
  powers: Float32Array | undefined,
  step: number,
  hum: Hum | null = null,
): Whine | null {
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
    const line = { hertz: bin * step, levelDbfs };
    if (levelDbfs < LEAST || levelDbfs <= (best?.levelDbfs ?? -Infinity) || isOfBuzz(line, step, hum))
      continue;
    best = line;
  }
  return best;
}
