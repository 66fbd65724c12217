import type { Facts } from '../../engine';
import { bandLoss } from '../../engine/flow';
import { inputOf } from '../../engine/levels';

/** What is lost of any source at the worst place of its band on its way to its recorder, dB. */
export const lostOf = (facts: Facts): number =>
  Math.max(
    0,
    ...facts.arrivals.map((arrival) => {
      const input = inputOf(facts, arrival);
      return (input && bandLoss(facts, input, arrival.source)?.decibels) ?? 0;
    }),
  );
