import { endsOf, jointsOf, type Rig } from '../rig';
import type { Facts } from '../engine/facts';
import { failing } from './failing';
import type { Finding } from './finding';
import { COMPUTED } from './origins';

/** Placed parts that hang together with one, by any joint. */
function joinedTo(rig: Rig, start: string): Set<string> {
  const seen = new Set([start]);
  for (const id of seen) {
    for (const joint of jointsOf(rig, id)) {
      const far = endsOf(joint, id)?.far.part;
      if (far !== undefined) seen.add(far);
    }
  }
  return seen;
}

/** A source from which no chain of joints leads to its recorder. */
export function noPath(facts: Facts): Finding[] {
  return failing(facts)
    .filter(({ arrival }) => !joinedTo(facts.rig, arrival.source).has(arrival.recorder))
    .map(({ arrival }) => ({
      code: 'no-path',
      severity: 'blocks',
      where: { part: arrival.source },
      source: arrival.source,
      recorder: arrival.recorder,
      values: [],
      origin: COMPUTED,
    }));
}
