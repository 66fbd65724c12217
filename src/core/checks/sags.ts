import { LEAST_VOLTS, sagging } from '../engine/power';
import { jointAt } from '../rig';
import { check } from './check';
import { LINE_VOLTS } from './origins';

/** A device at whose end of the supply line too few volts are left. */
export const sags = check({
  code: 'sags',
  means:
    'A long or thin supply lead, or a hub without a supply, leaves the device less than it must do with.',
  severity: ['spoils'],
  origin: LINE_VOLTS,
  limit: `${LEAST_VOLTS} V at the device (USB 2.0, 7.2.2).`,
  aspect: 'power',
  asks: 'start',
  cures: ['feed', 'supply', 'link', 'plug'],
  find: (facts) =>
    sagging(facts).map(({ feed: { from, to, takes, metres }, volts }) => {
      const joint = jointAt(facts.rig, to)?.id;
      return {
        where: { part: to.part, ...(joint !== undefined && { joint }) },
        other: from.part,
        values: [
          { name: 'left for it', value: volts.typical, unit: 'V' as const },
          { name: 'with thin leads', value: volts.least, unit: 'V' as const },
          { name: 'it takes', value: takes, unit: 'mA' as const },
          { name: 'of lead', value: metres, unit: 'm' as const },
        ],
        limit: { value: LEAST_VOLTS, unit: 'V' as const, is: 'at least' as const },
      };
    }),
});
