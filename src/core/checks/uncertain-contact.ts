import type { Facts } from '../engine';
import type { Arrival } from '../engine/flow';
import type { Listener } from '../engine/returns';
import { check, type Found } from './check';
import { JACK_SPREAD } from './origins';

/** A change of level under this between two readings of a joint is not worth a word, dB. A limit of our own. */
const SAME_WITHIN_DB = 0.5;

const differs = (a: Arrival, b: Arrival): boolean =>
  a.state !== b.state ||
  (a.state === 'recorded' && (a.channels !== b.channels || Math.abs(a.peak - b.peak) > SAME_WITHIN_DB));

/** What a pair of ears hears, as text: devices with their sides, sources with theirs. */
const heardBy = ({ hears, sources }: Listener): string =>
  [
    ...hears.map(({ device, sides, common }) => `${device} ${sides} ${common < -10 ? 'against' : ''}`),
    ...sources.map(({ source, sides, by }) => `${source} ${sides} ${by}`),
  ]
    .sort()
    .join();

function atRecorders(nominal: Facts, other: Facts): Found[] {
  const { departs } = other.reading;
  if (!departs) return [];
  return nominal.arrivals.flatMap((arrival, index): Found[] => {
    const otherwise = other.arrivals[index];
    if (!otherwise || !differs(arrival, otherwise)) return [];
    return [
      {
        severity: arrival.state === 'recorded' && otherwise.state !== 'recorded' ? 'spoils' : 'note',
        where: { joint: departs.joint, jack: [departs.jack], plug: [departs.plug] },
        source: arrival.source,
        recorder: arrival.recorder,
        values: [
          { name: 'peaks, most jacks', value: arrival.peak, unit: 'dBFS' },
          { name: 'peaks, other jacks', value: otherwise.peak, unit: 'dBFS' },
        ],
      },
    ];
  });
}

function atEars(nominal: Facts, other: Facts): Found[] {
  const { departs } = other.reading;
  if (!departs) return [];
  return nominal.listeners.flatMap((listener, index): Found[] => {
    const otherwise = other.listeners[index];
    if (!otherwise || heardBy(listener) === heardBy(otherwise)) return [];
    return [
      {
        severity: 'note',
        where: { joint: departs.joint, jack: [departs.jack], plug: [departs.plug] },
        other: listener.listener,
        values: [],
      },
    ];
  });
}

/** A joint whose jacks differ in a way that changes what is recorded or heard: both outcomes, the likelier first. */
export const uncertainContact = check({
  code: 'uncertain-contact',
  means:
    'A spring of the jack may lie on either of two contacts of the plug; real jacks differ, and so does what arrives.',
  severity: ['spoils', 'note'],
  origin: JACK_SPREAD,
  limit: 'Spread of spring depths, typical (from memory).',
  cures: ['link', 'plug'],
  find: (nominal, others) =>
    others.flatMap((other) => {
      const recorders = atRecorders(nominal, other);
      return recorders.length > 0 ? recorders : atEars(nominal, other);
    }),
});
