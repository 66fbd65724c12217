import type { Drawer } from '../drawer';
import type { Part } from '../../parts';

/** What a route costs: things to buy, their price, and joints to make; compared in this order. */
export interface Cost {
  readonly purchases: number;
  readonly price: number;
  readonly joints: number;
}

export const NOTHING: Cost = { purchases: 0, price: 0, joints: 0 };

export const plus = (a: Cost, b: Cost): Cost => ({
  purchases: a.purchases + b.purchases,
  price: a.price + b.price,
  joints: a.joints + b.joints,
});

/** Prices of equal sums in another order of adding are equal. */
const SAME_PRICE = 1e-6;

/** Negative where `a` comes first: fewer purchases, then less money, then fewer joints. */
export const compareCosts = (a: Cost, b: Cost): number => comparePrices(a, b) || a.joints - b.joints;

/** The same without the joints: what is decided before a route has been judged. */
export const comparePrices = (a: Cost, b: Cost): number =>
  a.purchases - b.purchases || (Math.abs(a.price - b.price) < SAME_PRICE ? 0 : a.price - b.price);

/** How many of each part are used. */
export type Used = ReadonlyMap<string, number>;

export const useOf = (parts: readonly Part[]): Used => {
  const used = new Map<string, number>();
  for (const part of parts) used.set(part.id, (used.get(part.id) ?? 0) + 1);
  return used;
};

export const useAlso = (used: Used, part: Part): Used =>
  new Map(used).set(part.id, (used.get(part.id) ?? 0) + 1);

/** What one more of a part costs, where `used` are taken already; the joint that it brings included. */
export function costOfOneMore(part: Part, used: Used, drawer: Drawer): Cost {
  const owned = (drawer[part.id] ?? 0) > (used.get(part.id) ?? 0);
  return { purchases: owned ? 0 : 1, price: owned ? 0 : part.price, joints: 1 };
}

/** What all of these cost together. */
export function costOf(parts: readonly Part[], drawer: Drawer): Cost {
  let [cost, used] = [NOTHING, useOf([])];
  for (const part of parts) {
    cost = plus(cost, costOfOneMore(part, used, drawer));
    used = useAlso(used, part);
  }
  return cost;
}

/** What has to be bought, one entry a piece, and what comes from the drawer. */
export function split(parts: readonly Part[], drawer: Drawer): { buy: Part[]; own: Part[] } {
  const [buy, own]: Part[][] = [[], []];
  let used = useOf([]);
  for (const part of parts) {
    const owned = (drawer[part.id] ?? 0) > (used.get(part.id) ?? 0);
    (owned ? own : buy)?.push(part);
    used = useAlso(used, part);
  }
  return { buy: buy ?? [], own: own ?? [] };
}
