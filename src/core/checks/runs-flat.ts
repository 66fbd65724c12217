import { discharge, stores } from '../engine/power';
import { check, type Found } from './check';
import { RUN_TIME } from './origins';

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
    return discharge(stores(facts)).flatMap(({ placed, flat, flatSoonest }): Found[] => {
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
          ],
          limit: { value: planned, unit: 'min', is: 'at least' },
        },
      ];
    });
  },
});
