import type { NetElement, Netlist, NodeKey } from './netlist';
import { UnionFind } from './union-find';

/** An element between two nets (wires have become part of the nets). */
export type Branch = Exclude<NetElement, { kind: 'wire' }> & {
  readonly from: number;
  readonly to: number;
  /** The second winding of a transformer. */
  readonly winding?: { readonly from: number; readonly to: number };
};

/** The rig's nodes merged into nets by everything that joins without resistance. */
export interface Nets {
  readonly count: number;
  /** One node of each net, for messages. */
  readonly names: readonly NodeKey[];
  readonly branches: readonly Branch[];
  /** The net of a node; undefined for a node on which nothing lies. */
  readonly of: (node: NodeKey) => number | undefined;
}

export function mergeNets({ elements, touches }: Pick<Netlist, 'elements' | 'touches'>): Nets {
  const sets = new UnionFind();
  for (const { plug, jack } of touches) sets.union(plug, jack);
  for (const element of elements) if (element.kind === 'wire') sets.union(element.a, element.b);
  const index = new Map<string, number>();
  const names: NodeKey[] = [];
  const number = (node: NodeKey): number => {
    const root = sets.find(node);
    const known = index.get(root);
    if (known !== undefined) return known;
    index.set(root, names.length);
    return names.push(node) - 1;
  };
  const branches = elements.flatMap((element) =>
    element.kind === 'wire'
      ? []
      : [
          {
            ...element,
            from: number(element.a),
            to: number(element.b),
            ...(element.kind === 'transformer' && {
              winding: { from: number(element.c), to: number(element.d) },
            }),
          },
        ],
  );
  for (const { plug, jack } of touches) {
    number(plug);
    number(jack);
  }
  const known = new Map<NodeKey, number | undefined>();
  const of = (node: NodeKey): number | undefined => {
    if (known.has(node)) return known.get(node);
    const net = index.get(sets.find(node));
    known.set(node, net);
    return net;
  };
  return { count: names.length, names, branches, of };
}
