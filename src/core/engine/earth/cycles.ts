/** A line between two nodes of a graph. */
export interface GraphEdge {
  readonly a: number;
  readonly b: number;
}

/** Edges at each node. */
function incidence(edges: readonly GraphEdge[]): Map<number, number[]> {
  const at = new Map<number, number[]>();
  for (const [index, { a, b }] of edges.entries()) {
    for (const node of a === b ? [a] : [a, b]) at.set(node, [...(at.get(node) ?? []), index]);
  }
  return at;
}

/** The edges of a shortest way from one node to another that leaves one edge out; undefined where there is none. */
function wayWithout(
  edges: readonly GraphEdge[],
  at: ReadonlyMap<number, readonly number[]>,
  without: number,
): number[] | undefined {
  const { a: from, b: to } = edges[without] as GraphEdge;
  const cameBy = new Map<number, number>([[from, -1]]);
  for (const [node] of cameBy) {
    if (node === to) break;
    for (const index of at.get(node) ?? []) {
      const edge = edges[index] as GraphEdge;
      const next = edge.a === node ? edge.b : edge.a;
      if (index !== without && !cameBy.has(next)) cameBy.set(next, index);
    }
  }
  if (!cameBy.has(to)) return undefined;
  const way: number[] = [];
  for (let node = to; node !== from;) {
    const index = cameBy.get(node) as number;
    const edge = edges[index] as GraphEdge;
    way.push(index);
    node = edge.a === node ? edge.b : edge.a;
  }
  return way.reverse();
}

/**
 * For each edge that lies on a cycle a shortest one through it, as indices of edges in the order in which they are walked; each cycle
 * once. Together they hold every edge that any cycle has: what is in none lies on no loop.
 */
export function shortestCycles(edges: readonly GraphEdge[]): readonly (readonly number[])[] {
  const at = incidence(edges);
  const found = new Map<string, number[]>();
  for (const index of edges.keys()) {
    const way = wayWithout(edges, at, index);
    if (!way) continue;
    const cycle = [...way, index];
    found.set([...cycle].sort((a, b) => a - b).join(), cycle);
  }
  return [...found.values()].sort((a, b) => a.length - b.length);
}
