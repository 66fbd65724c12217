import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shortestCycles, type GraphEdge } from './cycles';

/** Every simple cycle, by walking every simple way from each edge: from the definition, small and slow. */
function everyCycle(edges: readonly GraphEdge[]): Set<string> {
  const found = new Set<string>();
  const walk = (first: number, at: number, seen: readonly number[], used: readonly number[]) => {
    if (at === edges[first]!.a) {
      found.add([...used].sort((a, b) => a - b).join());
      return;
    }
    for (const [index, { a, b }] of edges.entries()) {
      if (used.includes(index) || (a !== at && b !== at)) continue;
      const next = a === at ? b : a;
      if (!seen.includes(next)) walk(first, next, [...seen, next], [...used, index]);
    }
  };
  for (const [index, { b }] of edges.entries()) walk(index, b, [b], [index]);
  return found;
}

const graphs = fc.integer({ min: 2, max: 7 }).chain((nodes) =>
  fc.array(
    fc
      .tuple(fc.nat(nodes - 1), fc.nat(nodes - 1))
      .filter(([a, b]) => a !== b)
      .map(([a, b]) => ({ a, b })),
    { maxLength: 11 },
  ),
);

const key = (cycle: readonly number[]) => [...cycle].sort((a, b) => a - b).join();

describe('loops in a graph of grounds', () => {
  it('are those of trying every way, and each edge of any loop is in a shortest one (500 graphs, seed 7)', () => {
    let looped = 0;
    fc.assert(
      fc.property(graphs, (edges) => {
        const [all, found] = [everyCycle(edges), shortestCycles(edges)];
        looped += all.size > 0 ? 1 : 0;
        for (const cycle of found) expect(all).toContain(key(cycle));
        for (const [edge] of edges.entries()) {
          const through = [...all].map((k) => k.split(',')).filter((c) => c.includes(String(edge)));
          const shortest = Math.min(...through.map((c) => c.length));
          const mine = found.filter((cycle) => cycle.includes(edge));
          expect(mine.length > 0).toBe(through.length > 0);
          if (through.length > 0) expect(Math.min(...mine.map((c) => c.length))).toBe(shortest);
        }
      }),
      { seed: 7, numRuns: 500 },
    );
    expect(looped).toBeGreaterThan(100);
  });

  it('two lines between the same nodes are one', () => {
    expect(
      shortestCycles([
        { a: 0, b: 1 },
        { a: 0, b: 1 },
      ]).map(key),
    ).toEqual(['0,1']);
  });
});
