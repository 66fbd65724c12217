import { biconnected, type Component, type Edge } from './biconnected';
import type { Branch, Nets } from './nets';
import { NumberSets } from './union-find';

/**
 * Branches that are solved together. What hangs on the rest of the circuit by one net only is a block of its own: no
 * current flows through that net from the one to the other, so the block's voltages against it do not depend on the
 * rest. Transformers couple the blocks of their windings into one.
 */
export interface Block {
  /** Unknown nets; the net by which the block hangs on the rest is not among them. */
  readonly nets: readonly number[];
  /** Ends that are numbers of `zeros` are at zero volts: the net at which it hangs, or a number in its place. */
  readonly branches: readonly Branch[];
  readonly zeros: ReadonlySet<number>;
  /** The branch of the rig of which one of the block's is the copy. */
  readonly original: (branch: Branch) => Branch;
}

/** A net of a block; its voltage is against the block's own zero. */
export interface NetInBlock {
  readonly block: Block;
  readonly net: number;
}

export interface Split {
  readonly blocks: readonly Block[];
  /** One net of each connected component, its busiest: at zero volts. */
  readonly references: ReadonlySet<number>;
  /** Which connected component each net belongs to: only within one can voltages be compared. */
  readonly component: readonly number[];
  /** From a net to its reference: the voltages of these nets, each in its block, add up to the net's own. */
  readonly path: (net: number) => readonly NetInBlock[];
}

/** The nets of each winding of a branch: what it joins conductively. */
export const endsOf = (branch: Branch): readonly (readonly [number, number])[] =>
  branch.winding
    ? [
        [branch.from, branch.to],
        [branch.winding.from, branch.winding.to],
      ]
    : [[branch.from, branch.to]];

/** The busiest net of each connected component. */
function chooseReferences(count: number, edges: readonly Edge[], component: readonly number[]): Set<number> {
  const degree = new Array<number>(count).fill(0);
  for (const { from, to } of edges) {
    degree[from] = (degree[from] ?? 0) + 1;
    degree[to] = (degree[to] ?? 0) + 1;
  }
  const best = new Map<number, number>();
  for (const [net, root] of component.entries()) {
    const current = best.get(root);
    if (current === undefined || (degree[net] ?? 0) > (degree[current] ?? 0)) best.set(root, net);
  }
  return new Set(best.values());
}

/** A winding of a branch, as an edge of the graph. */
interface Winding extends Edge {
  readonly branch: number;
}

function windingsOf(branches: readonly Branch[]): Winding[] {
  const found: Winding[] = [];
  for (const [index, { from, to, winding }] of branches.entries()) {
    found.push({ branch: index, from, to });
    if (winding) found.push({ branch: index, from: winding.from, to: winding.to });
  }
  return found;
}

/** Components that a transformer couples, together, in the order of the first of each. */
function coupled(components: readonly Component[], windings: readonly Winding[]): number[][] {
  const together = new NumberSets(components.length);
  const byBranch = new Map<number, number>();
  for (const [index, component] of components.entries()) {
    for (const edge of component.edges) {
      const branch = windings[edge]?.branch ?? -1;
      const other = byBranch.get(branch);
      if (other !== undefined) together.union(index, other);
      byBranch.set(branch, index);
    }
  }
  const groups = new Map<number, number[]>();
  for (let index = 0; index < components.length; index += 1) {
    const root = together.find(index);
    const group = groups.get(root);
    if (group) group.push(index);
    else groups.set(root, [index]);
  }
  return [...groups.values()];
}

/** The number that stands for the net at which a component hangs. */
const zeroOf = (component: number): number => -1 - component;

/** A branch with the ends of each winding as its component names them. */
function renamed(branch: Branch, ends: readonly (readonly [number, number])[]): Branch {
  const [[from, to] = [branch.from, branch.to], winding] = ends;
  return { ...branch, from, to, ...(winding && { winding: { from: winding[0], to: winding[1] } }) };
}

const itself = (branch: Branch): Branch => branch;

/** Most blocks are one component: its branches as they are, the net at which it hangs at zero volts. */
function plainBlock(
  { root, edges }: Component,
  windings: readonly Winding[],
  branches: readonly Branch[],
): Block {
  const nets = new Set<number>();
  const own: Branch[] = [];
  let last = -1;
  for (const edge of Int32Array.from(edges).sort()) {
    const winding = windings[edge];
    const branch = winding && branches[winding.branch];
    if (!branch) continue;
    if (winding.from !== root) nets.add(winding.from);
    if (winding.to !== root) nets.add(winding.to);
    if (winding.branch !== last) own.push(branch);
    last = winding.branch;
  }
  return { nets: [...nets], zeros: new Set([root]), branches: own, original: itself };
}

/** Components that a transformer couples: each hangs at a zero of its own, though they be the same net. */
function buildBlock(
  group: readonly number[],
  components: readonly Component[],
  windings: readonly Winding[],
  branches: readonly Branch[],
): Block {
  // Edges are numbered as they were made, so that a transformer's windings keep their order.
  const edges = group
    .flatMap((index) => (components[index]?.edges ?? []).map((edge) => ({ edge, index })))
    .sort((a, b) => a.edge - b.edge);
  const nets = new Set<number>();
  const built: Branch[] = [];
  const originals = new Map<Branch, Branch>();
  let [last, pairs]: [number, (readonly [number, number])[]] = [-1, []];
  const finish = () => {
    const branch = branches[last];
    if (!branch) return;
    const copy = renamed(branch, pairs);
    originals.set(copy, branch);
    built.push(copy);
  };
  for (const { edge, index } of edges) {
    const winding = windings[edge];
    const root = components[index]?.root;
    if (!winding) continue;
    const [from, to] = [winding.from, winding.to].map((net) => (net === root ? zeroOf(index) : net));
    if (from === undefined || to === undefined) continue;
    if (from >= 0) nets.add(from);
    if (to >= 0) nets.add(to);
    if (winding.branch !== last) {
      finish();
      [last, pairs] = [winding.branch, []];
    }
    pairs.push([from, to]);
  }
  finish();
  return {
    nets: [...nets],
    zeros: new Set(group.map(zeroOf)),
    branches: built,
    original: (branch) => originals.get(branch) ?? branch,
  };
}

const NOWHERE: Component = { root: -1, edges: [] };

const whole = new WeakMap<Nets, Split>();

/** All branches of a rig, split; computed once. */
export function allBlocks(nets: Nets): Split {
  const known = whole.get(nets) ?? blocks(nets, nets.branches);
  whole.set(nets, known);
  return known;
}

/** Splits the nets by the branches given, those that conduct. */
export function blocks(nets: Nets, branches: readonly Branch[]): Split {
  const windings = windingsOf(branches);
  const joined = new NumberSets(nets.count);
  for (const { from, to } of windings) joined.union(from, to);
  const component = Array.from({ length: nets.count }, (_, net) => joined.find(net));
  const references = chooseReferences(nets.count, windings, component);
  const components = biconnected(nets.count, windings, references);
  const home = new Map<number, NetInBlock & { readonly root: number }>();
  const built = coupled(components, windings).map((group) => {
    const [only] = group.length === 1 ? group.map((index) => components[index]) : [];
    const block = only
      ? plainBlock(only, windings, branches)
      : buildBlock(group, components, windings, branches);
    for (const index of group) {
      const { root, edges } = components[index] ?? NOWHERE;
      for (const edge of edges) {
        const { from, to } = windings[edge] ?? { from: root, to: root };
        if (from !== root) home.set(from, { block, net: from, root });
        if (to !== root) home.set(to, { block, net: to, root });
      }
    }
    return block;
  });
  const paths = new Map<number, readonly NetInBlock[]>();
  const path = (net: number): readonly NetInBlock[] => {
    const known = paths.get(net);
    if (known) return known;
    const first = home.get(net);
    const steps = first ? [first, ...path(first.root)] : [];
    paths.set(net, steps);
    return steps;
  };
  return {
    blocks: built,
    references,
    component,
    path,
  };
}
