import type { Cost } from './inventory';
import type { Layout } from './layout';
import { leavesHeadphones, soundsAs, sparable, type Found } from './rank';

/** Of one kind and one sound so many answers are looked at, the cheapest first: what weighs of their plugs weighs of the rest of them. Ours. */
const MOST_SAME = 3;

/** A layout that nobody has judged, with what it costs and weighs at the least. */
interface Unjudged {
  readonly layout: Layout;
  readonly cost: Cost;
  readonly least: number;
}

/**
 * Whether a layout is no better than routes of its kind that were found and give as much: one weighs no more than it does at the least, or
 * sounds the same and would cost no more even if nothing but that weighed.
 */
export function isOutdone(
  { layout, cost, least }: Unjudged,
  found: readonly Found[],
  weigh: (one: Found) => number,
): boolean {
  const alike = found.filter(
    (one) => one.kind === layout.kind && leavesHeadphones(one.layout) === leavesHeadphones(layout),
  );
  if (alike.some((one) => weigh(one) <= least)) return true;
  const same = alike.filter((one) => soundsAs(layout, one));
  return (
    same.some((one) => one.cost.weight + sparable(one) <= cost.weight) ||
    same.filter((one) => one.cost.weight <= cost.weight).length >= MOST_SAME
  );
}
