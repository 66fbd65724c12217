/** Decibels of a mean square, 0 dB at 1: a full-scale square wave; −Infinity at nothing. */
export const powerToDb = (power: number): number => (power > 0 ? 10 * Math.log10(power) : -Infinity);

/** The value under which a share of a sorted list lies. */
export const quantile = (sorted: ArrayLike<number>, share: number): number =>
  sorted.length === 0 ? NaN : (sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN);
