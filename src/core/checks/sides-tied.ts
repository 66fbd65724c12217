import type { Facts } from '../engine';
import { nodeKey } from '../engine/circuit';
import type { LaidPart } from '../rig';
import { check, type Found } from './check';
import { BRIDGING } from './origins';

/** A load of so many times an output's own resistance leaves its level alone, −0.83 dB. */
const BRIDGES = 10;

/** A side of an output: its contact, what gives it its sound, and the resistance between. */
interface Side {
  readonly port: string;
  readonly role: string;
  readonly net: number | undefined;
  readonly gives: string;
  readonly ohms: number;
}

/** From a contact, through what stands in series with it, to the first thing of the part that gives sound. */
function giverOf({ part }: LaidPart, contact: string): { gives: string; ohms: number } | undefined {
  const open = [{ node: contact, ohms: 0 }];
  const seen = new Set([contact]);
  for (let at = open.shift(); at !== undefined; at = open.shift()) {
    const { node, ohms } = at;
    for (const element of part.circuit) {
      if (element.a !== node && element.b !== node) continue;
      if ((element.kind === 'signal' || element.kind === 'drive') && element.a === node)
        return { gives: element.id, ohms };
      const isLine = element.kind === 'resistor' || element.kind === 'capacitor' || element.kind === 'wire';
      const next = element.a === node ? element.b : element.a;
      if (!isLine || seen.has(next)) continue;
      seen.add(next);
      const own = element.kind === 'resistor' && typeof element.ohms === 'number' ? element.ohms : 0;
      open.push({ node: next, ohms: ohms + own });
    }
  }
  return undefined;
}

function sidesOf(facts: Facts, laid: LaidPart): Side[] {
  return laid.part.ports
    .filter(({ direction }) => direction !== 'in')
    .flatMap((port) =>
      Object.entries(port.roles ?? {}).flatMap(([contact, role]): Side[] => {
        if (role !== 'left' && role !== 'right') return [];
        const giver = giverOf(laid, `${port.id}.${contact}`);
        const net = facts.nets.of(nodeKey(laid.placed.id, `${port.id}.${contact}`));
        return giver ? [{ port: port.id, role, net, ...giver }] : [];
      }),
    );
}

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
    // Of what is not meant to be heard there is nothing to lose.
    facts.rig.purpose.sources.flatMap((id): Found[] => {
      const laid = facts.laid.get(id);
      if (!laid) return [];
      const sides = sidesOf(facts, laid);
      const left = sides.find(({ role }) => role === 'left');
      const right = sides.find(({ role, net }) => role === 'right' && net === left?.net);
      if (!left || !right || left.net === undefined || left.gives === right.gives) return [];
      if (right.ohms >= BRIDGES * left.ohms) return [];
      return [
        {
          where: { part: laid.placed.id, port: left.port },
          source: laid.placed.id,
          values: [{ name: 'load', value: right.ohms, unit: 'ohm' }],
          limit: { value: BRIDGES * left.ohms, unit: 'ohm', is: 'at least' },
        },
      ];
    }),
});
