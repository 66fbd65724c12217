import { check } from './check';
import { inputOf } from './input-of';
import { FULL_SCALE } from './origins';

/** Peaks above full scale at the converter. */
export const clips = check({
  code: 'clips',
  means: 'Peaks pass full scale of the input; clipping cannot be repaired.',
  severity: ['spoils'],
  origin: FULL_SCALE,
  limit: '0 dBFS; full scale of the input and the crest of the source are typical figures.',
  cures: ['gain', 'switch', 'link', 'padding', 'plug'],
  find: (facts) =>
    facts.arrivals
      .filter((arrival) => arrival.state === 'recorded' && arrival.headroom < 0)
      .map((arrival) => ({
        where: { part: inputOf(facts, arrival)?.placed ?? arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        values: [{ name: 'peaks at the converter', value: -arrival.headroom, unit: 'dBFS' }],
        limit: { value: 0, unit: 'dBFS', is: 'at most' },
      })),
});
