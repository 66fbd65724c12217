import { appOf } from '../engine/flow';
import { check, type Found } from './check';
import { HEADPHONES } from './origins';

/** Somebody speaks at the far end, there are headphones in the rig, and none of them hears the device that plays. */
export const guestsNotHeard = check({
  code: 'guests-not-heard',
  severity: ['spoils'],
  origin: HEADPHONES,
  limit: 'Computed from the circuit; guests are heard only from the device that the app runs on.',
  aspect: 'returns',
  cures: ['replug', 'headphones', 'plug', 'switch', 'gain'],
  find: (facts) => {
    const [first] = facts.listeners;
    if (!first) return [];
    return facts.rig.purpose.recorders.flatMap((recorder): Found[] => {
      const host = facts.laid.get(recorder);
      if (!host || !appOf(host)?.farEnd) return [];
      if (facts.listeners.some((l) => l.hears.some((h) => h.device === recorder))) return [];
      if (facts.listeners.some((l) => l.moved.some((m) => m.device === recorder))) return [];
      return [{ where: { part: first.listener }, recorder, other: first.listener, values: [] }];
    });
  },
});
