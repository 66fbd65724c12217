import { check, type Found } from './check';
import { LOST_IN_SUM_DB, summed } from './mono-sum';
import { MONO_SUM } from './origins';

/** The two outputs of a stereo source meet on one channel with opposite polarity: what they have in common is gone. */
export const pairCancels = check({
  code: 'pair-cancels',
  means:
    'Both outputs of a stereo pair run into one balanced input, which hears only what they do not have in common.',
  severity: ['spoils', 'blocks'],
  origin: MONO_SUM,
  limit: `Both outputs together at most ${LOST_IN_SUM_DB} dB under the louder (our own limit).`,
  cures: ['switch', 'link', 'plug'],
  find: (facts) =>
    facts.arrivals.flatMap((arrival): Found[] => {
      const sum = summed(facts, arrival);
      if (!sum || !(sum.pair < sum.sides) || !(sum.pair < -LOST_IN_SUM_DB)) return [];
      return [
        {
          severity: sum.lost ? 'blocks' : 'spoils',
          where: { part: arrival.recorder },
          source: arrival.source,
          recorder: arrival.recorder,
          values: [{ name: 'both outputs of the pair against the louder', value: sum.pair, unit: 'dB' }],
          limit: { value: -LOST_IN_SUM_DB, unit: 'dB', is: 'at least' },
        },
      ];
    }),
});
