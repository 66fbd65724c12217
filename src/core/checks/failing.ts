import type { Arrival, HostInput } from '../engine/flow';
import type { Facts } from '../engine';

/** An intended source that does not get through, with the inputs that its recorder could have taken. */
export interface Failing {
  readonly arrival: Arrival;
  readonly inputs: readonly HostInput[];
}

/** Every intended source that is not recorded. */
export const failing = (facts: Facts): Failing[] =>
  facts.arrivals
    .filter((arrival) => arrival.state !== 'recorded')
    .map((arrival) => ({
      arrival,
      inputs: facts.inputs.filter((input) => input.host === arrival.recorder),
    }));
