import type { Arrival, HostInput } from '../engine/flow';
import type { Facts } from '../engine';

/** The input that an arrival is recorded from; undefined for a host's own microphone. */
export const inputOf = (facts: Facts, arrival: Arrival): HostInput | undefined =>
  facts.inputs.find((i) => i.host === arrival.recorder && `${i.placed}/${i.capture.id}` === arrival.records);
