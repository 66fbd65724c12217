import { mate } from '../../plugs';
import type { PartPort } from '../../parts';
import type { OpenEnd } from '../ends';
import { Heap } from '../heap';
import { graphOf, type Graph } from './bounds';
import { costFor, type Purse } from './inventory';
import type { Pool } from './pool';
import { spotsOf, type Half, type Spot } from './ways';

type Onward = ReadonlyMap<Spot, readonly { readonly to: Spot; readonly weight: number }[]>;

const onwards = new WeakMap<Graph, Onward>();

/** The same graph the other way: where a spot leads. */
function onwardIn(graph: Graph): Onward {
  const known = onwards.get(graph);
  if (known) return known;
  const found = new Map<Spot, { to: Spot; weight: number }[]>();
  for (const [to, edges] of graph.into) {
    for (const { from, over } of edges) {
      const list = found.get(from) ?? [];
      found.set(from, list);
      list.push({ to, weight: over.any });
    }
  }
  onwards.set(graph, found);
  return found;
}

/**
 * The least that any chain from some ends to one of some ports can weigh, whatever lies on its contacts there (Dijkstra 1959, from
 * the ends on): one search for every part that a source might come to. Looser than `boundsTo`, and admissible like it.
 */
export function reachFrom(
  starts: readonly OpenEnd[],
  pool: Pool,
  purse: Purse,
): (ports: readonly PartPort[]) => number {
  const onward = onwardIn(graphOf(pool, purse, 0, false));
  const least = new Map<Spot, number>();
  const halves = new Map<string, { readonly half: Half; readonly weight: number }>();
  const queue = new Heap<{ readonly spot: Spot; readonly weight: number }>((a, b) => a.weight - b.weight);
  const put = (half: Half, weight: number) => {
    const key = `${half.connector} ${half.gender}`;
    if (!halves.has(key)) halves.set(key, { half, weight });
  };
  for (const end of starts) {
    put(end.port, 0);
    for (const spot of spotsOf(end)) queue.push({ spot, weight: 0 });
  }
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { spot, weight } = next;
    if (least.has(spot)) continue;
    least.set(spot, weight);
    const [connector, gender] = spot.split(' ') as [Half['connector'], Half['gender']];
    put({ connector, gender }, weight);
    for (const { to, weight: more } of onward.get(spot) ?? [])
      if (!least.has(to)) queue.push({ spot: to, weight: weight + more });
  }
  const last = costFor(0, 0, 1, purse).weight;
  return (ports) =>
    Math.min(
      Infinity,
      ...[...halves.values()].flatMap(({ half, weight }) =>
        ports.some((port) => mate(half, port).fits) ? [weight + last] : [],
      ),
    );
}
