import { bandLoss, bandLossAt } from '../engine/flow';
import { recordedWays } from '../engine/levels';
import { check, type Found } from './check';
import { inputOf } from './input-of';
import { HALF_POWER } from './origins';

/** Half the power: where a response ends, dB (IEC 60268-1; from memory). */
export const LOST_DB = 3;

/** A lead that brings it to both inputs of a pair and one that goes to a single one make no more difference than this: half the load. */
const PAIR_DB = 6.1;

/** A source that is loaded so that a part of its band is lost: a pick-up on a few kilohms, treble into a long lead. */
export const dull = check({
  code: 'dull',
  means:
    'The source is loaded so that a part of its band is lost: a pick-up on a few kilohms, treble into a long lead.',
  severity: ['spoils'],
  origin: HALF_POWER,
  limit: `${LOST_DB} dB within the band of the source (half power).`,
  cures: ['switch', 'plug', 'link'],
  isLostAt: (facts, { source, recorder, values }) => {
    const way = recordedWays(facts).find((w) => w.source === source && w.recorder === recorder);
    const next = way?.chain.stages[1];
    if (!next || source === undefined) return undefined;
    const senses = facts.elements.flatMap((e) =>
      e.kind === 'sense' && e.placed === next.placed ? [{ plus: e.a, minus: e.b }] : [],
    );
    const lost = next.is === 'input' ? bandLossAt(facts, source, senses)?.decibels : values[0]?.value;
    return lost !== undefined && lost > LOST_DB
      ? { part: next.placed, byFar: lost > LOST_DB + PAIR_DB }
      : undefined;
  },
  find: (facts) =>
    facts.arrivals.flatMap((arrival): Found[] => {
      const input = arrival.state === 'recorded' ? inputOf(facts, arrival) : undefined;
      if (!input) return [];
      const loss = bandLoss(facts, input, arrival.source);
      if (!loss || loss.decibels <= LOST_DB) return [];
      return [
        {
          where: { part: arrival.source },
          source: arrival.source,
          recorder: arrival.recorder,
          values: [
            { name: 'lost', value: loss.decibels, unit: 'dB' },
            { name: 'at', value: loss.at, unit: 'Hz' },
          ],
          limit: { value: LOST_DB, unit: 'dB', is: 'at most' },
        },
      ];
    }),
});
