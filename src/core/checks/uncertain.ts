import type { Arrival } from '../engine/flow';
import type { Facts } from '../engine/facts';
import type { Finding } from './finding';
import { JACK_SPREAD } from './origins';

/** A change of level under this between two readings of a joint is not worth a word. A limit of our own. */
const SAME_WITHIN_DB = 0.5;

const differs = (a: Arrival, b: Arrival): boolean =>
  a.state !== b.state ||
  (a.state === 'recorded' && (a.channels !== b.channels || Math.abs(a.peak - b.peak) > SAME_WITHIN_DB));

/** A joint whose jacks differ in a way that changes what arrives: both outcomes, the likelier first. */
export function uncertainContact(nominal: Facts, other: Facts): Finding[] {
  const { departs } = other.reading;
  if (!departs) return [];
  return nominal.arrivals.flatMap((arrival, index): Finding[] => {
    const otherwise = other.arrivals[index];
    if (!otherwise || !differs(arrival, otherwise)) return [];
    return [
      {
        code: 'uncertain-contact',
        severity: arrival.state === 'recorded' && otherwise.state !== 'recorded' ? 'spoils' : 'note',
        where: { joint: departs.joint, jack: [departs.jack], plug: [departs.plug] },
        source: arrival.source,
        recorder: arrival.recorder,
        values: [
          { name: 'speech peaks, most jacks', value: arrival.peak, unit: 'dBFS' },
          { name: 'speech peaks, other jacks', value: otherwise.peak, unit: 'dBFS' },
        ],
        origin: JACK_SPREAD,
      },
    ];
  });
}
