import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findPart } from '../../parts';
import { Heap } from './heap';
import { compareCosts, comparePrices, costOf, split } from './inventory';

const lead = findPart('lead-rca')!;
const patch = findPart('patch-trs-trrs')!;

describe('what a list of parts costs', () => {
  it('what is owned costs nothing, as often as it is owned', () => {
    expect(costOf([lead, lead, patch], { 'lead-rca': 1, 'patch-trs-trrs': 1 })).toEqual({
      purchases: 1,
      price: lead.price,
      joints: 3,
    });
    expect(split([lead, lead], { 'lead-rca': 1 })).toEqual({ buy: [lead], own: [lead] });
  });

  it('fewer purchases come before less money, and money before joints', () => {
    const cost = (purchases: number, price: number, joints: number) => ({ purchases, price, joints });
    expect(compareCosts(cost(1, 90, 9), cost(2, 1, 1))).toBeLessThan(0);
    expect(compareCosts(cost(1, 9, 9), cost(1, 10, 1))).toBeLessThan(0);
    expect(compareCosts(cost(1, 9, 2), cost(1, 9, 3))).toBeLessThan(0);
    expect(comparePrices(cost(1, 0.1 + 0.2, 2), cost(1, 0.3, 9))).toBe(0);
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
