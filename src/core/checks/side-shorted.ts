import { nodeKey } from '../engine/circuit';
import type { Facts } from '../engine';
import type { LaidPart } from '../rig';
import { check, type Found } from './check';
import { BRIDGING } from './origins';
import { BRIDGES, sidesOfSources } from './output-sides';

/** What lies on the ground of a port. */
function groundOf(facts: Facts, { placed, part }: LaidPart, id: string): number | undefined {
  const roles = Object.entries(part.ports.find((port) => port.id === id)?.roles ?? {});
  const [contact] = roles.find(([, role]) => role === 'ground') ?? [];
  return contact === undefined ? undefined : facts.nets.of(nodeKey(placed.id, `${id}.${contact}`));
}

/** One side of a stereo output lies on its ground: a plug with one dark band in a socket with room for two. */
export const sideShorted = check({
  code: 'side-shorted',
  means:
    'A plug without a second ring joins one side of a stereo output to its ground. What is on that side is not recorded, and its amplifier works into a short circuit. A lead with two rings, a breakout lead or a pad for both sides keeps it.',
  severity: ['note'],
  origin: BRIDGING,
  limit: `A load of at least ${BRIDGES} times the output’s own resistance.`,
  cures: ['link'],
  find: (facts) =>
    sidesOfSources(facts).flatMap(({ source, laid, sides }) =>
      sides.flatMap((side): Found[] => {
        const ground = groundOf(facts, laid, side.port);
        const other = sides.find(({ port, role }) => port === side.port && role !== side.role);
        // What gives both sides the same, as a microphone does in its headphone socket, has nothing to lose.
        const isLost = other !== undefined && other.gives !== side.gives && other.net !== ground;
        if (!side.isOwn || side.net === undefined || side.net !== ground || !isLost) return [];
        return [
          {
            where: { part: laid.placed.id, port: side.port },
            source,
            values: [{ name: 'load', value: 0, unit: 'ohm' }],
            limit: { value: BRIDGES * side.ohms, unit: 'ohm', is: 'at least' },
          },
        ];
      }),
    ),
});
