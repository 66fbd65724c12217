import type { Part, PartPort } from '../parts';
import { mate } from '../plugs';
import { portsInOpening } from './lookup';

/** A lead that stays: the port in which it is, and what it brings there. */
export interface Kept {
  readonly own: PartPort;
  readonly far: PartPort;
}

const rolesOf = ({ roles }: PartPort): string => JSON.stringify(roles ?? {});

/** How little a port is like another: of the same name, of the same roles, of the same direction. Undefined for one that does something else. */
function unlikeness(own: PartPort, other: PartPort): number | undefined {
  if (own.direction !== other.direction) return undefined;
  if (own.id === other.id) return 0;
  return rolesOf(own) === rolesOf(other) ? 1 : 2;
}

/** The openings of a part, each with a number; ports in one opening take one plug between them. */
function openingsOf(part: Part): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  for (const [number, port] of part.ports.entries())
    for (const { id } of portsInOpening(part, port)) if (!found.has(id)) found.set(id, number);
  return found;
}

/**
 * A port of `part` for every lead of a box with many of them: an output's into an output, by name where it has one. A matching in a graph of two sides by
 * augmenting paths (Kuhn 1955, after Kőnig), so that it takes as long as leads times ports, and not as many ways as there are. Undefined where one finds no
 * place. Port ids in the order of the leads.
 */
export function keepRoles(part: Part, leads: readonly Kept[]): string[] | undefined {
  const openings = openingsOf(part);
  const choices = leads.map(({ own, far }) =>
    part.ports
      .flatMap((port) => {
        const unlike = unlikeness(own, port);
        return unlike !== undefined && mate(port, far).fits ? [{ id: port.id, unlike }] : [];
      })
      .sort((a, b) => a.unlike - b.unlike),
  );
  const held = new Map<number, { readonly lead: number; readonly id: string }>();
  const openingOf = (id: string) => openings.get(id) ?? -1;
  /** Into a port that is free, or else into one whose lead finds another. */
  const seat = (lead: number, seen: Set<number>): boolean => {
    const own = choices[lead] ?? [];
    const free = own.find(({ id }) => !held.has(openingOf(id)) && !seen.has(openingOf(id)));
    const found =
      free ??
      own.find(({ id }) => {
        const opening = openingOf(id);
        const before = held.get(opening);
        if (!before || seen.has(opening)) return false;
        seen.add(opening);
        return seat(before.lead, seen);
      });
    if (found) held.set(openingOf(found.id), { lead, id: found.id });
    return found !== undefined;
  };
  // Those that have a port of their own name first: nobody takes it from them without need.
  const order = [...leads.keys()].sort(
    (a, b) => (choices[a]?.[0]?.unlike ?? 3) - (choices[b]?.[0]?.unlike ?? 3),
  );
  if (!order.every((lead) => seat(lead, new Set()))) return undefined;
  const found = new Map([...held.values()].map(({ lead, id }) => [lead, id]));
  return leads.map((_, lead) => found.get(lead) ?? '');
}
