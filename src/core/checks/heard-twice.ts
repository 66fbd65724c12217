import { heardInEars, TWICE_FROM } from '../engine/hearing';
import { check } from './check';
import { DOUBLED } from './origins';

/** A source in somebody’s ears past the recorder and once more by its app. */
export const heardTwice = check({
  code: 'heard-twice',
  means:
    'Direct monitoring and the app’s own play the same, one later than the other: a doubled, hollow sound.',
  severity: ['spoils'],
  origin: DOUBLED,
  limit: `${TWICE_FROM} ms between the two ways (about a singer’s limit; from memory).`,
  aspect: 'returns',
  cures: ['choice', 'switch', 'gain'],
  find: (facts) =>
    heardInEars(facts)
      .filter(({ state }) => state === 'twice')
      .map(({ listener, voice, apart = 0 }) => ({
        where: { part: listener },
        source: voice,
        other: listener,
        values: [{ name: 'between the two', value: apart, unit: 'ms' as const }],
        limit: { value: TWICE_FROM, unit: 'ms' as const, is: 'at most' as const },
      })),
});
