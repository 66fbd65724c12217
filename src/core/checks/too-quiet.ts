import { AUDIBLE_OVER_NOISE } from '../engine/flow';
import { check } from './check';
import { failing } from './failing';
import { AUDIBILITY } from './origins';

/** The finding of last resort for a source that does not get through: how much of it is there, against the noise. */
export const tooQuiet = check({
  code: 'too-quiet',
  means: 'The source does not reach the input, or stands too little above its noise to count as recorded.',
  severity: ['blocks'],
  origin: AUDIBILITY,
  limit: `Peaks at least ${AUDIBLE_OVER_NOISE} dB above the noise of the channel (our own limit).`,
  cures: ['gain', 'switch', 'plug', 'link'],
  lastResort: true,
  find: (facts) =>
    failing(facts).map(({ arrival }) => ({
      where: { part: arrival.recorder },
      source: arrival.source,
      recorder: arrival.recorder,
      values: [
        {
          name: 'peaks',
          value: arrival.state === 'listed-silent' ? arrival.peak : -Infinity,
          unit: 'dBFS',
        },
        { name: 'noise', value: arrival.noise, unit: 'dBFS' },
      ],
      limit: { value: arrival.noise + AUDIBLE_OVER_NOISE, unit: 'dBFS', is: 'at least' },
    })),
});
