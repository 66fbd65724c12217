import { check, type Found } from './check';
import { STAGE_LIMIT } from './origins';
import { overdriven } from './stages';

/** A stage between source and recorder that peaks drive past its clip level. */
export const stageClips = check({
  code: 'stage-clips',
  means: 'Peaks drive a stage on the way past its clip level.',
  severity: ['spoils'],
  origin: STAGE_LIMIT,
  limit: 'Clip level of the stage (typical).',
  cures: ['gain', 'switch', 'link', 'plug'],
  find: (facts) =>
    facts.arrivals
      .filter((arrival) => arrival.state === 'recorded')
      .flatMap((arrival) =>
        overdriven(facts, arrival).map(({ stage, peak }): Found => ({
          where: { part: stage.placed },
          source: arrival.source,
          recorder: arrival.recorder,
          other: stage.placed,
          values: [{ name: 'peaks', value: peak, unit: 'dBV' }],
          limit: { value: stage.clip, unit: 'dBV', is: 'at most' },
        })),
      ),
});
