import { endsOf, type Block } from './blocks';
import type { Branch } from './nets';
import { UnionFind } from './union-find';

const key = (net: number) => String(net);

/** Sources at rest: for alternating current, what they bring apart, they are wires. */
const isWire = (branch: Branch): boolean => branch.kind === 'supply' || branch.kind === 'signal';

function rename(branch: Branch, to: (net: number) => number): Branch {
  const moved = { ...branch, from: to(branch.from), to: to(branch.to) };
  return branch.winding
    ? { ...moved, winding: { from: to(branch.winding.from), to: to(branch.winding.to) } }
    : moved;
}

/** Leaves out, again and again, what hangs on the rest by one end only: no current flows there. */
function prune(branches: readonly Branch[], keep: ReadonlySet<number>): Branch[] {
  let left = [...branches];
  for (;;) {
    const degree = new Map<number, number>();
    for (const branch of left)
      for (const net of endsOf(branch).flat()) degree.set(net, (degree.get(net) ?? 0) + 1);
    const hangs = (net: number) => degree.get(net) === 1 && !keep.has(net);
    const next = left.filter((b) => b.winding !== undefined || !(hangs(b.from) || hangs(b.to)));
    if (next.length === left.length) return left;
    left = next;
  }
}

/** A smaller block with the same answers between the nets of `keep`, its sources at rest. */
export interface Reduced {
  readonly block: Block;
  /** The net that stands for a net of the whole block; undefined for one that is at zero now. */
  readonly stands: (net: number) => number | undefined;
}

export function reduce(block: Block, keep: ReadonlySet<number>): Reduced {
  const sets = new UnionFind();
  for (const branch of block.branches) if (isWire(branch)) sets.union(key(branch.from), key(branch.to));
  const root = (net: number) => Number(sets.find(key(net)));
  const atZero = new Set([...block.zeros].map(root));
  const kept = new Set([...[...keep].map(root), ...atZero]);
  const merged = block.branches
    .filter((branch) => !isWire(branch))
    .map((branch) => rename(branch, root))
    .filter((branch) => branch.winding !== undefined || branch.from !== branch.to);
  const branches = prune(merged, kept);
  const nets = new Set([...branches.flatMap((b) => endsOf(b).flat()), ...[...keep].map(root)]);
  return {
    block: {
      nets: [...nets].filter((net) => !atZero.has(net)),
      branches,
      zeros: atZero,
      original: (branch) => branch,
    },
    stands: (net) => (atZero.has(root(net)) ? undefined : root(net)),
  };
}
