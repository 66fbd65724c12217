import { carryThrough, discharge, stores, type Carry } from '../engine/power';
import { check, type Found } from './check';
import type { Measured } from './finding';
import { RUN_TIME } from './origins';

const CARRIES: Readonly<Record<Carry['is'], readonly [name: string, unit: Measured['unit']]>> = {
  current: ['more coming in', 'mA'],
  cells: ['sets of cells more', ''],
  charge: ['on a charger', 'min'],
};

/** What would carry it through, as usual and at the worst. */
function carriesOf(carry: Carry): Measured[] {
  const [name, unit] = CARRIES[carry.is];
  return [
    { name, value: carry.typical, unit },
    { name: `${name}, at the worst`, value: carry.worst, unit },
  ];
}

/** Where a session is planned: a battery that is empty before its end. */
export const runsFlat = check({
  code: 'runs-flat',
  means: 'A battery does not carry the planned session.',
  severity: ['spoils', 'note'],
  origin: RUN_TIME,
  limit: 'The planned session; what batteries hold and devices take is typical.',
  aspect: 'power',
  asks: 'last',
  cures: ['supply', 'feeder'],
  find: (facts) => {
    const planned = facts.rig.surroundings.session?.minutes;
    if (planned === undefined) return [];
    const held = stores(facts);
    return discharge(held).flatMap((line, index): Found[] => {
      const { placed, flat, flatSoonest } = line;
      const store = held[index];
      const soonest = flatSoonest ?? Infinity;
      if (soonest >= planned) return [];
      const sure = flat !== undefined && flat < planned;
      return [
        {
          severity: sure ? 'spoils' : 'note',
          where: { part: placed },
          values: [
            { name: 'lasts', value: flat ?? planned, unit: 'min' },
            { name: 'at the worst', value: soonest, unit: 'min' },
            ...(store ? carriesOf(carryThrough(store, line, planned)) : []),
          ],
          limit: { value: planned, unit: 'min', is: 'at least' },
        },
      ];
    });
  },
});
