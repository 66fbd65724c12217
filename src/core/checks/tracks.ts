import { appOf, chooseInput, isAudible, tracksOf, type Arrival, type InputChannel } from '../engine/flow';
import type { Facts } from '../engine/facts';
import { failing, type Failing } from './failing';
import type { Finding } from './finding';
import { CHOICE_IN_APP, OWN_TRACK } from './origins';

const about = ({ source, recorder }: Arrival) => ({ source, recorder, where: { part: recorder } });

function missedTrack(facts: Facts, { arrival, inputs }: Failing): Finding[] {
  const host = facts.laid.get(arrival.recorder);
  if (!host || appOf(host)?.channels !== 'tracks') return [];
  const { input } = chooseInput(facts.rig, host, inputs);
  const carrying = (input?.channels ?? []).filter((c: InputChannel) => isAudible(c, arrival.source));
  const [first] = carrying;
  if (!first) return [];
  const tracks = tracksOf(host);
  const waiting = tracks.find((t) => carrying.some((c) => c.number === t.input));
  const values = [{ name: 'input with the source', value: first.number, unit: '' as const }];
  const common = { severity: 'blocks', ...about(arrival), values, origin: CHOICE_IN_APP } as const;
  return waiting
    ? [{ ...common, code: 'track-not-armed', setting: `arm-${waiting.track}` }]
    : [{ ...common, code: 'wrong-input-number', setting: `track-${tracks[0]?.track ?? 1}` }];
}

/** A source that stands at an input of the device and that no armed track of the project records. */
export const tracks = (facts: Facts): Finding[] => failing(facts).flatMap((f) => missedTrack(facts, f));

/** Two sources that were to be kept apart and share every side or track. */
export function sharesTrack(facts: Facts): Finding[] {
  if (facts.rig.purpose.tracks !== 'apart') return [];
  const recorded = facts.arrivals.filter((a) => a.state === 'recorded');
  return recorded.flatMap((one, index) =>
    recorded.slice(index + 1).flatMap((other): Finding[] => {
      if (other.recorder !== one.recorder) return [];
      const own = (a: Arrival, b: Arrival) => a.inputs.filter((n) => !b.inputs.includes(n)).length;
      if (own(one, other) > 0 && own(other, one) > 0) return [];
      return [
        {
          code: 'shares-track',
          severity: 'spoils',
          ...about(one),
          other: other.source,
          values: [{ name: 'sides or tracks of its own', value: own(one, other), unit: '' }],
          limit: { value: 1, unit: '', is: 'at least' },
          origin: OWN_TRACK,
        },
      ];
    }),
  );
}
