import type { Branch, Nets } from './nets';
import { UnionFind } from './union-find';

/**
 * Nets that are solved together. Every part of the circuit that conducts by itself has one reference net, at zero
 * volts, its busiest; what hangs together only through that net is solved apart, for no current goes from one to the other.
 * Transformers couple blocks into one.
 */
export interface Block {
  /** Without the references. */
  readonly nets: readonly number[];
  readonly branches: readonly Branch[];
}

export interface Split {
  readonly blocks: readonly Block[];
  readonly references: ReadonlySet<number>;
  /** Which conducting part a net belongs to: only within one can voltages be compared. */
  readonly floor: ReadonlyMap<number, string>;
}

const key = (net: number) => String(net);

/** The nets of each winding of a branch: what it joins conductively. */
export const endsOf = (branch: Branch): readonly (readonly [number, number])[] =>
  branch.winding
    ? [
        [branch.from, branch.to],
        [branch.winding.from, branch.winding.to],
      ]
    : [[branch.from, branch.to]];

/** The busiest net of each floor. */
function chooseReferences(nets: Nets, branches: readonly Branch[], floor: (net: number) => string) {
  const degree = new Map<number, number>();
  for (const branch of branches) {
    for (const net of endsOf(branch).flat()) degree.set(net, (degree.get(net) ?? 0) + 1);
  }
  const best = new Map<string, number>();
  for (let net = 0; net < nets.count; net += 1) {
    const current = best.get(floor(net));
    if (current === undefined || (degree.get(net) ?? 0) > (degree.get(current) ?? 0))
      best.set(floor(net), net);
  }
  return new Set(best.values());
}

/** Splits the nets by the branches given, those that conduct. */
export function blocks(nets: Nets, branches: readonly Branch[]): Split {
  const floors = new UnionFind();
  for (const branch of branches) for (const [a, b] of endsOf(branch)) floors.union(key(a), key(b));
  const floorOf = (net: number) => floors.find(key(net));
  const references = chooseReferences(nets, branches, floorOf);
  const together = new UnionFind();
  /** A net that is no reference, by which a branch is known; undefined for one between references. */
  const anchors = (branch: Branch) =>
    endsOf(branch)
      .flat()
      .filter((net) => !references.has(net));
  for (const branch of branches) {
    const [first, ...others] = anchors(branch);
    for (const other of others) if (first !== undefined) together.union(key(first), key(other));
  }
  const found = new Map<string, { nets: number[]; branches: Branch[] }>();
  for (let net = 0; net < nets.count; net += 1) {
    if (references.has(net)) continue;
    const root = together.find(key(net));
    const block = found.get(root) ?? { nets: [], branches: [] };
    block.nets.push(net);
    found.set(root, block);
  }
  for (const branch of branches) {
    const [first] = anchors(branch);
    if (first !== undefined) found.get(together.find(key(first)))?.branches.push(branch);
  }
  const floor = new Map(Array.from({ length: nets.count }, (_, net) => [net, floorOf(net)]));
  return { blocks: [...found.values()], references, floor };
}
