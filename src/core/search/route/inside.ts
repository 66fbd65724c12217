import { contactsOf, type Contact } from '../../plugs';
import { type CircuitElement, type Part, type PartPort, type Quantity, isCopper } from '../../parts';

/** What a part lets through between its contacts, read off its circuit; inner nodes included. */
export interface Inside {
  /** A passive link with two ends: conductors, solder joints and a lead's own capacitance, nothing to set. */
  readonly plain: boolean;
  /** Nodes joined by wires and conductors alone. */
  readonly joined: ReadonlyMap<string, readonly string[]>;
  /** Where sound could go in one step, through whatever element or stage. */
  readonly sound: ReadonlyMap<string, readonly string[]>;
  /** Where direct current could go. */
  readonly direct: ReadonlyMap<string, readonly string[]>;
  /** Positive ends of supplies with the most that they ever stand at. */
  readonly supplies: ReadonlyMap<string, number>;
}

type Links = Map<string, string[]>;

function link(links: Links, a: string, b: string): void {
  links.set(a, [...(links.get(a) ?? []), b]);
}
function both(links: Links, a: string, b: string): void {
  link(links, a, b);
  link(links, b, a);
}

/** The largest value that a figure can take. */
export function most(quantity: Quantity, part: Part): number {
  if (typeof quantity === 'number') return quantity;
  if ('typical' in quantity) return quantity.most;
  if ('perMetre' in quantity) return quantity.perMetre * (part.length ?? 0);
  if ('knob' in quantity) {
    const knob = part.settings?.find((s) => s.id === quantity.knob);
    return knob?.kind === 'knob' ? knob.to : 0;
  }
  return Math.max(...Object.values(quantity.values).map((value) => value ?? -Infinity));
}

const DIRECT: readonly CircuitElement['kind'][] = ['wire', 'conductor', 'resistor', 'inductor', 'supply'];

function readInside(part: Part): Inside {
  const [joined, sound, direct]: Links[] = [new Map(), new Map(), new Map()];
  const supplies = new Map<string, number>();
  for (const element of part.circuit) {
    const { kind, a, b } = element;
    if (kind === 'wire' || kind === 'conductor') both(joined as Links, a, b);
    if (kind === 'transformer') {
      for (const [x, y] of [
        [a, element.c],
        [a, element.d],
        [b, element.c],
        [b, element.d],
        [a, b],
        [element.c, element.d],
      ] as const)
        both(sound as Links, x, y);
      both(direct as Links, a, b);
      both(direct as Links, element.c, element.d);
    } else if (kind !== 'supply' && kind !== 'signal' && kind !== 'electret') both(sound as Links, a, b);
    if (DIRECT.includes(kind)) both(direct as Links, a, b);
    if (kind === 'supply') supplies.set(a, Math.max(supplies.get(a) ?? 0, most(element.volts, part)));
  }
  const stages = new Map(
    part.circuit.flatMap((e) => (e.kind === 'sense' || e.kind === 'drive' ? [[e.id, e] as const] : [])),
  );
  for (const { from, to } of part.paths ?? []) {
    const [sense, drive] = [stages.get(from), stages.get(to)];
    if (!sense || !drive) continue;
    for (const x of [sense.a, sense.b]) for (const y of [drive.a, drive.b]) link(sound as Links, x, y);
  }
  const plain = isCopper(part);
  return { plain, joined: joined as Links, sound: sound as Links, direct: direct as Links, supplies };
}

const known = new WeakMap<Part, Inside>();

/** What is inside a part; kept by the part itself. */
export function insideOf(part: Part): Inside {
  const found = known.get(part) ?? readInside(part);
  known.set(part, found);
  return found;
}

/** Every node that can be reached from some, without going on through what `stops` says. */
export function reach(
  links: ReadonlyMap<string, readonly string[]>,
  from: Iterable<string>,
  stops: ReadonlySet<string> = new Set(),
): Set<string> {
  const found = new Set([...from].filter((node) => !stops.has(node)));
  for (const node of found) {
    for (const next of links.get(node) ?? []) if (!stops.has(next)) found.add(next);
  }
  return found;
}

export const nodesOfPort = (port: PartPort): (readonly [Contact, string])[] =>
  contactsOf(port.connector).map((contact) => [contact, `${port.id}.${contact}`]);

/** Everything in a part that is joined to what its ports call ground. */
export function groundOf(part: Part): Set<string> {
  const named = part.ports.flatMap((port) =>
    nodesOfPort(port).flatMap(([contact, node]) => (port.roles?.[contact] === 'ground' ? [node] : [])),
  );
  return reach(insideOf(part).joined, named);
}
