import { mate } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import type { OpenEnd } from '../ends';
import { Heap } from './heap';
import { costFor, costOfOneMore, useOf, type Purse } from './inventory';
import type { Pool } from './pool';
import { givesVolts, isPassive, probesAt, spotsOf, waysThrough, type Spot, type Way } from './ways';

/** The least weights that are still to be paid; Infinity where nothing leads on. */
export interface Bounds {
  /** From an open end. */
  readonly from: (end: OpenEnd, passed: boolean) => number;
  /** From an open end over a part that is put on it, that part itself not counted. `passed`: what every chain has to lead through is behind, or is that part. */
  readonly over: (end: OpenEnd, part: Part, passed: boolean) => number;
}

type Half = Pick<PartPort, 'connector' | 'gender'>;

/** What the cheapest part from one spot to another weighs: any, one that lets a feed through, one that feeds. */
interface Weights {
  any: number;
  passive: number;
  feeding: number;
}

/** From one spot to another, over any part, and over one that every chain has to lead through. */
interface Edge {
  readonly from: Spot;
  readonly over: Weights;
  readonly via: Weights;
}

const none = (): Weights => ({ any: Infinity, passive: Infinity, feeding: Infinity });

interface Graph {
  /** By the spot that they lead to. */
  readonly into: ReadonlyMap<Spot, readonly Edge[]>;
  readonly halves: readonly Half[];
}

const halfOf = (spot: Spot): Half => {
  const [connector, gender] = spot.split(' ') as [Half['connector'], Half['gender']];
  return { connector, gender };
};

const waysIn = new WeakMap<Pool, readonly Way[]>();

/** Every way through a part of the pool, from whatever could come to it. */
function allWays(pool: Pool): readonly Way[] {
  const known = waysIn.get(pool);
  if (known) return known;
  const halves = new Map<string, Half>();
  for (const part of pool.parts) {
    for (const { connector, gender } of part.ports) {
      const half: Half = { connector, gender: gender === 'plug' ? 'jack' : 'plug' };
      halves.set(`${half.connector} ${half.gender}`, half);
    }
  }
  const found = pool.parts.flatMap((part) =>
    [...halves.values()].flatMap((half) =>
      part.ports.some((port) => mate(half, port).fits) ? waysThrough(part, half) : [],
    ),
  );
  waysIn.set(pool, found);
  return found;
}

interface GraphStore {
  readonly purse: Purse;
  readonly byWanted: Map<string, Graph>;
  readonly vias: ReadonlySet<Part>[];
}

const graphs = new WeakMap<Pool, GraphStore>();

function graphOf(pool: Pool, purse: Purse, wanted: number, twoSides: boolean, via?: ReadonlySet<Part>): Graph {
  const known = graphs.get(pool);
  const store: GraphStore = known?.purse === purse ? known : { purse, byWanted: new Map<string, Graph>(), vias: [] };
  graphs.set(pool, store);
  if (via && !store.vias.includes(via)) store.vias.push(via);
  const key = `${wanted} ${twoSides} ${via ? store.vias.indexOf(via) : ''}`;
  const found = store.byWanted.get(key);
  if (found) return found;
  const edges = new Map<Spot, Map<Spot, Edge>>();
  const weights = new Map<Part, number>();
  for (const { part, from, to, passive, gives, oneSided } of allWays(pool)) {
    if (twoSides && oneSided) continue;
    const weight = weights.get(part) ?? costOfOneMore(part, useOf([]), purse).weight;
    weights.set(part, weight);
    const into = edges.get(to) ?? new Map<Spot, Edge>();
    edges.set(to, into);
    const edge = into.get(from) ?? { from, over: none(), via: none() };
    into.set(from, edge);
    for (const weights of via?.has(part) ? [edge.over, edge.via] : [edge.over]) {
      weights.any = Math.min(weights.any, weight);
      if (passive) weights.passive = Math.min(weights.passive, weight);
      if (gives >= wanted) weights.feeding = Math.min(weights.feeding, weight);
    }
  }
  const kinds = new Map<string, Half>();
  for (const [to, from] of edges)
    for (const spot of [to, ...from.keys()]) {
      const half = halfOf(spot);
      kinds.set(`${half.connector} ${half.gender}`, half);
    }
  const graph: Graph = {
    into: new Map([...edges].map(([to, from]) => [to, [...from.values()]])),
    halves: [...kinds.values()],
  };
  store.byWanted.set(key, graph);
  return graph;
}

/** What a source still wants, V; 0 where nothing. */
const wantedBy = (end: OpenEnd): number => Math.max(0, ...(end.analogue?.wants ?? []).map(({ volts }) => volts));

/** A probe for what comes by pairs of outputs, each a side. */
const inPairs = (end: OpenEnd): OpenEnd =>
  end.analogue
    ? { ...end, analogue: { ...end.analogue, sides: 'two by pair' }, state: `${end.state} two by pair` }
    : end;

interface Goal {
  readonly part: Part;
  readonly ports: readonly PartPort[];
  readonly accepts: (port: PartPort, end: OpenEnd) => boolean;
}

/**
 * The least that any chain from an open end to one of a part's ports can weigh, by what lies on its contacts: parts are taken as
 * if each were the first of its like, and each sound by itself. An admissible bound for a best-first search (Hart, Nilsson and
 * Raphael 1968). What a source wants to be fed with must be met on the way or at the goal.
 */
export function boundsTo(
  goal: Goal,
  starts: readonly OpenEnd[],
  pool: Pool,
  purse: Purse,
  via?: ReadonlySet<Part>,
): Bounds {
  const wanted = Math.max(0, ...starts.map(wantedBy));
  const twoSides = starts.some(({ analogue }) => analogue?.sides.startsWith('two'));
  const { into, halves } = graphOf(pool, purse, wanted, twoSides, via);
  const kinds = new Map([...halves, ...starts.map(({ port }) => port)].map((h) => [`${h.connector} ${h.gender}`, h]));
  const last = costFor(0, 0, 1, purse).weight;
  // What lets a feed through leaves it to what follows.
  const feeds = givesVolts(goal.part) >= wanted || (isPassive(goal.part) && !goal.part.host);
  /** By spot, with and without a want that is still to be met, and before and after what every chain has to lead through. */
  const least = new Map<string, number>();
  const queue = new Heap<{ spot: Spot; weight: number; wanting: boolean; passed: boolean }>(
    (a, b) => a.weight - b.weight,
  );
  const keyOf = (spot: Spot, wanting: boolean, passed: boolean) => `${wanting ? 'w' : ''}${passed ? '' : 'v'}${spot}`;
  for (const half of kinds.values()) {
    for (const port of goal.ports) {
      if (!mate(half, port).fits) continue;
      for (const { spot, end } of probesAt(goal.part, port, half)) {
        if (!goal.accepts(port, twoSides ? inPairs(end) : end)) continue;
        queue.push({ spot, weight: last, wanting: false, passed: true });
        if (wanted > 0 && feeds) queue.push({ spot, weight: last, wanting: true, passed: true });
      }
    }
  }
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { spot, weight, wanting, passed } = next;
    const key = keyOf(spot, wanting, passed);
    if (least.has(key)) continue;
    least.set(key, weight);
    for (const { from, over, via: leading } of into.get(spot) ?? []) {
      const push = (more: number, before: boolean, wants: boolean) => {
        if (Number.isFinite(more)) queue.push({ spot: from, weight: weight + more, wanting: wants, passed: before });
      };
      const step = (weights: Weights, before: boolean) => {
        if (!wanting) push(weights.any, before, false);
        if (wanted > 0) push(wanting ? weights.passive : weights.feeding, before, true);
      };
      step(over, passed);
      // Before the part that has to be passed, it had not been.
      if (via && passed) step(leading, false);
    }
  }
  const at = (spot: Spot, wanting: boolean, passed: boolean) => least.get(keyOf(spot, wanting, passed)) ?? Infinity;
  const overs = new Map<Part, Map<string, number>>();
  /** By spot from which a part is entered, with and without a want: the least of the spots at which it is left. */
  const oversOf = (part: Part, half: Half): ReadonlyMap<string, number> => {
    const known = overs.get(part) ?? new Map<string, number>();
    overs.set(part, known);
    const key = `${half.connector} ${half.gender}`;
    if (known.has(key)) return known;
    known.set(key, 0);
    for (const { from, to, passive, gives, oneSided } of waysThrough(part, half)) {
      if (twoSides && oneSided) continue;
      for (const passed of via ? [true, false] : [true]) {
        const put = (wanting: boolean, weight: number) => {
          const spot = keyOf(from, wanting, passed);
          known.set(spot, Math.min(known.get(spot) ?? Infinity, weight));
        };
        put(false, at(to, false, passed));
        if (passive) put(true, at(to, true, passed));
        if (gives >= wanted) put(true, at(to, false, passed));
      }
    }
    return known;
  };
  const leastOf = (end: OpenEnd, weightAt: (spot: Spot, wanting: boolean) => number): number => {
    const wanting = wantedBy(end) > 0;
    let best = Infinity;
    for (const spot of spotsOf(end)) best = Math.min(best, weightAt(spot, wanting));
    return best;
  };
  return {
    from: (end, passed) => leastOf(end, (spot, wanting) => at(spot, wanting, passed)),
    over: (end, part, passed) => {
      const known = oversOf(part, end.port);
      return leastOf(end, (spot, wanting) => known.get(keyOf(spot, wanting, passed)) ?? Infinity);
    },
  };
}
