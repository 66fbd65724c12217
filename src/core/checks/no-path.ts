import { endsOf, jointsOf, type Rig } from '../rig';
import { failing } from './failing';
import { check } from './check';
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
export const noPath = check({
  code: 'no-path',
  severity: ['blocks'],
  origin: COMPUTED,
  limit: 'Computed from the joints.',
  cures: ['plug', 'link'],
  find: (facts) =>
    failing(facts)
      .filter(({ arrival }) => !joinedTo(facts.rig, arrival.source).has(arrival.recorder))
      .map(({ arrival: { source, recorder } }) => ({
        where: { part: source },
        source,
        recorder,
        values: [],
      })),
});
