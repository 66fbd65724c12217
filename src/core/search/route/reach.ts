import { mate } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import type { OpenEnd } from '../ends';
import { Heap } from '../heap';
import { graphOf, type Graph, type Weights } from './graph';
import { costFor, type Purse } from './inventory';
import type { Pool } from './pool';
import { wantOf, type Level } from './wants';
import { spotsOf, type Half, type Spot } from './ways';

type Onward = ReadonlyMap<Spot, readonly { readonly to: Spot; readonly weights: Weights }[]>;

const onwards = new WeakMap<Graph, Onward>();

/** The same graph the other way: where a spot leads. */
function onwardIn(graph: Graph): Onward {
  const known = onwards.get(graph);
  if (known) return known;
  const found = new Map<Spot, { to: Spot; weights: Weights }[]>();
  for (const [to, edges] of graph.into) {
    for (const { from, over } of edges) {
      const list = found.get(from) ?? [];
      found.set(from, list);
      list.push({ to, weights: over });
    }
  }
  onwards.set(graph, found);
  return found;
}

/** Something at a spot, of which so much is still wanted, or at half a joint. */
interface Place {
  readonly level: Level;
  readonly weight: number;
}

/**
 * The least that any chain from some ends to one of some ports of a part can weigh, whatever lies on its contacts there (Dijkstra 1959,
 * from the ends on): one search for every part that a source might come to. Looser than `boundsTo`, and admissible like it.
 */
export function reachFrom(
  starts: readonly OpenEnd[],
  pool: Pool,
  purse: Purse,
): (part: Part, ports: readonly PartPort[]) => number {
  const want = wantOf(starts, pool);
  const onward = onwardIn(graphOf(pool, purse, want, false));
  const reached = new Set<string>();
  const halves = new Map<string, Place & { readonly half: Half }>();
  const queue = new Heap<Place & { readonly spot: Spot }>((a, b) => a.weight - b.weight);
  const put = ({ connector, gender }: Half, { level, weight }: Place) => {
    const key = `${level} ${connector} ${gender}`;
    if (!halves.has(key)) halves.set(key, { half: { connector, gender }, level, weight });
  };
  for (const end of starts) {
    const start = { level: want?.at(end) ?? 0, weight: 0 };
    put(end.port, start);
    for (const spot of spotsOf(end)) queue.push({ spot, ...start });
  }
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { spot, level, weight } = next;
    if (reached.has(`${level} ${spot}`)) continue;
    reached.add(`${level} ${spot}`);
    const [connector, gender] = spot.split(' ') as [Half['connector'], Half['gender']];
    put({ connector, gender }, next);
    for (const { to, weights } of onward.get(spot) ?? [])
      for (const [after, more] of (weights[level] ?? []).entries())
        if (Number.isFinite(more) && !reached.has(`${after} ${to}`))
          queue.push({ spot: to, level: after, weight: weight + more });
  }
  const last = costFor(0, 0, 1, purse).weight;
  return (part, ports) => {
    const takes = (half: Half, level: Level) =>
      ports.some((port) => mate(half, port).fits && (level === 0 || want?.metBy(part, port, level)));
    const there = [...halves.values()].filter(({ half, level }) => takes(half, level));
    return Math.min(Infinity, ...there.map(({ weight }) => weight + last));
  };
}
