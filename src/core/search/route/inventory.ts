import type { Part } from '../../parts';
import type { Bother } from '../bother';
import type { Drawer } from '../drawer';

/** What the user owns, and what a thing more is worth. */
export interface Purse {
  readonly drawer: Drawer;
  readonly bother: Bother;
  /** Metres of owned leads that are not as long as their kind is by itself, by part. */
  readonly lengths?: Readonly<Record<string, readonly number[]>>;
}

/** What a route costs: things to buy, their price, joints to make, and all of it in money. */
export interface Cost {
  readonly purchases: number;
  readonly price: number;
  readonly joints: number;
  /** Price, and the bother of pieces and joints. */
  readonly weight: number;
}

export const NOTHING: Cost = { purchases: 0, price: 0, joints: 0, weight: 0 };

export const plus = (a: Cost, b: Cost): Cost => ({
  purchases: a.purchases + b.purchases,
  price: a.price + b.price,
  joints: a.joints + b.joints,
  weight: a.weight + b.weight,
});

/** What is bought for so much, with so many joints. */
export const costFor = (purchases: number, price: number, joints: number, { bother }: Purse): Cost => ({
  purchases,
  price,
  joints,
  weight: price + purchases * bother.piece + joints * bother.joint,
});

/** Sums in another order of adding are equal. */
export const SAME = 1e-6;

/** Negative where `a` comes first: less money and bother, then less money, then fewer joints. */
export const compareCosts = (a: Cost, b: Cost): number =>
  compareWeights(a, b) || (Math.abs(a.price - b.price) < SAME ? a.joints - b.joints : a.price - b.price);

/** The same by money and bother alone. */
export const compareWeights = (a: Cost, b: Cost): number =>
  Math.abs(a.weight - b.weight) < SAME ? 0 : a.weight - b.weight;

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
export function costOfOneMore(part: Part, used: Used, purse: Purse): Cost {
  const owned = (purse.drawer[part.id] ?? 0) > (used.get(part.id) ?? 0);
  return owned ? costFor(0, 0, 1, purse) : costFor(1, part.price, 1, purse);
}

/** What all of these cost together. */
export function costOf(parts: readonly Part[], purse: Purse): Cost {
  let [cost, used] = [NOTHING, useOf([])];
  for (const part of parts) {
    cost = plus(cost, costOfOneMore(part, used, purse));
    used = useAlso(used, part);
  }
  return cost;
}
