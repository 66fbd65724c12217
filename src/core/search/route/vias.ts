import { isWiring, type Part, type PartPort } from '../../parts';
import { contactsOf } from '../../plugs';
import { isDigital, type OpenEnd } from '../ends';
import { carriesMore } from './carried';
import { chargeSockets } from './charging';
import { growsLong } from './lengths';
import type { Pool } from './pool';

/** A box with a socket for the charger of what stands ahead of it. */
export const passesCharge = (part: Part): boolean =>
  (part.hub !== undefined || part.bus !== undefined) && chargeSockets(part).length > 0;

interface Vias {
  boxes?: Map<string, ReadonlySet<Part>>;
  far?: ReadonlySet<Part>;
  balancers?: ReadonlySet<Part>;
  takers?: ReadonlySet<Part>;
}

const kept = new WeakMap<Pool, Vias>();

function keptFor(pool: Pool): Vias {
  const known = kept.get(pool) ?? {};
  kept.set(pool, known);
  return known;
}

/** Boxes that pass a charge on, where that is wanted, and have sockets for so many things more. */
export function viaBoxes(pool: Pool, charges: boolean, more: number): ReadonlySet<Part> {
  const boxes = (keptFor(pool).boxes ??= new Map());
  const key = `${charges} ${more}`;
  const known = boxes.get(key);
  if (known) return known;
  const found = new Set(
    pool.parts.filter((part) => (!charges || passesCharge(part)) && (more === 0 || carriesMore(part, more))),
  );
  boxes.set(key, found);
  return found;
}

const isBalanced = ({ roles = {} }: PartPort): boolean =>
  ['hot', 'cold'].every((role) => Object.values(roles).some((one) => one === role));

/** What makes a long run sound: an output that is balanced, numbers, radio. */
const endsUnbalance = (part: Part): boolean =>
  part.bus !== undefined ||
  part.ports.some((port) => port.connector === 'radio' || (port.direction === 'out' && isBalanced(port)));

/** A run from a balanced output is balanced as far as to what takes both its legs: a balanced input, a winding. */
const endsBalanced = (part: Part): boolean =>
  part.ports.some((port) => port.direction !== 'out' && isBalanced(port)) ||
  part.circuit.some(({ kind }) => kind === 'transformer');

/**
 * What a chain that reaches far has to lead through: what ends the unbalance, where none of its beginnings is balanced; else also what
 * takes a balanced run, or leads that can be balanced where the goal itself takes it.
 */
export function viaFar(pool: Pool, starts: readonly OpenEnd[], goal: Part): ReadonlySet<Part> {
  const kept = keptFor(pool);
  if (!starts.some(({ port, digital }) => digital !== undefined || isBalanced(port)))
    return (kept.balancers ??= new Set(pool.parts.filter(endsUnbalance)));
  if (!endsBalanced(goal) && !starts.some(({ digital }) => digital))
    return (kept.takers ??= new Set(
      pool.parts.filter((part) => !isWiring(part) && (endsBalanced(part) || endsUnbalance(part))),
    ));
  const canBe = (part: Part) =>
    growsLong(part) && part.ports.every((port) => isDigital(port) || contactsOf(port.connector).length === 3);
  return (kept.far ??= new Set(pool.parts.filter((part) => canBe(part) || endsUnbalance(part))));
}
