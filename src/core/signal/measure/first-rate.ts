import { powerToDb } from './decibels';

/** Rates at which voice is often taken before it is brought up to the take’s own, Hz. */
const RATES = [16_000, 22_050, 24_000] as const;
/** What lies under and over half of such a rate is compared there, as shares of it. */
const [UNDER, OVER] = [
  [0.8, 0.92],
  [1.04, 1.16],
] as const;
/** So steep is nothing but the edge of a converter, dB. Our own. */
const STEEP = 24;

/** Two edges are as steep, dB. */
const AS_STEEP = 1.5;

/**
 * The rate at which a take was made before it was brought up to its own, read off the edge at half of it: there everything ends, the
 * noise of pauses too. `powers`: the mean spectrum, `step` hertz a bin. None where there is no such edge.
 */
export function firstRateOf(powers: Float32Array | undefined, step: number): number | null {
  if (!powers || step <= 0) return null;
  const mean = (from: number, to: number): number => {
    const bins = powers.subarray(Math.ceil(from / step), Math.ceil(to / step));
    return bins.length === 0 ? 0 : bins.reduce((a, b) => a + b, 0) / bins.length;
  };
  const top = (powers.length - 1) * step;
  const edges = RATES.flatMap((rate) => {
    const half = rate / 2;
    if (half * OVER[1] > top) return [];
    const below = mean(half * UNDER[0], half * UNDER[1]);
    const above = Math.max(mean(half * OVER[0], half * OVER[1]), mean(half * OVER[0], top));
    const drop = powerToDb(below / Math.max(above, 1e-20));
    return below > 0 && drop >= STEEP ? [{ rate, drop }] : [];
  });
  // An edge a little under half of one rate lies over half of the next lower as well, as steep.
  const steepest = Math.max(...edges.map(({ drop }) => drop));
  return edges.findLast(({ drop }) => drop > steepest - AS_STEEP)?.rate ?? null;
}
