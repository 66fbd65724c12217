import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart, type Part } from '../../parts';
import { USUAL_BOTHER } from '../bother';
import { growsLong, priceOf, soldLength } from './lengths';
import { owingOver } from './owing';
import { poolOf } from './pool';

const part = (id: string): Part => findPart(id)!;
const POOL = poolOf(CATALOGUE);
const purse = (
  drawer: Readonly<Record<string, number>> = {},
  lengths?: Readonly<Record<string, readonly number[]>>,
) => ({
  drawer,
  bother: USUAL_BOTHER,
  ...(lengths && { lengths }),
});
const LEADS = CATALOGUE.filter(growsLong);
const SOURCE = part('dynamic-xlr');
const RECORDER = part('recorder-xlr');

/** What the cheapest way of growing one of these leads to a distance adds to their price; Infinity where none is sold so long. */
const reallyMore = (leads: readonly Part[], metres: number): number => {
  const missing = metres - leads.reduce((sum, { length = 0 }) => sum + length, 0);
  if (missing <= 0) return 0;
  const ways = leads.flatMap((lead) => {
    const length = soldLength(lead, (lead.length ?? 0) + missing);
    return length === undefined ? [] : [priceOf(lead, length) - lead.price];
  });
  return Math.min(Infinity, ...ways);
};

describe('what is owed for metres', () => {
  it('is never more than the leads then cost more (fast-check, seed 20261127)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...LEADS), { minLength: 1, maxLength: 4 }),
        fc.double({ min: 1, max: 40, noNaN: true }),
        (leads, metres) => {
          const owing = owingOver({ metres, pool: POOL, purse: purse() }, RECORDER);
          const owed = owing?.after([SOURCE, ...leads]) ?? 0;
          expect(Math.max(0, owed)).toBeLessThanOrEqual(reallyMore(leads, metres) + 1e-9);
        },
      ),
      { seed: 20261127, numRuns: 1000 },
    );
  });

  it('twenty metres by one XLR lead: within a rounding and what is sold in steps', () => {
    const owing = owingOver({ metres: 20, pool: POOL, purse: purse() }, RECORDER)!;
    const more = reallyMore([part('lead-xlr')], 20);
    expect(owing.after([SOURCE, part('lead-xlr')])).toBeGreaterThan(more - 1.5);
  });

  it('radio owes nothing', () => {
    const owing = owingOver({ metres: 20, pool: POOL, purse: purse() }, RECORDER)!;
    expect(owing.after([SOURCE, part('pack-plug-on')])).toBeLessThanOrEqual(0);
  });

  it('what is owned is long for nothing', () => {
    const owned = purse({ 'lead-xlr': 1 }, { 'lead-xlr': [15] });
    const with15 = owingOver({ metres: 20, pool: POOL, purse: owned }, RECORDER)!;
    const without = owingOver({ metres: 20, pool: POOL, purse: purse() }, RECORDER)!;
    expect(without.after([SOURCE]) - with15.after([SOURCE])).toBeCloseTo(15 * 1.2, 6);
    expect(owingOver({ metres: 12, pool: POOL, purse: owned }, RECORDER)).toBeUndefined();
  });

  it('no distance owes nothing', () => {
    expect(owingOver({ pool: POOL, purse: purse() }, RECORDER)).toBeUndefined();
  });
});
