import { isWiring, type Part, type PartPort } from '../../parts';
import { copperOf, nodesOfPort } from '../ends';
import type { Entry } from './pool';
import { reachAfter } from './standing';

const known = new WeakMap<Part, Map<PartPort, string | undefined>>();

/**
 * What copper does with whatever comes to one of its ports, as a name: which contact of each other port lies on which of the one that is
 * entered, and whether it reaches from place to place. Of copper of one name any is as good, but for its price. Undefined for all else.
 */
export function copperKind({ part, port }: Entry): string | undefined {
  const byPort = known.get(part) ?? new Map<PartPort, string | undefined>();
  known.set(part, byPort);
  if (!byPort.has(port)) byPort.set(port, isCopper(part) ? kindOf(part, port) : undefined);
  return byPort.get(port);
}

const isCopper = (part: Part): boolean =>
  isWiring(part) && part.ports.length > 1 && part.circuit.every(({ kind }) => kind !== 'resistor');

function kindOf(part: Part, entry: PartPort): string {
  const copper = copperOf(part);
  const names = new Map<number, number>();
  const nameOf = (node: number): number => {
    const root = copper(node);
    const name = names.get(root) ?? names.size;
    names.set(root, name);
    return name;
  };
  const others = part.ports.filter((port) => port !== entry);
  return [entry, ...others]
    .map((port) => {
      const contacts = nodesOfPort(port, part)
        .map(([contact, node]) => [contact, node] as const)
        .sort(([a], [b]) => a.localeCompare(b));
      return JSON.stringify([
        port.connector,
        port.gender,
        port.direction,
        port.roles ?? {},
        reachAfter('rigid', part, port),
        contacts.map(([contact, node]) => `${contact} ${nameOf(node)}`),
      ]);
    })
    .join('|');
}
