import { check } from './check';
import { inputOf } from './input-of';
import { LEAST_HEADROOM } from './levels';
import { HEADROOM } from './origins';

/** Peaks under full scale, and too near to it for a laugh. */
export const hot = check({
  code: 'hot',
  means: 'Nothing clips as it is; a laugh or a harder stroke would.',
  severity: ['note'],
  origin: HEADROOM,
  limit: `Peaks at most −${LEAST_HEADROOM} dBFS (common practice).`,
  cures: ['gain', 'switch'],
  find: (facts) =>
    facts.arrivals
      .filter((a) => a.state === 'recorded' && a.headroom >= 0 && a.headroom < LEAST_HEADROOM)
      .map((arrival) => ({
        where: { part: inputOf(facts, arrival)?.placed ?? arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        values: [{ name: 'peaks at the converter', value: -arrival.headroom, unit: 'dBFS' }],
        limit: { value: -LEAST_HEADROOM, unit: 'dBFS', is: 'at most' },
      })),
});
