import { isWiring, type Part } from '../../parts';
import type { OpenEnd } from '../ends';
import { bridging, canBeLong, endsBalanced, isBalanced, takesBalanced, type Bridging } from './bridging';
import { carriesMore } from './carried';
import { chargeSockets } from './charging';
import type { Pool } from './pool';

/** A box with a socket for the charger of what stands ahead of it. */
export const passesCharge = (part: Part): boolean =>
  (part.hub !== undefined || part.bus !== undefined) && chargeSockets(part).length > 0;

interface Vias {
  boxes?: Map<string, ReadonlySet<Part>>;
  far?: ReadonlySet<Part>;
  /** Where numbers reach as far, and where they do not. */
  balancers: Map<boolean, ReadonlySet<Part>>;
  takers?: ReadonlySet<Part>;
}

const kept = new WeakMap<Pool, Vias>();

function keptFor(pool: Pool): Vias {
  const known = kept.get(pool) ?? { balancers: new Map<boolean, ReadonlySet<Part>>() };
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

/** What makes a long run sound: an output that is balanced, radio, numbers where they reach so far. */
const endsUnbalance = (part: Part, byNumbers = true): boolean =>
  (byNumbers && part.bus !== undefined) ||
  part.ports.some((port) => port.connector === 'radio' || (port.direction === 'out' && isBalanced(port)));

/** Parts that a chain has to lead through, and how far what follows them bridges. */
export interface Via {
  readonly via: ReadonlySet<Part>;
  readonly bridges?: Bridging;
}

/**
 * What a chain that reaches far has to lead through: what ends the unbalance, where none of its beginnings is balanced, and then what
 * bridges; else also what takes a balanced run, or leads that can be balanced where the goal itself takes it. `byNumbers`: a lead for
 * numbers may reach so far.
 */
export function viaFar(pool: Pool, starts: readonly OpenEnd[], goal: Part, byNumbers: boolean): Via {
  const kept = keptFor(pool);
  if (!starts.some(({ port, digital }) => digital !== undefined || isBalanced(port))) {
    const via =
      kept.balancers.get(byNumbers) ?? new Set(pool.parts.filter((part) => endsUnbalance(part, byNumbers)));
    kept.balancers.set(byNumbers, via);
    return { via, bridges: bridging(endsBalanced(goal), byNumbers) };
  }
  if (!endsBalanced(goal) && !starts.some(({ digital }) => digital)) {
    const takes = (part: Part) => takesBalanced(part) || (!isWiring(part) && endsUnbalance(part));
    return { via: (kept.takers ??= new Set(pool.parts.filter(takes))) };
  }
  return {
    via: (kept.far ??= new Set(pool.parts.filter((part) => canBeLong(part) || endsUnbalance(part)))),
  };
}
