import type { Part } from '../../parts';
import type { Drawer } from '../drawer';

/** What twins may differ in. */
const BY_WHICH_IT_IS_KNOWN: ReadonlySet<string> = new Set<keyof Part>(['id', 'name', 'summary', 'price']);

const likenesses = new WeakMap<Part, string>();

/** All that a part is, but for what it is called and what it costs. */
function likenessOf(part: Part): string {
  const known = likenesses.get(part);
  if (known !== undefined) return known;
  const likeness = JSON.stringify(Object.entries(part).filter(([key]) => !BY_WHICH_IT_IS_KNOWN.has(key)));
  likenesses.set(part, likeness);
  return likeness;
}

/** So many are numbered: memory stays bounded. */
const MOST = 5000;

const numbers = new Map<string, number>();
const things = new WeakMap<Part, number>();
let last = 0;

/** A number for the thing that a part is: twins, such as a copy of a shipped part under a name of one’s own, have the same. */
export function thingOf(part: Part): number {
  const known = things.get(part);
  if (known !== undefined) return known;
  if (numbers.size >= MOST) numbers.clear();
  const likeness = likenessOf(part);
  const number = numbers.get(likeness) ?? (last += 1);
  numbers.set(likeness, number);
  things.set(part, number);
  return number;
}

/** Without what nobody would buy: of twins the cheapest stays, of equals the first, and whatever is owned. */
export function cheapestTwins(parts: readonly Part[], drawer: Drawer): readonly Part[] {
  const cheapest = new Map<number, Part>();
  for (const part of parts) {
    const other = cheapest.get(thingOf(part));
    if (!other || part.price < other.price) cheapest.set(thingOf(part), part);
  }
  if (cheapest.size === parts.length) return parts;
  return parts.filter((part) => cheapest.get(thingOf(part)) === part || (drawer[part.id] ?? 0) > 0);
}
