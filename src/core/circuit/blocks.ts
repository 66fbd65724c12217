import type { Branch, Nets } from './nets';
import { UnionFind } from './union-find';

/**
 * Nets that are solved together: all that conduct into one another, and what transformers couple to them. Each part of
 * it that conducts by itself has a reference net of its own, at zero volts.
 */
export interface Block {
  readonly nets: readonly number[];
  readonly references: ReadonlySet<number>;
  readonly branches: readonly Branch[];
}

/** Which conducting part a net belongs to: only within one can voltages be compared. */
export type Floor = ReadonlyMap<number, string>;

const key = (net: number) => String(net);

function unite(sets: UnionFind, branch: Branch): void {
  sets.union(key(branch.from), key(branch.to));
  if (branch.winding) sets.union(key(branch.winding.from), key(branch.winding.to));
}

/** Splits the nets by the branches given, those that conduct. */
export function blocks(nets: Nets, branches: readonly Branch[]): { blocks: Block[]; floor: Floor } {
  const floors = new UnionFind();
  for (const branch of branches) unite(floors, branch);
  const coupled = new UnionFind();
  for (const branch of branches) {
    unite(coupled, branch);
    if (branch.winding) coupled.union(key(branch.from), key(branch.winding.from));
  }
  const floor = new Map<number, string>();
  const found = new Map<string, { nets: number[]; references: Set<number>; branches: Branch[] }>();
  const grounded = new Set<string>();
  for (let net = 0; net < nets.count; net += 1) {
    const [root, at] = [coupled.find(key(net)), floors.find(key(net))];
    const block = found.get(root) ?? { nets: [], references: new Set<number>(), branches: [] };
    found.set(root, block);
    block.nets.push(net);
    floor.set(net, at);
    if (!grounded.has(at)) block.references.add(net);
    grounded.add(at);
  }
  for (const branch of branches) found.get(coupled.find(key(branch.from)))?.branches.push(branch);
  return { blocks: [...found.values()], floor };
}
