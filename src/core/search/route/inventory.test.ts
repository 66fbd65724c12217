import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findPart } from '../../parts';
import { Heap } from '../heap';
import type { Drawer } from '../drawer';
import { compareCosts, compareWeights, costFor, costOf, type Purse } from './inventory';
import { USUAL_BOTHER } from '../bother';

const lead = findPart('lead-rca')!;
const patch = findPart('patch-trs-trrs')!;

const purse = (drawer: Drawer): Purse => ({ drawer, bother: USUAL_BOTHER });

describe('what a list of parts costs', () => {
  it('what is owned costs nothing, as often as it is owned', () => {
    expect(costOf([lead, lead, patch], purse({ 'lead-rca': 1, 'patch-trs-trrs': 1 }))).toEqual({
      purchases: 1,
      price: lead.price,
      joints: 3,
      weight: lead.price + USUAL_BOTHER.piece + 3 * USUAL_BOTHER.joint,
    });
  });

  it('a thing more to buy weighs as much as so much money, and so does a joint', () => {
    const cost = (purchases: number, price: number, joints: number) =>
      costFor(purchases, price, joints, purse({}));
    expect(compareCosts(cost(1, 15, 1), cost(2, 9, 1))).toBeGreaterThan(0);
    expect(compareCosts(cost(1, 13, 1), cost(2, 9, 1))).toBeLessThan(0);
    expect(compareCosts(cost(1, 9, 2), cost(1, 9, 3))).toBeLessThan(0);
    expect(compareWeights(cost(1, 0.1 + 0.2, 2), cost(1, 0.3, 2))).toBe(0);
  });
});

describe('a heap', () => {
  it('gives back what was put in, in order, equals as they came', () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 9 })), (values) => {
        const heap = new Heap<{ value: number; turn: number }>((a, b) => a.value - b.value);
        values.forEach((value, turn) => heap.push({ value, turn }));
        const out = values.map(() => heap.pop()!);
        const sorted = values
          .map((value, turn) => ({ value, turn }))
          .sort((a, b) => a.value - b.value || a.turn - b.turn);
        expect(out).toEqual(sorted);
        expect(heap.pop()).toBeUndefined();
      }),
      { seed: 20261124 },
    );
  });
});
