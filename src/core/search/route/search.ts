import { isHopeless, settle } from '../settings';
import { CATALOGUE, findPart, type Part, isSupply, isHeadphones } from '../../parts';
import type { Stock } from './attach';
import { chargesThrough } from './charging';
import { completed } from './complete';
import { appAt, gradesOf, ITSELF, wayAt } from './grades';
import { Heap } from './heap';
import {
  compareCosts,
  compareWeights,
  costFor,
  costOfOneMore,
  FEW_PIECES,
  NOTHING,
  plus,
  useOf,
  USUAL_BOTHER,
  type Cost,
  type Purse,
} from './inventory';
import { socketKind } from './chains';
import { between, layoutCost, rigOf, type Layout, type Piece } from './layout';
import { poolOf, type Pool } from './pool';
import {
  bestOf,
  boxesOf,
  compareFound,
  hasAll,
  isClear,
  leavesHeadphones,
  sensibleBeside,
  weightOf,
  type Found,
} from './rank';
import { repairsOf } from './repairs';
import type { RouteRequest } from './request';
import { overruns, UNBALANCED_METRES } from './runs';
import { passesCharge, streamsOf, type Ground, type Stream } from './streams';
import { isAllowed, keepsWishes, meets } from './wishes';

/** How many routes are wanted, and how much may be spent on finding them. */
export interface SearchLimits {
  readonly count: number;
  /** Milliseconds after which the search says what it has; a chain of more parts than `longest` is not looked at. */
  readonly milliseconds: number;
  readonly longest: number;
  /** The same cut by work instead of time, so that it falls at the same place on any machine: open ends and layouts looked at. */
  readonly steps?: number;
}

/** While nothing at all is found it is searched for so many times as long. */
const PATIENCE = 3;

export const LIMITS: SearchLimits = { count: 5, milliseconds: 2000, longest: 8 };

export interface SearchResult {
  /** The best routes, best first. */
  readonly found: readonly Found[];
  /** Layouts that the pipeline was asked about. */
  readonly searched: number;
  /** Nothing better is left: no limit cut the search. */
  readonly complete: boolean;
  /** Where a limit cut it: nothing that weighs less than this, money and bother, is left unseen. */
  readonly ruledOut?: number;
}

export interface Progress {
  readonly judged: number;
  readonly found: number;
  /** Nothing that weighs less is left unseen. */
  readonly ruledOut: number;
}

const partFor = (request: RouteRequest, id: string): Part => {
  const part = findPart(id) ?? request.ownParts?.find((own) => own.id === id);
  if (!part) throw new Error(`request: no part "${id}"`);
  return part;
};

/** The pool of the last search: the next one is often among the same parts. */
let last: { parts: readonly Part[]; pool: Pool } | undefined;
function keptPool(parts: readonly Part[]): Pool {
  const same = last?.parts.length === parts.length && last.parts.every((part, n) => part === parts[n]);
  const pool = same && last ? last.pool : poolOf(parts);
  last = { parts, pool };
  return pool;
}

/** Everything that may be put between, under the wishes of a request. */
export function allowedParts(request: RouteRequest, catalogue: readonly Part[] = CATALOGUE): readonly Part[] {
  const { wishes = {}, catalogue: only, ownParts = [], drawer = {} } = request;
  const owned = (part: Part) => (drawer[part.id] ?? 0) > 0;
  const all = ownParts.length > 0 ? [...catalogue, ...ownParts] : catalogue;
  return all.filter(
    (part) =>
      (only === undefined || only.includes(part.id)) &&
      isAllowed(part, wishes, owned(part)) &&
      (!wishes.buyNothing || owned(part)),
  );
}

function piecesOf(request: RouteRequest): { sources: Piece[]; recorders: Piece[] } {
  const taken = new Map<string, number>();
  const idOf = (part: string) => {
    const count = (taken.get(part) ?? 0) + 1;
    taken.set(part, count);
    return count === 1 ? part : `${part}-${count}`;
  };
  const sources = request.sources.map(({ part, label, settings }) => ({
    id: idOf(part),
    part: partFor(request, part),
    ...(label !== undefined && { label }),
    ...(settings && { settings }),
  }));
  const recorders = request.destinations.map(({ part, app }) => ({
    id: idOf(part),
    part: partFor(request, part),
    ...(app !== undefined && { app }),
  }));
  return { sources, recorders };
}

/** What is owned, and what a thing more is worth to who asks. */
export const purseOf = ({ drawer = {}, leadLengths, prefer, bother }: RouteRequest): Purse => {
  const usual = prefer === 'pieces' ? FEW_PIECES : USUAL_BOTHER;
  return {
    drawer,
    bother: { piece: bother?.piece ?? usual.piece, joint: bother?.joint ?? usual.joint },
    ...(leadLengths && { lengths: leadLengths }),
  };
};

/** The least that what was asked for beside the chain itself costs: headphones to listen, a supply to charge. */
function leastExtra(request: RouteRequest, parts: readonly Part[], purse: Purse): Cost {
  const { hear, guests, charge } = request.wishes ?? {};
  const least = (some: readonly Part[]): Cost =>
    some.map((part) => costOfOneMore(part, useOf([]), purse)).sort(compareCosts)[0] ?? NOTHING;
  const listening = hear || guests ? least(parts.filter(isHeadphones)) : NOTHING;
  const charging = charge && request.destinations.some(({ part }) => chargesThrough(partFor(request, part)));
  return plus(listening, charging ? least(parts.filter(isSupply)) : NOTHING);
}

/** A source that runs on its digital plug alone and gives its sound by another wants a supply there. */
function supplyExtra(parts: readonly Part[], purse: Purse): Ground['extra'] {
  const costs = parts.filter(isSupply).map((part) => costOfOneMore(part, useOf([]), purse));
  const least = costs.sort(compareCosts)[0] ?? costFor(0, 0, 1, purse);
  return ({ part, digital }) =>
    !digital && part.power?.every((source) => 'port' in source) ? least : NOTHING;
}

/** Two layouts of one key are one. */
const keyOf = ({ pieces, joints }: Layout): string =>
  [
    ...pieces.map(({ id, length }) => `${id} ${length ?? ''}`),
    ...joints.map(({ plug, jack }) => `${plug.part}.${plug.port} ${jack.part}.${jack.port}`),
  ]
    .sort()
    .join('|');

/** A stream with its bound, which only a step of its own changes. */
interface Bounded {
  readonly stream: Stream;
  bound: Cost | undefined;
}

/** What one pass looks at: the weakest evidence taken, and whether runs too long for practice are. */
interface Pass {
  readonly grade: number;
  readonly longRuns: boolean;
}

/** Both sides are there, where there are two. */
const isWhole = ({ judged }: Found): boolean =>
  judged.arrives.every(({ channels }) => channels === 'both' || channels === 'mono');

/** So many open ends are looked at for the first layout of a shape. */
const MOST_DIVE = 150;

/** One search under one grade of evidence: layouts by cost, judged as they come, until no better can follow. */
class Search {
  private readonly streams: Bounded[];
  private readonly waiting = new Heap<{ layout: Layout; cost: Cost }>((a, b) => compareCosts(a.cost, b.cost));
  private readonly seen = new Set<string>();
  private readonly surcharge: Cost;
  private readonly stock: Stock;
  readonly found: Found[] = [];
  /** Layouts that the pipeline judged. */
  judged = 0;
  steps = 0;

  constructor(
    private readonly request: RouteRequest,
    parts: readonly Part[],
    ground: Omit<Ground, 'ceiling' | 'extra' | 'needless'>,
    private readonly pass: Pass,
    private readonly count: number,
  ) {
    this.stock = { parts, purse: ground.purse };
    const extra = supplyExtra(parts, ground.purse);
    const streams = streamsOf({
      ...ground,
      extra,
      ceiling: () => this.ceiling,
      needless: (recorder, chain) => this.isNeedless(recorder, chain),
    });
    this.streams = streams.map((stream) => ({ stream, bound: stream.bound }));
    this.surcharge = leastExtra(request, parts, ground.purse);
  }

  private offer(layout: Layout): void {
    const cost = layoutCost(layout, this.stock.purse);
    if (this.ceiling && compareWeights(cost, this.ceiling) > 0) return;
    if (!this.pass.longRuns && overruns(layout) > 0) return;
    const key = keyOf(layout);
    if (this.seen.has(key)) return;
    this.seen.add(key);
    if (cost.price <= (this.request.wishes?.budget ?? Infinity)) this.waiting.push({ layout, cost });
  }

  private judge(layout: Layout, cost: Cost): void {
    // Another of a kind that was found, and weighs no more even with its hiss, is no better; it is looked at if it gives something else.
    if (
      this.found.some(
        (one) =>
          one.kind === layout.kind &&
          weightOf(one) <= cost.weight &&
          leavesHeadphones(one.layout) === leavesHeadphones(layout),
      )
    )
      return;
    this.judged += 1;
    const { rig, judged } = settle(rigOf(layout, this.request));
    if (meets(layout, judged, this.request) && keepsWishes(layout, this.request.wishes ?? {})) {
      this.keep({ layout, rig, judged, cost, kind: layout.kind, overruns: overruns(layout) });
      return;
    }
    if (judged.verdict === 'clean' || isHopeless(judged)) return;
    for (const repaired of repairsOf(layout, judged, this.request, this.stock)) this.offer(repaired);
  }

  /** The most that a route may weigh to be among those that are wanted; undefined while there is none. */
  private ceiling: Cost | undefined;

  /**
   * Whether a chain has all the boxes of a way that was found, by whichever socket of the recorder it may come, and more: that way is
   * clear and whole, so what is more in it is padding (rank.ts). A box that passes a charge on may be wanted for that.
   */
  private isNeedless({ part }: Piece, chain: readonly Part[]): boolean {
    const boxes = boxesOf(chain);
    if (chain.some((one) => passesCharge(one))) return false;
    const plain = this.found.filter((one) => isClear(one) && isWhole(one));
    const sockets = part.ports.filter((port) => port.direction !== 'out').map(socketKind);
    return sockets.every((socket) =>
      plain.some((one) => {
        const known = boxesOf(between(one.layout));
        return one.kind.endsWith(`>${socket}`) && boxes.length > known.length && hasAll(boxes, known);
      }),
    );
  }

  private keep(found: Found): void {
    this.found.push(found);
    const best = bestOf(this.found, this.count, this.request.prefer);
    const [first] = best;
    const most = first && sensibleBeside(first);
    const lastBest = best.length < this.count ? undefined : Math.max(...best.map(weightOf));
    const weight = Math.min(most ?? Infinity, lastBest ?? Infinity);
    this.ceiling = Number.isFinite(weight) ? { ...NOTHING, weight } : undefined;
  }

  private cheapest(): Bounded | undefined {
    let best: Bounded | undefined;
    for (const one of this.streams) {
      if (one.bound && (!best?.bound || compareCosts(one.bound, best.bound) < 0)) best = one;
    }
    return best;
  }

  /** What the next layout weighs at the least; undefined when there is none left. */
  get least(): number | undefined {
    const bound = this.cheapest()?.bound;
    const weights = [
      ...(bound ? [bound.weight + this.surcharge.weight] : []),
      ...(this.waiting.peek() ? [this.waiting.peek()?.cost.weight ?? 0] : []),
    ];
    return weights.length > 0 ? Math.min(...weights) : undefined;
  }

  /** The cheapest layout of each shape is looked at before any is searched to its end: what is found bounds the rest. */
  *dive(): Generator<void> {
    if (this.streams.length < 2) return;
    for (const one of [...this.streams].sort(
      (a, b) => (a.bound?.weight ?? Infinity) - (b.bound?.weight ?? Infinity),
    )) {
      for (let step = 0; step < MOST_DIVE && one.bound; step += 1) {
        if (this.ceiling && one.bound.weight > this.ceiling.weight) break;
        this.steps += 1;
        const layout = one.stream.step();
        one.bound = one.stream.bound;
        if (!layout) continue;
        for (const whole of completed(layout, this.request, this.stock)) this.offer(whole);
        break;
      }
      yield;
    }
    for (let next = this.waiting.pop(); next && this.found.length < this.count; next = this.waiting.pop()) {
      this.judge(next.layout, next.cost);
      yield;
    }
  }

  /** What the least chain weighs that was not looked at because it has too many parts; Infinity where none that is wanted was left. */
  get cut(): number {
    const least = Math.min(Infinity, ...this.streams.map(({ stream }) => stream.cut)) + this.surcharge.weight;
    return this.ceiling && least > this.ceiling.weight ? Infinity : least;
  }

  /** One step; false when nothing better can follow. */
  step(): boolean {
    const waiting = this.waiting.peek();
    const cheapest = this.cheapest();
    const bound = cheapest?.bound && plus(cheapest.bound, this.surcharge);
    const [least] = [bound, waiting?.cost].filter((cost) => cost !== undefined).sort(compareCosts);
    if (!least) return false;
    if (this.ceiling && compareWeights(least, this.ceiling) > 0) return false;
    if (waiting && (!bound || compareCosts(waiting.cost, bound) <= 0)) {
      this.waiting.pop();
      this.judge(waiting.layout, waiting.cost);
      return true;
    }
    this.steps += 1;
    const layout = cheapest?.stream.step();
    if (cheapest) cheapest.bound = cheapest.stream.bound;
    if (layout) for (const one of completed(layout, this.request, this.stock)) this.offer(one);
    return true;
  }
}

/** Whether something has to reach farther than an unbalanced lead should. */
const reachesFar = ({ wishes, distances = [] }: RouteRequest): boolean =>
  Math.max(wishes?.length ?? 0, ...distances.map(({ metres }) => metres)) > UNBALANCED_METRES;

/** Both sides, where nothing sums them and one is not enough. */
function sidesWanted(request: RouteRequest, recorders: readonly Piece[]): Ground['sides'] {
  const { channels } = request.wishes ?? {};
  if (channels === 'stereo') return 'two';
  if (channels === 'mono' || channels === 'apart') return 'any';
  return recorders.every((recorder) => appAt(recorder)?.channels !== 'mono') ? 'both' : 'any';
}

/** Passes in the order in which answers are ranked: evidence before runs too long, both before money. */
function passesOf(grades: readonly number[], request: RouteRequest): Pass[] {
  const far = reachesFar(request);
  return grades.flatMap((grade) => (far ? [false, true] : [true]).map((longRuns) => ({ grade, longRuns })));
}

/** Runs a pass to its end, or as far as the limits let it; gives the weight under which nothing is left unseen. */
function* runOf(
  run: Search,
  limits: SearchLimits,
  began: number,
  before: Pick<Progress, 'found' | 'judged'>,
): Generator<Progress, number> {
  const told = (ruledOut: number): Progress => ({
    judged: before.judged + run.judged,
    found: before.found + run.found.length,
    ruledOut,
  });
  const late = () => {
    const nothing = before.found + run.found.length === 0;
    const most = limits.milliseconds * (nothing ? PATIENCE : 1);
    return performance.now() - began > most || run.steps + run.judged > (limits.steps ?? Infinity);
  };
  for (const _ of run.dive()) {
    yield told(0);
    if (late()) break;
  }
  while (run.step()) {
    if (late()) return Math.min(run.least ?? Infinity, run.cut);
    if (run.steps % 64 === 0) yield told(run.least ?? 0);
  }
  return run.cut;
}

/**
 * The best routes for a request whose names are known. Yields now and then, so that whoever runs it can show how far it is
 * or let it go.
 */
export function* search(
  request: RouteRequest,
  limits: SearchLimits = LIMITS,
  catalogue?: readonly Part[],
): Generator<Progress, SearchResult> {
  const began = performance.now();
  const parts = allowedParts(request, catalogue);
  const { sources, recorders } = piecesOf(request);
  const byRecorder = new Map(recorders.map((recorder) => [recorder, gradesOf(request, recorder)]));
  const grades = [...new Set([...byRecorder.values()].flatMap((ways) => [...ways.values()]))]
    .filter((grade) => request.wishes?.risk !== 'proven' || grade <= ITSELF)
    .sort();
  let found: Found[] = [];
  let searched = 0;
  let ruledOut = Infinity;
  for (const pass of passesOf(grades, request)) {
    if (found.length >= limits.count) break;
    const ground = {
      request,
      sources,
      recorders,
      pool: keptPool(parts),
      purse: purseOf(request),
      budget: request.wishes?.budget ?? Infinity,
      far: !pass.longRuns && reachesFar(request),
      charge: request.wishes?.charge === true,
      apart: request.wishes?.channels === 'apart',
      sides: sidesWanted(request, recorders),
      ...(request.through !== undefined && { middle: partFor(request, request.through) }),
      longest: limits.longest,
      takes: (recorder: Piece, end: Parameters<typeof wayAt>[0]) =>
        (byRecorder.get(recorder)?.get(wayAt(end)) ?? Infinity) <= pass.grade,
    };
    const run = new Search(request, parts, ground, pass, limits.count);
    const before = { found: found.length, judged: searched };
    ruledOut = Math.min(ruledOut, yield* runOf(run, limits, began, before));
    searched += run.judged;
    found = bestOf([...found, ...run.found], limits.count, request.prefer);
  }
  return {
    found: found.sort(compareFound(request.prefer)),
    searched,
    complete: ruledOut === Infinity,
    ...(ruledOut < Infinity && { ruledOut }),
  };
}
