import type { Facts } from '../engine';
import type { Arrival } from '../engine/flow';
import { settingOf, type LaidPart } from '../rig';
import { check, type Found } from './check';
import { inputOf } from './input-of';
import { FAINT } from './origins';
import { leadsToRecorder, reachesSense, sensesOf } from './stages';

/** Peaks under this that no knob brings up are no recording that anybody wants, dBFS. A limit of our own: 30 dB under the usual target. */
export const FAINTEST = -42;

/** What the knobs of a part on the way could still add, dB. */
const left = (laid: LaidPart, knobs: ReadonlySet<string>): number =>
  (laid.part.settings ?? []).reduce(
    (sum, s) => (s.kind === 'knob' && knobs.has(s.id) ? sum + s.to - Number(settingOf(laid, s.id)) : sum),
    0,
  );

/** Knobs of a part that stand in the gain of its stages between a source and a recorder, or of its converter. */
function knobsOnTheWay(facts: Facts, laid: LaidPart, arrival: Arrival): Set<string> {
  const { id } = laid.placed;
  const senses = sensesOf(facts);
  const paths = (laid.part.paths ?? []).filter((path) => {
    const sense = senses.get(`${id}/${path.from}`);
    return (
      sense !== undefined &&
      reachesSense(facts, arrival.source, sense) &&
      leadsToRecorder(facts, `${id}/${path.to}`, arrival.recorder, arrival.records)
    );
  });
  const input = inputOf(facts, arrival);
  const captured =
    input?.placed === id ? [input.capture.gain, ...input.capture.channels.map((c) => c.gain)] : [];
  const gains = [...paths.flatMap((path) => path.gain), ...captured];
  return new Set(gains.flatMap((gain) => (typeof gain === 'object' && 'knob' in gain ? [gain.knob] : [])));
}

/** A source that stands out of the noise and is far too low all the same, with no gain left: a microphone in a line socket. */
export const faint = check({
  code: 'faint',
  means:
    'The source stands out of the noise and is so low that no recording of it is wanted, and no knob on the way brings it up: a microphone in a line socket, as a rule.',
  severity: ['spoils'],
  origin: FAINT,
  limit: `Peaks at least ${FAINTEST} dBFS with every knob on the way turned up (our own limit).`,
  cures: ['switch', 'plug', 'link', 'gain'],
  find: (facts) =>
    facts.arrivals.flatMap((arrival): Found[] => {
      if (arrival.state !== 'recorded' || arrival.peak >= FAINTEST) return [];
      const more = [...facts.laid.values()].reduce(
        (sum, laid) => sum + left(laid, knobsOnTheWay(facts, laid, arrival)),
        0,
      );
      if (arrival.peak + more >= FAINTEST) return [];
      return [
        {
          where: { part: arrival.recorder },
          source: arrival.source,
          recorder: arrival.recorder,
          values: [
            { name: 'peaks', value: arrival.peak, unit: 'dBFS' },
            { name: 'gain left', value: more, unit: 'dB' },
          ],
          limit: { value: FAINTEST, unit: 'dBFS', is: 'at least' },
        },
      ];
    }),
});
