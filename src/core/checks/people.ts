import { APART_ENOUGH, peopleHearing, TWICE_FROM, type Heard } from '../engine/hearing';
import type { Facts } from '../engine';
import { appOf } from '../engine/flow';
import { peopleOf, type Person } from '../rig';
import { check, type Found } from './check';
import { DOUBLED, HEADPHONES, THREE_TO_ONE } from './origins';

/** What the people of the rig hear and how they are heard; nothing where it names nobody. */
const cellsOf = (facts: Facts): readonly Heard[] =>
  peopleOf(facts.rig).length === 0 ? [] : peopleHearing(facts).cells;

const personOf = (facts: Facts, id: string): Person | undefined =>
  peopleOf(facts.rig).find((person) => person.id === id);

/** A voice that two microphones have nearly alike, mixed into one. */
export const bleeds = check({
  code: 'bleeds',
  means:
    'Two microphones on one mixed track have a voice nearly alike, the one a little later: they cancel some of it, and it sounds hollow. Closer to one’s own, farther from the other’s, or a pattern that is deaf to that side.',
  severity: ['spoils'],
  origin: THREE_TO_ONE,
  limit: `${APART_ENOUGH.toFixed(1)} dB between the direct sound in the one and in the other: three times as far (common practice).`,
  aspect: 'returns',
  cures: ['place', 'gain'],
  find: (facts) =>
    cellsOf(facts).flatMap(({ listener, voice, also, apart = 0, path }): Found[] =>
      also && facts.rig.purpose.recorders.includes(listener)
        ? [
            {
              where: { part: also.microphone },
              ...(path[0] !== undefined && { source: path[0] }),
              other: also.microphone,
              recorder: listener,
              person: voice,
              values: [
                { name: 'between the two', value: also.under, unit: 'dB' },
                { name: 'apart', value: apart, unit: 'ms' },
              ],
              limit: { value: APART_ENOUGH, unit: 'dB', is: 'at least' },
            },
          ]
        : [],
    ),
});

/** Somebody hears their own voice in their headphones by the app alone, too late. */
export const monitoredLate = check({
  code: 'monitored-late',
  means:
    'Somebody hears themself by way of the app alone: it comes so late that it hinders speaking and singing. Direct monitoring does not.',
  severity: ['spoils'],
  origin: DOUBLED,
  limit: `${TWICE_FROM} ms from mouth to ear (about a singer’s limit; from memory).`,
  aspect: 'returns',
  cures: ['choice', 'switch'],
  find: (facts) =>
    cellsOf(facts).flatMap(({ listener, voice, state, delay }): Found[] => {
      const person = listener === voice && state === 'late' ? personOf(facts, listener) : undefined;
      return person?.wears === undefined
        ? []
        : [
            {
              where: { part: person.wears },
              ...(person.microphone !== undefined && { source: person.microphone }),
              other: person.wears,
              person: person.id,
              values: [{ name: 'late', value: delay.typical, unit: 'ms' }],
              limit: { value: TWICE_FROM, unit: 'ms', is: 'at most' },
            },
          ];
    }),
});

/** Somebody in the room to whom nothing of a far end comes: they wear nothing, and no loudspeaker brings it loud enough. */
export const hearsNobody = check({
  code: 'hears-nobody',
  means: 'Somebody in the room wears no headphones, and no loudspeaker brings them the far end loud enough.',
  severity: ['note'],
  origin: HEADPHONES,
  limit: 'Speech at the ears at least 55 dB SPL (our own limit), or a pair of headphones.',
  aspect: 'returns',
  cures: [],
  find: (facts) =>
    cellsOf(facts).flatMap(({ listener, voice, state }): Found[] => {
      const host = facts.laid.get(voice);
      const person = personOf(facts, listener);
      const lost = state === 'not' || state === 'quiet';
      return person && person.wears === undefined && lost && host && appOf(host)?.farEnd
        ? [{ where: { part: voice }, recorder: voice, person: person.id, values: [] }]
        : [];
    }),
});
