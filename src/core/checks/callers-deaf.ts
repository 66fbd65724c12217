import { heardAmongCallers } from '../engine/hearing';
import { check } from './check';
import { MIX_MINUS } from './origins';

/** Two at far ends of whom one does not hear the other. */
export const callersDeaf = check({
  code: 'callers-deaf',
  severity: ['spoils'],
  origin: MIX_MINUS,
  limit: 'Peaks of at least −50 dBFS into the other’s device (our own limit).',
  aspect: 'returns',
  cures: ['mix'],
  find: (facts) =>
    heardAmongCallers(facts)
      .filter(({ state }) => state === 'not' || state === 'quiet')
      .map(({ listener, voice }) => ({
        where: { part: listener },
        recorder: listener,
        other: voice,
        values: [],
      })),
});
