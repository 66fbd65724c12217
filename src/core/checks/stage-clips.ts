import { magnitude, nodeKey } from '../engine/circuit';
import { SPEECH_CREST, type Arrival } from '../engine/flow';
import { SINE_CREST } from '../units';
import type { Facts } from '../engine/facts';
import { inputOf } from './input-of';
import type { Finding } from './finding';
import { STAGE_LIMIT } from './origins';

/** Whether a stage's output comes to the input that is recorded from. */
function leadsTo(facts: Facts, stage: string, arrival: Arrival): boolean {
  const input = inputOf(facts, arrival);
  return (input?.capture.channels ?? []).some(({ plus, minus }) => {
    const net = (node: string) => facts.nets.of(nodeKey(input?.placed ?? '', node));
    const gain = facts.alternating.gain(stage, net(plus), net(minus));
    return gain !== undefined && magnitude(gain) > 0;
  });
}

/** A stage between source and recorder that speech peaks drive past its largest output. */
export function stageClips(facts: Facts): Finding[] {
  const stages = facts.elements.filter((e) => e.kind === 'drive');
  return facts.arrivals
    .filter((arrival) => arrival.state === 'recorded')
    .flatMap((arrival) =>
      stages.flatMap((stage): Finding[] => {
        if (!leadsTo(facts, stage.id, arrival)) return [];
        const levels = facts.voices
          .filter((voice) => voice.placed === arrival.source)
          .map((voice) => voice.level + facts.alternating.driven(voice.id, stage.id));
        const peak = Math.max(-Infinity, ...levels) + SPEECH_CREST - SINE_CREST;
        if (peak <= stage.clip) return [];
        return [
          {
            code: 'stage-clips',
            severity: 'spoils',
            where: { part: stage.placed },
            source: arrival.source,
            recorder: arrival.recorder,
            other: stage.placed,
            values: [{ name: 'speech peaks', value: peak, unit: 'dBV' }],
            limit: { value: stage.clip, unit: 'dBV', is: 'at most' },
            origin: STAGE_LIMIT,
          },
        ];
      }),
    );
}
