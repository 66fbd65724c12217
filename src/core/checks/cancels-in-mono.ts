import { check, type Found } from './check';
import { LOST_IN_SUM_DB, summed } from './mono-sum';
import { MONO_SUM } from './origins';

/**
 * A source that stands on both sides with opposite polarity: alive in stereo, gone when the sides are summed, be it by the app
 * that records them.
 */
export const cancelsInMono = check({
  code: 'cancels-in-mono',
  means:
    'Left and right carry the source with opposite polarity, as when a balanced output runs into a stereo input: it vanishes when the sides are summed.',
  severity: ['spoils', 'blocks'],
  origin: MONO_SUM,
  limit: `The sum of both sides at most ${LOST_IN_SUM_DB} dB under the louder side (our own limit).`,
  cures: ['switch', 'link', 'plug'],
  find: (facts) =>
    facts.arrivals.flatMap((arrival): Found[] => {
      const sum = summed(facts, arrival);
      // Where the two outputs of a pair meet, that is said.
      if (!sum || sum.pair < sum.sides || !(sum.sides < -LOST_IN_SUM_DB)) return [];
      return [
        {
          severity: sum.lost ? 'blocks' : 'spoils',
          where: { part: arrival.recorder },
          source: arrival.source,
          recorder: arrival.recorder,
          values: [{ name: 'sum of both sides against the louder', value: sum.sides, unit: 'dB' }],
          limit: { value: -LOST_IN_SUM_DB, unit: 'dB', is: 'at least' },
        },
      ];
    }),
});
