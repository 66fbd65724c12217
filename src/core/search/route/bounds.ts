import { mate } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import { exitKinds } from './exit-kinds';
import { Heap } from './heap';
import { compareCosts, costOfOneMore, NOTHING, plus, useOf, type Cost } from './inventory';
import type { Drawer } from '../drawer';
import type { Pool } from './pool';

const kindOf = (port: PartPort): string => `${port.connector} ${port.gender}`;

/**
 * The least that any chain from a port of some kind to one of the goals can cost, whatever lies on its contacts: parts are
 * taken as if each were the first of its like. Undefined where no chain of connectors leads there. An admissible bound
 * for a best-first search (Hart, Nilsson and Raphael 1968).
 */
function readBounds(
  goals: readonly PartPort[],
  pool: Pool,
  drawer: Drawer,
): (port: PartPort) => Cost | undefined {
  const none = useOf([]);
  const least = new Map<string, Cost>();
  const queue = new Heap<{ kind: string; port: PartPort; cost: Cost }>((a, b) =>
    compareCosts(a.cost, b.cost),
  );
  const exits = exitKinds(pool);
  // A port's bound counts what stands after it: a goal's other half costs the last joint alone.
  const reached = (ahead: PartPort, cost: Cost) => {
    for (const { part, exit, entry } of exits) {
      if (!mate(exit, ahead).fits) continue;
      const total = plus(cost, costOfOneMore(part, none, drawer));
      queue.push({ kind: kindOf(entry), port: entry, cost: total });
    }
  };
  const last: Cost = { ...NOTHING, joints: 1 };
  const direct = new Set(goals.map(kindOf));
  for (const goal of goals) reached(goal, last);
  for (let next = queue.pop(); next; next = queue.pop()) {
    if (least.has(next.kind)) continue;
    least.set(next.kind, next.cost);
    reached(next.port, next.cost);
  }
  const cache = new Map<string, Cost | undefined>();
  return (port) => {
    const key = kindOf(port);
    if (cache.has(key)) return cache.get(key);
    let best: Cost | undefined;
    const offer = (cost: Cost | undefined) => {
      if (cost && (!best || compareCosts(cost, best) < 0)) best = cost;
    };
    for (const goal of goals) if (direct.has(kindOf(goal)) && mate(port, goal).fits) offer(last);
    for (const [kind, cost] of least) {
      const [connector, gender] = kind.split(' ') as [PartPort['connector'], PartPort['gender']];
      if (mate(port, { connector, gender }).fits) offer(cost);
    }
    cache.set(key, best);
    return best;
  };
}

type Bounds = (port: PartPort) => Cost | undefined;
const kept = new WeakMap<Pool, { drawer: Drawer; byGoals: Map<string, Bounds> }>();

/** The same, kept by the kinds of port that the goals have. */
export function boundsTo(goals: readonly PartPort[], pool: Pool, drawer: Drawer): Bounds {
  const known = kept.get(pool);
  const store = known && known.drawer === drawer ? known : { drawer, byGoals: new Map<string, Bounds>() };
  kept.set(pool, store);
  const key = [...new Set(goals.map(kindOf))].sort().join('|');
  const bounds = store.byGoals.get(key) ?? readBounds(goals, pool, drawer);
  store.byGoals.set(key, bounds);
  return bounds;
}

/** The least that any chain to one of some parts can cost, that part included. */
export function boundsVia(parts: readonly Part[], pool: Pool, drawer: Drawer): Bounds {
  const bounds = boundsTo(
    parts.flatMap((part) => part.ports),
    pool,
    drawer,
  );
  const own = parts.map((part) => costOfOneMore(part, useOf([]), drawer)).sort(compareCosts)[0];
  if (!own) return () => undefined;
  return (port) => {
    const ahead = bounds(port);
    return ahead && plus(ahead, own);
  };
}
