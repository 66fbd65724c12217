/** An edge between two nodes, numbered from 0. */
export interface Edge {
  readonly from: number;
  readonly to: number;
}

/** Edges that hang together by more than one node; all of them hang on the rest by `root`. */
export interface Component {
  readonly root: number;
  /** Indices into the list of edges. */
  readonly edges: readonly number[];
}

interface Frame {
  readonly node: number;
  readonly by: number;
  next: number;
}

/**
 * Biconnected components of an undirected graph (Hopcroft and Tarjan 1973, algorithm 447), those of one connected
 * part seen from its node in `roots`. An edge from a node to itself is a component of its own.
 */
export function biconnected(count: number, edges: readonly Edge[], roots: Iterable<number>): Component[] {
  const around: number[][] = Array.from({ length: count }, () => []);
  const found: Component[] = [];
  for (const [index, { from, to }] of edges.entries()) {
    if (from === to) found.push({ root: from, edges: [index] });
    else {
      around[from]?.push(index);
      around[to]?.push(index);
    }
  }
  const order = new Array<number>(count).fill(0);
  const low = new Array<number>(count).fill(0);
  const seen = new Set<number>();
  const open: number[] = [];
  let time = 0;
  const enter = (node: number, by: number): Frame => {
    order[node] = low[node] = time += 1;
    return { node, by, next: 0 };
  };
  const lower = (node: number, to: number) => (low[node] = Math.min(low[node] ?? 0, to));
  const close = (root: number, by: number) => {
    const start = open.indexOf(by);
    found.push({ root, edges: open.splice(start) });
  };
  for (const root of roots) {
    const stack: Frame[] = [enter(root, -1)];
    for (let frame = stack.at(-1); frame; frame = stack.at(-1)) {
      const edge = around[frame.node]?.[frame.next];
      frame.next += 1;
      if (edge === undefined) {
        stack.pop();
        const above = stack.at(-1);
        if (!above) continue;
        if ((low[frame.node] ?? 0) >= (order[above.node] ?? 0)) close(above.node, frame.by);
        else lower(above.node, low[frame.node] ?? 0);
        continue;
      }
      if (seen.has(edge)) continue;
      seen.add(edge);
      open.push(edge);
      const ends = edges[edge];
      const far = ends?.from === frame.node ? ends.to : (ends?.from ?? 0);
      if (order[far] === 0) stack.push(enter(far, edge));
      else lower(frame.node, order[far] ?? 0);
    }
  }
  return found;
}
