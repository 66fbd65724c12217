/** Preferred values of a decade (IEC 60063). E12 and E24 are tables; E96 is the geometric series rounded to three figures. */
const E12 = [1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2] as const;
const E24 = [
  1, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2, 2.2, 2.4, 2.7, 3, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8, 7.5, 8.2,
  9.1,
] as const;
const E96 = Array.from({ length: 96 }, (_, n) => Math.round(100 * 10 ** (n / 96)) / 100);

export const SERIES = { E12, E24, E96 } as const;
export type SeriesName = keyof typeof SERIES;

/** The preferred value nearest to one, by ratio. NaN for what is not above nothing. */
export function preferred(value: number, series: SeriesName): number {
  if (!(value > 0) || !Number.isFinite(value)) return NaN;
  const decade = Math.floor(Math.log10(value));
  const near = [-1, 0, 1].flatMap((by) => SERIES[series].map((step) => step * 10 ** (decade + by)));
  const distance = (one: number) => Math.abs(Math.log(one / value));
  const best = near.reduce((a, b) => (distance(b) < distance(a) ? b : a));
  return Number(best.toPrecision(3));
}
