import { mate } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import type { OpenEnd } from '../ends';
import { Heap } from '../heap';
import { FREE, type Course } from './course';
import { beyond, graphOf, type Graph, type Told } from './graph';
import { costFor, type Purse } from './inventory';
import type { Pool } from './pool';
import { wantOf, type Level, type Want } from './wants';
import { probesAt, spotsOf, waysThrough, type Half, type Spot } from './ways';

/** The least weights that are still to be paid; Infinity where nothing leads on. */
export interface Bounds {
  /** From an open end, so far on the course that every chain has to take. */
  readonly from: (end: OpenEnd, step: number) => number;
  /** From an open end over parts that are put on it, each by itself and not counted. `step`: how far the chain is with that part. */
  readonly over: (end: OpenEnd) => (part: Part, step: number) => number;
  /** From a port of which nothing is known but what it is, whatever lies on it. */
  readonly fromPort: (port: Half) => number;
}

/** What was worked out for one goal, to be asked again from other beginnings. */
export type KnownBounds = Map<string, Tables>;

/** The same by goal; made at its first use. */
export function boundsKnown(byGoal: Map<string, KnownBounds>, goal: string): KnownBounds {
  const known = byGoal.get(goal) ?? new Map<string, Tables>();
  byGoal.set(goal, known);
  return known;
}

interface Tables {
  readonly least: ReadonlyMap<string, number>;
  /** By half and part: of the places at which it is entered. */
  readonly overs: Map<string, Map<Part, ReadonlyMap<string, number>>>;
  /** By half. */
  readonly halves: ReadonlyMap<string, number>;
}

/** What a question of bounds may add. */
interface Asked extends Told {
  readonly known?: KnownBounds | undefined;
}

/** A probe for what comes by pairs of outputs, each a side. */
const inPairs = (end: OpenEnd): OpenEnd =>
  end.analogue
    ? { ...end, analogue: { ...end.analogue, sides: 'two by pair' }, state: `${end.state} two by pair` }
    : end;

/** Where bounds lead. */
export interface Goal {
  readonly part: Part;
  readonly ports: readonly PartPort[];
  readonly accepts: (port: PartPort, end: OpenEnd) => boolean;
  /** What it accepts hangs on the part alone, and can be kept for other questions. */
  readonly always?: boolean;
}

/** Something at a spot: of which so much is still wanted, so far on the course. */
interface Place {
  readonly spot: Spot;
  readonly level: Level;
  readonly step: number;
}

const keyOf = ({ spot, level, step }: Place): string => `${level} ${step} ${spot}`;

/** What a question of bounds rests on. */
interface Frame {
  readonly goal: Goal;
  readonly graph: Graph;
  readonly kinds: readonly Half[];
  /** What the source wants of something on the way. */
  readonly want: Want | undefined;
  readonly twoSides: boolean;
  readonly course: Course;
}

const kept = new WeakMap<Part, Map<string, readonly Spot[]>>();

/** The spots of half a joint at which a goal takes something by one of its ports. */
function spotsTaken(goal: Goal, half: Half, port: PartPort, twoSides: boolean): readonly Spot[] {
  if (!mate(half, port).fits) return [];
  const find = () =>
    probesAt(goal.part, half).flatMap(({ spot, end }): Spot[] =>
      goal.accepts(port, twoSides ? inPairs(end) : end) ? [spot] : [],
    );
  if (!goal.always) return find();
  const known = kept.get(goal.part) ?? new Map<string, readonly Spot[]>();
  kept.set(goal.part, known);
  const key = `${half.connector} ${half.gender} ${port.id} ${twoSides}`;
  const spots = known.get(key) ?? find();
  known.set(key, spots);
  return spots;
}

/** Every place from which the goal is reached by the last joint alone. */
function arrivals({ goal, kinds, want, twoSides, course }: Frame): Place[] {
  const more = Array.from({ length: want?.most ?? 0 }, (_, n): Level => n + 1);
  const levelsAt = new Map(
    goal.ports.map((port) => [port, [0, ...more.filter((level) => want?.metBy(goal.part, port, level))]]),
  );
  return kinds.flatMap((half) =>
    goal.ports.flatMap((port) =>
      spotsTaken(goal, half, port, twoSides).flatMap((spot) =>
        (levelsAt.get(port) ?? []).map((level): Place => ({ spot, level, step: course.steps - 1 })),
      ),
    ),
  );
}

/** The least weight from every place to the goal (Dijkstra 1959, from the goal back). */
function leastFrom(frame: Frame, last: number): ReadonlyMap<string, number> {
  const { graph, want, course } = frame;
  const most = want?.most ?? 0;
  const least = new Map<string, number>();
  const queue = new Heap<Place & { readonly weight: number }>((a, b) => a.weight - b.weight);
  for (const place of arrivals(frame)) queue.push({ ...place, weight: last });
  for (let next = queue.pop(); next; next = queue.pop()) {
    const { spot, weight, level, step } = next;
    if (least.has(keyOf(next))) continue;
    least.set(keyOf(next), weight);
    for (const { from, effect, over } of graph.into.get(spot) ?? []) {
      for (let was = 0; was < course.steps; was += 1) {
        if (effect[was] !== step) continue;
        for (let before = 0; before <= most; before += 1) {
          const more = over[before]?.[level] ?? Infinity;
          if (Number.isFinite(more))
            queue.push({ spot: from, weight: weight + more, level: before, step: was });
        }
      }
    }
  }
  return least;
}

const halfKey = ({ connector, gender }: Half): string => `${connector} ${gender}`;

/** The half that a key of `keyOf` speaks of. */
const halfIn = (key: string): string => {
  const [, , connector = '', gender = ''] = key.split(' ');
  return `${connector} ${gender}`;
};

function tablesFor(frame: Frame, last: number): Tables {
  const least = leastFrom(frame, last);
  const halves = new Map<string, number>();
  for (const [key, weight] of least) {
    const half = halfIn(key);
    halves.set(half, Math.min(halves.get(half) ?? Infinity, weight));
  }
  return { least, overs: new Map(), halves };
}

/** By place at which a part is entered: the least of the places at which it is left. */
function leastOver(
  frame: Frame,
  least: ReadonlyMap<string, number>,
  part: Part,
  half: Half,
): Map<string, number> {
  const found = new Map<string, number>();
  const { want, twoSides, course } = frame;
  for (const way of waysThrough(part, half)) {
    const { from, to } = way;
    if (twoSides && way.oneSided) continue;
    for (let step = 0; step < course.steps; step += 1) {
      for (let level = 0; level <= (want?.most ?? 0); level += 1) {
        const key = keyOf({ spot: from, level, step });
        const behind = beyond(want, way, half, level).map(
          (after) => least.get(keyOf({ spot: to, level: after, step })) ?? Infinity,
        );
        found.set(key, Math.min(found.get(key) ?? Infinity, ...behind));
      }
    }
  }
  return found;
}

/** The places at which an open end is, as keys. */
function keysOf(end: OpenEnd, want: Want | undefined): (step: number) => readonly string[] {
  const level = want?.at(end) ?? 0;
  const spots = spotsOf(end);
  const known: (readonly string[])[] = [];
  return (step) => (known[step] ??= spots.map((spot) => keyOf({ spot, level, step })));
}

function leastAt(keys: readonly string[], weights: ReadonlyMap<string, number>): number {
  let least = Infinity;
  for (const key of keys) {
    const weight = weights.get(key);
    if (weight !== undefined && weight < least) least = weight;
  }
  return least;
}

/**
 * The least that any chain from an open end to one of a part's ports can weigh, by what lies on its contacts: parts are taken as
 * if each were the first of its like, and each sound by itself. An admissible bound for a best-first search (Hart, Nilsson and
 * Raphael 1968). What a source wants (wants.ts) must be met on the way or at the goal.
 */
export function boundsTo(
  goal: Goal,
  starts: readonly OpenEnd[],
  pool: Pool,
  purse: Purse,
  { course = FREE, owing, known = new Map() }: Asked = {},
): Bounds {
  const want = wantOf(starts, pool);
  const twoSides = starts.some(
    ({ analogue }) => analogue?.sides.startsWith('two') || analogue?.sides === 'split',
  );
  const graph = graphOf(pool, purse, want, twoSides, { course, owing });
  const halves = [...graph.halves, ...starts.map(({ port }) => port)];
  const kinds = [...new Map(halves.map((h) => [halfKey(h), h])).values()];
  const frame: Frame = { goal, graph, kinds, want, twoSides, course };
  const key = `${want?.name} ${twoSides} ${course.name} ${owing?.name ?? ''} ${kinds.map(halfKey).join()}`;
  const tables = known.get(key) ?? tablesFor(frame, costFor(0, 0, 1, purse).weight);
  known.set(key, tables);
  const { least, overs } = tables;
  const over: Bounds['over'] = (end) => {
    const [half, placesAt] = [end.port, keysOf(end, want)];
    const known = overs.get(halfKey(half)) ?? new Map<Part, ReadonlyMap<string, number>>();
    overs.set(halfKey(half), known);
    return (part, step) => {
      const weights = known.get(part) ?? leastOver(frame, least, part, half);
      known.set(part, weights);
      return leastAt(placesAt(step), weights);
    };
  };
  return {
    from: (end, step) => leastAt(keysOf(end, want)(step), least),
    over,
    fromPort: (port) => tables.halves.get(halfKey(port)) ?? Infinity,
  };
}
