import { hertz, type Hertz } from '../../units';

/** Band limits of everything that is called noise here. */
export const LOWEST: Hertz = hertz(20);
export const HIGHEST: Hertz = hertz(20_000);

export interface Band {
  readonly centre: Hertz;
  /** Of the part of the band that lies between 20 Hz and 20 kHz. */
  readonly width: number;
}

/** Third-octave bands from 20 Hz to 20 kHz, exact base-ten mid-band frequencies (IEC 61260-1:2014, 5.2). */
export const THIRD_OCTAVES: readonly Band[] = Array.from({ length: 31 }, (_, index) => {
  const centre = 1000 * 10 ** ((index - 17) / 10);
  const low = Math.max(centre * 10 ** -0.05, LOWEST);
  const high = Math.min(centre * 10 ** 0.05, HIGHEST);
  return { centre: hertz(centre), width: high - low };
});
