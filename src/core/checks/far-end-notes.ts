import { appOf, comesTo } from '../engine/flow';
import { heardInRecordings, isHeard } from '../engine/hearing';
import type { Facts } from '../engine';
import { check, type Found } from './check';
import { ASK_FIRST, VOLUME_KEYS } from './origins';

const hasFarEnd = (facts: Facts, host: string): boolean => {
  const laid = facts.laid.get(host);
  return laid !== undefined && appOf(laid)?.farEnd === true;
};

/** Somebody at a far end is recorded. */
export const recordsCallers = check({
  code: 'records-callers',
  means:
    'A recorder hears somebody at a far end. Ask them before: what may be recorded is for local law to say.',
  severity: ['note'],
  origin: ASK_FIRST,
  limit: 'Nobody at a far end in a recording without having been asked (common practice).',
  aspect: 'returns',
  cures: [],
  find: (facts) => {
    const heard = heardInRecordings(facts).filter(isHeard);
    return [...new Set(heard.map(({ listener }) => listener))].map((recorder) => ({
      where: { part: recorder },
      recorder,
      sources: heard.flatMap(({ listener, voice }) => (listener === recorder ? [voice] : [])),
      values: [],
    }));
  },
});

/** What a far end says goes from the headphone output of a device into a box: the keys of the device set how loud. */
export const volumeSetsLevel = check({
  code: 'volume-sets-level',
  means:
    'The far end comes out of the headphone output of a phone or computer into a box: its volume keys set the level there. Nearly up, then left alone; notifications off.',
  severity: ['note'],
  origin: VOLUME_KEYS,
  limit: 'A level that a hand changes by accident is worth knowing (common practice).',
  aspect: 'returns',
  cures: [],
  find: (facts) =>
    facts.rig.purpose.recorders.flatMap((host): Found[] => {
      const sounds = facts.playing.filter(({ placed }) => placed === host).map(({ id }) => id);
      if (sounds.length === 0 || !hasFarEnd(facts, host)) return [];
      const into = facts.elements.find(
        (e) => e.kind === 'sense' && e.placed !== host && comesTo(facts, sounds, e),
      );
      return into ? [{ where: { part: host }, recorder: host, other: into.placed, values: [] }] : [];
    }),
});
