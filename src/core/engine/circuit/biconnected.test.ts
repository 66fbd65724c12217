import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { biconnected, type Edge } from './biconnected';
import { Memo } from './memo';

const edges = (...pairs: readonly (readonly [number, number])[]): Edge[] =>
  pairs.map(([from, to]) => ({ from, to }));
const sorted = (lists: readonly (readonly number[])[]) =>
  lists.map((list) => [...list].sort((a, b) => a - b)).sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0));

/** Whether two nodes hang together without a third: by trying it. */
function joinedWithout(count: number, list: readonly Edge[], a: number, b: number, without: number): boolean {
  const seen = new Set([a]);
  for (const node of seen) {
    for (const { from, to } of list) {
      if (from === without || to === without) continue;
      if (from === node) seen.add(to);
      if (to === node) seen.add(from);
    }
  }
  return seen.size <= count && seen.has(b);
}

describe('biconnected components (Hopcroft and Tarjan 1973)', () => {
  it('two triangles that share one node are two', () => {
    const list = edges([0, 1], [1, 2], [2, 0], [2, 3], [3, 4], [4, 2]);
    const found = biconnected(5, list, [0]);
    expect(sorted(found.map((c) => c.edges))).toEqual([
      [0, 1, 2],
      [3, 4, 5],
    ]);
    expect(found.find((c) => c.edges.includes(3))?.root).toBe(2);
  });
  it('every edge of a chain is one by itself, hanging on the node nearer the root', () => {
    const found = biconnected(4, edges([0, 1], [1, 2], [2, 3]), [1]);
    expect(found.map((c) => c.root).sort()).toEqual([1, 1, 2]);
  });
  it('edges side by side belong together, an edge from a node to itself stands alone', () => {
    const found = biconnected(2, edges([0, 1], [0, 1], [1, 1]), [0]);
    expect(sorted(found.map((c) => c.edges))).toEqual([[0, 1], [2]]);
  });
  it('has every edge once, and keeps together what no single node parts (seed 3)', () => {
    const graph = fc.array(fc.tuple(fc.nat(7), fc.nat(7)), { minLength: 1, maxLength: 14 });
    fc.assert(
      fc.property(graph, (pairs) => {
        const list = edges(...pairs);
        // One root for each connected part: the least node of it.
        const roots = [...Array(8).keys()].filter(
          (node) => ![...Array(node).keys()].some((less) => joinedWithout(8, list, less, node, -1)),
        );
        const found = biconnected(8, list, roots);
        expect(sorted([found.flatMap((c) => c.edges)])[0]).toEqual(list.map((_, index) => index));
        for (const { edges: members, root } of found) {
          const own = members.flatMap((index) => list[index] ?? []);
          const nodes = [...new Set(own.flatMap(({ from, to }) => [from, to]))];
          expect(nodes).toContain(root);
          for (const a of nodes)
            for (const b of nodes)
              for (const cut of nodes)
                if (a !== cut && b !== cut && a !== b) expect(joinedWithout(8, own, a, b, cut)).toBe(true);
        }
      }),
      { seed: 3, numRuns: 200 },
    );
  });
});

describe('the memo', () => {
  it('makes each answer once, and forgets the one not asked for longest', () => {
    const memo = new Memo<number>(2);
    let made = 0;
    const get = (key: string) => memo.get(key, () => (made += 1));
    expect([get('a'), get('b'), get('a')]).toEqual([1, 2, 1]);
    expect(get('c')).toBe(3);
    expect(get('a')).toBe(1);
    expect(get('b')).toBe(4);
    memo.clear();
    expect(get('a')).toBe(5);
  });
});
