import { check, type Found } from './check';
import { BRIDGING } from './origins';
import { BRIDGES, sidesOfSources } from './output-sides';

/** Left and right of one output joined by copper: each works into the other. What gives both sides the same has nothing to lose. */
export const sidesTied = check({
  code: 'sides-tied',
  means:
    'A lead or adapter joins left and right of one output by bare copper. Where the two differ, each pulls against the other; level and bass go, and a small amplifier gets warm. Two resistors, two inputs of a mixer or one side alone do it properly.',
  severity: ['note'],
  origin: BRIDGING,
  limit: `A load of at least ${BRIDGES} times the output’s own resistance.`,
  cures: ['link'],
  find: (facts) =>
    sidesOfSources(facts).flatMap(({ source, laid, sides }): Found[] => {
      const left = sides.find(({ role }) => role === 'left');
      const right = sides.find(({ role, net }) => role === 'right' && net === left?.net);
      if (!left || !right || left.net === undefined || left.gives === right.gives) return [];
      if (right.ohms >= BRIDGES * left.ohms) return [];
      return [
        {
          where: { part: laid.placed.id, port: left.port },
          source,
          values: [{ name: 'load', value: right.ohms, unit: 'ohm' }],
          limit: { value: BRIDGES * left.ohms, unit: 'ohm', is: 'at least' },
        },
      ];
    }),
});
