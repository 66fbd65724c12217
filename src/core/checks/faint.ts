import type { Facts } from '../engine';
import type { Arrival } from '../engine/flow';
import { settingOf, type LaidPart } from '../rig';
import { check, type Found } from './check';
import type { Finding } from './finding';
import { inputOf } from './input-of';
import { FAINTEST } from './levels';
import { FAINT } from './origins';
import { leadsToRecorder, reachesSense, sensesOf } from './stages';

/** A knob with the gain that is left in it, dB. */
interface Left {
  readonly part: string;
  readonly setting: string;
  readonly gain: number;
}

/** What the knobs of a part on the way could still add. */
const left = (laid: LaidPart, knobs: ReadonlySet<string>): Left[] =>
  (laid.part.settings ?? []).flatMap((s) =>
    s.kind === 'knob' && knobs.has(s.id)
      ? [{ part: laid.placed.id, setting: s.id, gain: s.to - Number(settingOf(laid, s.id)) }]
      : [],
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

/** A source that is far too low, be it by a knob that nobody has turned up or because no knob could: a microphone in a line socket. */
export const faint = check({
  code: 'faint',
  means:
    'The source is recorded so low that no recording of it is wanted: gain is left to be turned up, or there is none, as with a microphone in a line socket.',
  severity: ['spoils'],
  origin: FAINT,
  limit: `Peaks at least ${FAINTEST} dBFS (our own limit).`,
  cures: ['gain', 'switch', 'plug', 'link'],
  find: (facts) =>
    facts.arrivals.flatMap((arrival): Found[] => {
      if (arrival.state !== 'recorded' || arrival.peak >= FAINTEST) return [];
      const knobs = [...facts.laid.values()].flatMap((laid) =>
        left(laid, knobsOnTheWay(facts, laid, arrival)),
      );
      const most = knobs.toSorted((a, b) => b.gain - a.gain).find(({ gain }) => gain > 0);
      return [
        {
          where: { part: most?.part ?? arrival.recorder },
          source: arrival.source,
          recorder: arrival.recorder,
          ...(most && { setting: most.setting }),
          values: [
            { name: 'peaks', value: arrival.peak, unit: 'dBFS' },
            { name: 'gain left', value: knobs.reduce((sum, { gain }) => sum + gain, 0), unit: 'dB' },
          ],
          limit: { value: FAINTEST, unit: 'dBFS', is: 'at least' },
        },
      ];
    }),
});

/** Whether a finding says that something is too low. */
export const isTooLow = ({ code }: Pick<Finding, 'code'>): boolean => code === faint.code;
