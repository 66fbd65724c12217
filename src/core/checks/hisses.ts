import { check, type Found } from './check';
import { LEAST_OVER_NOISE } from './levels';
import { HISSING } from './origins';

/** Recorded, and so little above the noise that it hisses: gain early, or a source that gives more, is wanted. */
export const hisses = check({
  code: 'hisses',
  means:
    'The source stands little above the noise of what it passes: gain comes late, the microphone gives little, or it hangs in an input that is not made for it.',
  severity: ['note'],
  origin: HISSING,
  limit: `Peaks at least ${LEAST_OVER_NOISE} dB above the noise (our own limit).`,
  cures: ['gain', 'switch'],
  find: (facts) =>
    facts.arrivals
      .filter((a) => a.state === 'recorded' && a.peak - a.noise < LEAST_OVER_NOISE)
      .map(({ source, recorder, peak, noise }): Found => ({
        where: { part: recorder },
        source,
        recorder,
        values: [
          { name: 'over the noise', value: peak - noise, unit: 'dB' },
          { name: 'noise', value: noise, unit: 'dBFS' },
        ],
        limit: { value: LEAST_OVER_NOISE, unit: 'dB', is: 'at least' },
      })),
});
