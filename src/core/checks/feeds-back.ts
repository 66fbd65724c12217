import { gainToDb } from '../units';
import { placedOf } from '../engine/outward';
import { check } from './check';
import { BARKHAUSEN } from './origins';

/** A loop of stages whose gain is one or more: it howls, whatever is put in. */
export const feedsBack = check({
  code: 'feeds-back',
  means: 'Stages feed one another in a circle with a gain of one or more: it howls.',
  severity: ['blocks'],
  origin: BARKHAUSEN,
  limit: 'Loop gain under 0 dB at 1 kHz, whatever its phase (Barkhausen’s criterion, worst case).',
  aspect: 'returns',
  cures: ['send', 'switch', 'gain', 'plug'],
  find: (facts) =>
    facts.alternating.loops
      .filter(({ gain }) => gain >= 1)
      .map(({ drives, gain }) => {
        const parts = [...new Set(drives.map(placedOf))];
        return {
          where: { ...(parts[0] !== undefined && { part: parts[0] }) },
          ...(parts[1] !== undefined && { other: parts[1] }),
          values: [{ name: 'loop gain', value: gainToDb(gain), unit: 'dB' as const }],
          limit: { value: 0, unit: 'dB' as const, is: 'at most' as const },
        };
      }),
});
