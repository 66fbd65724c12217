import { AUDIBLE_OVER_NOISE, SIDE_WITHIN, type Arrival } from '../engine/flow';
import type { Facts } from '../engine/facts';
import type { Finding } from './finding';
import { inputOf } from './input-of';
import { AUDIBILITY, FULL_SCALE, SIDES } from './origins';

const about = (arrival: Arrival) => ({ source: arrival.source, recorder: arrival.recorder });

/** Speech peaks above full scale at the converter. */
export function clips(facts: Facts): Finding[] {
  return facts.arrivals
    .filter((arrival) => arrival.state === 'recorded' && arrival.headroom < 0)
    .map((arrival) => ({
      code: 'clips',
      severity: 'spoils',
      where: { part: inputOf(facts, arrival)?.placed ?? arrival.recorder },
      ...about(arrival),
      values: [{ name: 'speech peaks at the converter', value: -arrival.headroom, unit: 'dBFS' }],
      limit: { value: 0, unit: 'dBFS', is: 'at most' },
      origin: FULL_SCALE,
    }));
}

/** A source on one side of a recorder that has two. */
export function oneSideOnly(facts: Facts): Finding[] {
  if (facts.rig.purpose.tracks === 'apart') return [];
  return facts.arrivals.flatMap((arrival): Finding[] => {
    const input = inputOf(facts, arrival);
    if (arrival.state !== 'recorded' || !input || input.channels.length < 2) return [];
    // An app that sums its sides has none to be empty.
    if (arrival.channels === 'both' || arrival.channels === 'mono') return [];
    const silent = input.channels.find((c) => c.side !== arrival.channels && c.side !== 'further');
    const peak = Math.max(
      -Infinity,
      ...(silent?.signals ?? []).filter((s) => s.source.placed === arrival.source).map((s) => s.peak),
    );
    return [
      {
        code: 'one-side-only',
        severity: 'spoils',
        where: { part: arrival.recorder },
        ...about(arrival),
        values: [
          { name: `${silent?.side ?? 'other'} side`, value: peak, unit: 'dBFS' },
          { name: `${arrival.channels} side`, value: arrival.peak, unit: 'dBFS' },
        ],
        limit: { value: arrival.peak - SIDE_WITHIN, unit: 'dBFS', is: 'at least' },
        origin: SIDES,
      },
    ];
  });
}

/** The finding of last resort for a source that does not get through: how much of it is there, against the noise. */
export function tooQuiet(arrival: Arrival): Finding {
  const heard = arrival.state === 'listed-silent' ? arrival.peak : -Infinity;
  return {
    code: 'too-quiet',
    severity: 'blocks',
    where: { part: arrival.recorder },
    ...about(arrival),
    values: [
      { name: 'speech peaks', value: heard, unit: 'dBFS' },
      { name: 'noise', value: arrival.noise, unit: 'dBFS' },
    ],
    limit: { value: arrival.noise + AUDIBLE_OVER_NOISE, unit: 'dBFS', is: 'at least' },
    origin: AUDIBILITY,
  };
}
