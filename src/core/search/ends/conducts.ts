import type { Part } from '../../parts';
import { partNet } from './part-net';

/** A conductor of copper has more than this, siemens; a resistor less. */
const COPPER = 0.1;

const copper = new WeakMap<Part, (node: number) => number>();

/** The number that stands for everything that copper joins to a node. */
export function copperOf(part: Part): (node: number) => number {
  const known = copper.get(part);
  if (known) return known;
  const { nodes, direct } = partNet(part);
  const parent = Array.from({ length: nodes }, (_, node) => node);
  const root = (node: number): number => {
    const up = parent[node] ?? node;
    return up === node ? node : root(up);
  };
  for (const { weights, re } of direct) {
    const [a, b] = weights;
    if (weights.length === 2 && a && b && re > COPPER) parent[root(a[0])] = root(b[0]);
  }
  copper.set(part, root);
  return root;
}
