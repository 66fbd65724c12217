import { check, type Found } from './check';
import { STAGE_LIMIT } from './origins';
import { leadsToRecorder } from './stages';
import { SINE_CREST } from '../units';

/** A stage between source and recorder that peaks drive past its clip level. */
export const stageClips = check({
  code: 'stage-clips',
  severity: ['spoils'],
  origin: STAGE_LIMIT,
  limit: 'Clip level of the stage (typical).',
  cures: ['gain', 'switch', 'link', 'plug'],
  find: (facts) => {
    const stages = facts.elements.filter((e) => e.kind === 'drive');
    return facts.arrivals
      .filter((arrival) => arrival.state === 'recorded')
      .flatMap(({ source, recorder, records }) =>
        stages.flatMap((stage): Found[] => {
          const levels = facts.voices
            .filter((voice) => voice.placed === source)
            .map((voice) => voice.level + facts.alternating.driven(voice.id, stage.id) + voice.crest);
          const peak = Math.max(-Infinity, ...levels) - SINE_CREST;
          if (peak <= stage.clip || !leadsToRecorder(facts, stage.id, recorder, records)) return [];
          return [
            {
              where: { part: stage.placed },
              source,
              recorder,
              other: stage.placed,
              values: [{ name: 'peaks', value: peak, unit: 'dBV' }],
              limit: { value: stage.clip, unit: 'dBV', is: 'at most' },
            },
          ];
        }),
      );
  },
});
