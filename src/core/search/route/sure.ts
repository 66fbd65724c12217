import { weightOf, type Found } from './rank';
import type { Preference } from './request';

/** How far the passes of a search went, in the order in which answers are ranked: nothing that weighs less than this is left unseen; Infinity: nothing at all. */
export type Lefts = readonly number[];

/** Weights that differ by less are one. */
const HAIR = 1e-6;

/**
 * How many of the ways, best first, are known to be the best: whatever was not looked at rests on less evidence or weighs more. Who wants the
 * best sound has clearness before weight, of which no bound is known: none is.
 */
export function sureOf(
  found: readonly Found[],
  passOf: (one: Found) => number,
  lefts: Lefts,
  prefer: Preference | undefined,
): number {
  if (lefts.every((left) => left === Infinity)) return found.length;
  if (prefer === 'sound') return 0;
  const isSure = (one: Found): boolean => {
    const pass = passOf(one);
    const isLeastOfPass = weightOf(one, prefer) < (lefts[pass] ?? 0) - HAIR;
    return isLeastOfPass && lefts.slice(0, pass).every((left) => left === Infinity);
  };
  const doubtful = found.findIndex((one) => !isSure(one));
  return doubtful < 0 ? found.length : doubtful;
}
