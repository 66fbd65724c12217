import type { Part, PartPort } from '../../parts';
import { isDigital } from './ends';
import type { Pool } from './pool';

/** A way through a part by its ports alone, the cheapest of its kind. */
export interface ExitKind {
  readonly part: Part;
  readonly entry: PartPort;
  readonly exit: PartPort;
}

const kept = new WeakMap<Pool, readonly ExitKind[]>();

/** Every pair of ports by which something could enter and leave a part of the pool. */
export function exitKinds(pool: Pool): readonly ExitKind[] {
  const known = kept.get(pool);
  if (known) return known;
  const found = pool.parts.flatMap((part) =>
    part.ports.flatMap((entry) =>
      entry.direction === 'out'
        ? []
        : part.ports
            .filter((exit) => exit !== entry && (exit.direction !== 'in' || isDigital(exit)))
            .map((exit) => ({ part, entry, exit })),
    ),
  );
  // Of ways between equal kinds of ports only one a part is needed.
  const once = new Map(
    found.map((way) => [
      `${way.part.id} ${way.entry.connector} ${way.entry.gender} ${way.exit.connector} ${way.exit.gender}`,
      way,
    ]),
  );
  kept.set(pool, [...once.values()]);
  return [...once.values()];
}
