import type { Facts } from '../engine';
import { appOf, SIDE_WITHIN, type HostInput } from '../engine/flow';
import { hasInputsApart } from '../parts';
import { check, type Found } from './check';
import { inputOf } from './input-of';
import { SIDES } from './origins';

/** One input of several is a track that only has to be panned or copied; nobody can do that to what goes out live. */
const canBePanned = (facts: Facts, { host, capture }: HostInput): boolean => {
  const laid = facts.laid.get(host);
  return hasInputsApart(capture) && !(laid && appOf(laid)?.load === 'stream');
};

/** A source on one side of a recorder that has two. */
export const oneSideOnly = check({
  code: 'one-side-only',
  means: 'The recorder has two sides and only one of them carries the source.',
  severity: ['spoils', 'note'],
  origin: SIDES,
  limit: `The quieter side at most ${SIDE_WITHIN} dB under the louder (our own limit).`,
  cures: ['switch', 'choice', 'link', 'plug', 'pair'],
  find: (facts) => {
    if (facts.rig.purpose.tracks !== undefined) return [];
    return facts.arrivals.flatMap((arrival): Found[] => {
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
          where: { part: arrival.recorder },
          ...(canBePanned(facts, input) && { severity: 'note' as const }),
          source: arrival.source,
          recorder: arrival.recorder,
          values: [
            { name: `${silent?.side ?? 'other'} side`, value: peak, unit: 'dBFS' },
            { name: `${arrival.channels} side`, value: arrival.peak, unit: 'dBFS' },
          ],
          limit: { value: arrival.peak - SIDE_WITHIN, unit: 'dBFS', is: 'at least' },
        },
      ];
    });
  },
});
