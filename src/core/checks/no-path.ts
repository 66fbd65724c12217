import { joinedTo } from '../rig';
import { failing } from './failing';
import { check } from './check';
import { COMPUTED } from './origins';

/** A source from which no chain of joints leads to its recorder. */
export const noPath = check({
  code: 'no-path',
  means: 'No chain of joints leads from the source to the recorder.',
  severity: ['blocks'],
  origin: COMPUTED,
  limit: 'Computed from the joints.',
  cures: ['join', 'plug', 'bridge', 'link'],
  assume: ({ source, recorder }) =>
    source === undefined || recorder === undefined
      ? undefined
      : { kind: 'joined', parts: [source, recorder] },
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
