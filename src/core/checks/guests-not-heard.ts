import { appOf } from '../engine/flow';
import { heardInEars } from '../engine/hearing';
import type { Facts } from '../engine';
import { HEARD_LEVEL } from '../engine/returns';
import { dbV, type DbV } from '../units';
import { check, type Found } from './check';
import { HEADPHONES } from './origins';

/** How loud those at the far end are in the ears that have most of them, dBV; −∞ where they come to none. */
const loudestInEars = (facts: Facts, caller: string): DbV =>
  dbV(
    Math.max(
      -Infinity,
      ...heardInEars(facts)
        .filter(({ voice, state }) => voice === caller && state !== 'not')
        .map(({ level }) => level),
    ),
  );

/**
 * Somebody speaks at the far end, there are headphones in the rig, and none of them hears the device that plays; or it comes, and is
 * turned down so far that nobody hears it.
 */
export const guestsNotHeard = check({
  code: 'guests-not-heard',
  means: 'Headphones are in the rig, but none of them is on the side of the device that plays the far end.',
  severity: ['spoils'],
  origin: HEADPHONES,
  limit: `Speech at the ears at least ${HEARD_LEVEL} dBV (our own limit), computed from the circuit; guests are heard only from the device that the app runs on.`,
  aspect: 'returns',
  cures: ['replug', 'headphones', 'plug', 'switch', 'gain'],
  find: (facts) => {
    const [first] = facts.listeners;
    if (!first) return [];
    return facts.rig.purpose.recorders.flatMap((recorder): Found[] => {
      const host = facts.laid.get(recorder);
      if (!host || !appOf(host)?.farEnd) return [];
      const hearer = facts.listeners.find((l) => l.hears.some((h) => h.device === recorder));
      if (hearer) {
        const level = loudestInEars(facts, recorder);
        if (level >= HEARD_LEVEL) return [];
        return [
          {
            where: { part: hearer.listener },
            recorder,
            other: hearer.listener,
            values: [{ name: 'at the ears', value: level, unit: 'dBV' }],
            limit: { value: HEARD_LEVEL, unit: 'dBV', is: 'at least' },
          },
        ];
      }
      if (facts.listeners.some((l) => l.moved.some((m) => m.device === recorder))) return [];
      return [{ where: { part: first.listener }, recorder, other: first.listener, values: [] }];
    });
  },
});
