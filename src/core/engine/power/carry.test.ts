import { describe, expect, it } from 'vitest';
import { layRig } from '../../../../testing/lay-rig';
import { allFacts } from '../facts';
import { carryThrough } from './carry';
import { stores, type Store } from './charge';
import { discharge } from './clock';

const PHONE: Store = {
  placed: 'phone',
  holds: { typical: 15, least: 12, most: 18 },
  takes: { typical: 4.5, least: 3, most: 6 },
  gives: 2.5,
  comes: 0,
  from: [],
  byHours: false,
  begins: 1,
};

const carryOf = (store: Store, minutes: number) => {
  const [line] = discharge([store]);
  if (!line) throw new Error('no line');
  return carryThrough(store, line, minutes);
};

describe('what carries a battery through', () => {
  it('is the power that is lacking, over 5 V and a converter of 85 %', () => {
    // Four hours: 7 W go, 15 Wh give 3.75 W; at the worst 8.5 W go and 12 Wh give 3 W.
    const carry = carryOf(PHONE, 240);
    expect(carry.typical).toBeCloseTo(((7 - 3.75) / 0.85 / 5) * 1000, 6);
    expect(carry.worst).toBeCloseTo(((8.5 - 3) / 0.85 / 5) * 1000, 6);
  });

  it('coming in, carries it to the end and not much further', () => {
    for (const minutes of [150, 240, 480]) {
      const { typical } = carryOf(PHONE, minutes);
      const lasts = (milliamps: number) =>
        discharge([{ ...PHONE, comes: (milliamps / 1000) * 5 * 0.85 }])[0]?.flat ?? Infinity;
      expect(lasts(typical * 1.001)).toBeGreaterThanOrEqual(minutes);
      expect(lasts(typical * 0.98)).toBeLessThan(minutes);
    }
  });

  it('is none where it lasts', () => {
    expect(carryOf(PHONE, 60)).toEqual({ is: 'current', typical: 0, worst: 0 });
  });

  it('is sets of cells, or time on a charger', () => {
    const rig = layRig({
      parts: { mic: 'condenser-xlr', lead: 'lead-xlr', box: 'mobile-preamp', phone: 'phone-ctia' },
      joints: ['mic.out lead.holes', 'lead.pins box.mic', 'box.plug phone.jack'],
    });
    const held = stores(allFacts(rig)[0]);
    const cells = held.find(({ cells: kind }) => kind !== undefined);
    const [line] = cells ? discharge([cells]) : [];
    expect(cells && line && carryThrough(cells, line, 3 * (line.flatSoonest ?? NaN)).worst).toBe(2);
    const pack: Store = { ...PHONE, byHours: true, holds: { typical: 6, least: 5, most: 8 }, gives: 0 };
    const hours = { ...pack, takes: { typical: 1, least: 1, most: 1 } };
    expect(carryOf(hours, 480)).toEqual({ is: 'charge', typical: 120, worst: 180 });
  });
});
