import { mate } from '../../plugs';
import { effectOf, FREE, type Course } from './course';
import { costOfOneMore, useOf, type Purse } from './inventory';
import type { Owing } from './owing';
import type { Pool } from './pool';
import type { Level, Want } from './wants';
import { HALVES, waysThrough, type Half, type Spot, type Way } from './ways';

/** What every chain has to do beside leading on. */
export interface Told {
  /** What every chain has to lead through. */
  readonly course?: Course | undefined;
  /** Parts weigh less by what they spare of what is owed for metres. */
  readonly owing?: Owing | undefined;
}

/** What the cheapest part from one spot to another weighs, by how much a source wants before it, and then after it. */
export type Weights = number[][];

/** From one spot to another over parts that lead as far on the course of a chain. */
interface Edge {
  readonly from: Spot;
  readonly effect: Effect;
  readonly over: Weights;
}

/** How far a chain is with a part more, by how far it was. */
type Effect = readonly number[];

export interface Graph {
  /** By the spot that they lead to. */
  readonly into: ReadonlyMap<Spot, readonly Edge[]>;
  readonly halves: readonly Half[];
}

/** How much may be wanted behind a way ahead of which so much is wanted. */
export const beyond = (want: Want | undefined, way: Way, half: Half, level: Level): readonly Level[] =>
  want && level > 0 ? want.beyond(way, half, level) : [0];

const halfOf = (spot: Spot): Half => {
  const [connector, gender] = spot.split(' ') as [Half['connector'], Half['gender']];
  return { connector, gender };
};

/** Parts between which the weight alone decides: from one spot to another, as far on the course, with as much wanted before and after. */
interface Rivals {
  readonly before: Level;
  readonly after: Level;
  /** By their places in the pool. */
  readonly parts: number[];
}

/** An edge of which nobody has said yet what anything costs. */
interface Link {
  readonly from: Spot;
  readonly effect: Effect;
  readonly rivals: Rivals[];
}

/** Where parts lead, whatever they cost and whoever owns them. */
interface Lines {
  readonly into: ReadonlyMap<Spot, readonly Link[]>;
  readonly halves: readonly Half[];
  readonly most: Level;
}

/** A way, what stands open before it, and the place of its part in the pool. */
interface HalfWay {
  readonly way: Way;
  readonly half: Half;
  readonly at: number;
}

const waysIn = new WeakMap<Pool, readonly HalfWay[]>();

/** Every way through a part of the pool, from whatever could come to it. */
function allWays(pool: Pool): readonly HalfWay[] {
  const known = waysIn.get(pool);
  if (known) return known;
  const found = pool.parts.flatMap((part, at) =>
    HALVES.flatMap((half) =>
      part.ports.some((port) => mate(half, port).fits)
        ? waysThrough(part, half).map((way) => ({ way, half, at }))
        : [],
    ),
  );
  waysIn.set(pool, found);
  return found;
}

function halvesOf(into: ReadonlyMap<Spot, ReadonlyMap<string, Link>>): Half[] {
  const kinds = new Map<string, Half>();
  for (const [to, links] of into)
    for (const spot of [to, ...[...links.values()].map(({ from }) => from)]) {
      const half = halfOf(spot);
      kinds.set(`${half.connector} ${half.gender}`, half);
    }
  return [...kinds.values()];
}

function mapFor(pool: Pool, want: Want | undefined, twoSides: boolean, course: Course): Lines {
  const most = want?.most ?? 0;
  const effects = pool.parts.map((part) => effectOf(course, part));
  const into = new Map<Spot, Map<string, Link>>();
  for (const { way, half, at } of allWays(pool)) {
    const { from, to, oneSided } = way;
    if (twoSides && oneSided) continue;
    const links = into.get(to) ?? new Map<string, Link>();
    into.set(to, links);
    const effect = effects[at] ?? [];
    const key = `${effect.join('')} ${from}`;
    const link = links.get(key) ?? { from, effect, rivals: [] };
    links.set(key, link);
    for (let before = 0; before <= most; before += 1)
      for (const after of beyond(want, way, half, before)) {
        const same = link.rivals.find((one) => one.before === before && one.after === after);
        if (same) same.parts.push(at);
        else link.rivals.push({ before, after, parts: [at] });
      }
  }
  return {
    into: new Map([...into].map(([to, links]) => [to, [...links.values()]])),
    halves: halvesOf(into),
    most,
  };
}

/** So many are kept of a pool: memory stays bounded, what is found does not hang on it. */
const MOST_KEPT = 40;

const maps = new WeakMap<Pool, Map<string, Lines>>();

function keptMap(pool: Pool, want: Want | undefined, twoSides: boolean, course: Course): Lines {
  const store = maps.get(pool) ?? new Map<string, Lines>();
  maps.set(pool, store);
  const key = `${want?.name} ${twoSides} ${course.name}`;
  const found = store.get(key) ?? mapFor(pool, want, twoSides, course);
  if (store.size >= MOST_KEPT) store.clear();
  store.set(key, found);
  return found;
}

/** What the cheapest of each weighs. */
function weighed({ into, halves, most }: Lines, weights: Float64Array): Graph {
  const edgeOf = ({ from, effect, rivals }: Link): Edge => {
    const over: Weights = Array.from({ length: most + 1 }, () => new Array<number>(most + 1).fill(Infinity));
    for (const { before, after, parts } of rivals) {
      let least = Infinity;
      for (const at of parts) least = Math.min(least, weights[at] ?? Infinity);
      const row = over[before];
      if (row) row[after] = least;
    }
    return { from, effect, over };
  };
  return { into: new Map([...into].map(([to, links]) => [to, links.map(edgeOf)])), halves };
}

interface GraphStore {
  readonly purse: Purse;
  readonly byWanted: Map<string, Graph>;
}

const graphs = new WeakMap<Pool, GraphStore>();

/** From spot to spot over the parts of a pool, each by what the cheapest weighs for whom a purse belongs to. */
export function graphOf(
  pool: Pool,
  purse: Purse,
  want: Want | undefined,
  twoSides: boolean,
  { course = FREE, owing }: Told = {},
): Graph {
  const known = graphs.get(pool);
  const store: GraphStore = known?.purse === purse ? known : { purse, byWanted: new Map<string, Graph>() };
  graphs.set(pool, store);
  const key = `${want?.name} ${twoSides} ${course.name} ${owing?.name ?? ''}`;
  const found = store.byWanted.get(key);
  if (found) return found;
  const none = useOf([]);
  const weights = Float64Array.from(
    pool.parts,
    (part) => costOfOneMore(part, none, purse).weight - (owing?.spares(part) ?? 0),
  );
  const graph = weighed(keptMap(pool, want, twoSides, course), weights);
  store.byWanted.set(key, graph);
  return graph;
}
