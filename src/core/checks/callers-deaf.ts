import { hearing, type Heard } from '../engine/hearing';
import { check } from './check';
import { MIX_MINUS } from './origins';

/** Two at far ends of whom one does not hear the other, or neither the other. */
export const callersDeaf = check({
  code: 'callers-deaf',
  severity: ['spoils'],
  origin: MIX_MINUS,
  limit: 'Peaks of at least −50 dBFS into the other’s device (our own limit).',
  aspect: 'returns',
  cures: ['mix'],
  find: (facts) => {
    const { speakers, cells } = hearing(facts);
    const callers = new Set(speakers.flatMap(({ id, is }) => (is === 'caller' ? [id] : [])));
    const deaf = cells.filter(({ listener, voice, state }) => {
      const both = callers.has(listener) && callers.has(voice);
      return both && (state === 'not' || state === 'too-quiet');
    });
    const isMutual = (one: Heard) =>
      deaf.some(({ listener, voice }) => listener === one.voice && voice === one.listener);
    // Two who do not hear one another are told once.
    return deaf
      .filter((one) => !isMutual(one) || one.listener < one.voice)
      .map((one) => ({
        where: { part: one.listener },
        recorder: one.listener,
        other: one.voice,
        values: [{ name: 'ways', value: isMutual(one) ? 2 : 1, unit: '' as const }],
      }));
  },
});
