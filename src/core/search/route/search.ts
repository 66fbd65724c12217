import { appOf, takeOf } from '../../engine/flow';
import { isHopeless, settle } from '../settings';
import { couldListen } from '../../engine';
import { CATALOGUE, findPart, type Part, isSupply, isHeadphones } from '../../parts';
import { EVIDENCE_KINDS, WAYS, type Way } from '../../apps';
import type { LaidPart, Rig } from '../../rig';
import type { Stock } from './attach';
import { chargesThrough } from './charging';
import { completed } from './complete';
import type { OpenEnd } from './ends';
import { Heap } from './heap';
import { compareCosts, comparePrices, costOfOneMore, NOTHING, plus, useOf, type Cost } from './inventory';
import { layoutCost, rigOf, type Layout, type Piece } from './layout';
import { poolOf, type Pool } from './pool';
import { bestOf, compareFound, gradeOfEvidence, MOST_MORE_PURCHASES, type Found } from './rank';
import { repairsOf } from './repairs';
import type { RouteRequest } from './request';
import { streamsOf, type Ground, type Stream } from './streams';
import { isAllowed, meets } from './wishes';

/** How many routes are wanted, and how much may be spent on finding them. */
export interface SearchLimits {
  readonly count: number;
  /** Layouts that the pipeline is asked about. */
  readonly mostJudged: number;
  /** Open ends that are looked at. */
  readonly mostSteps: number;
  /** Parts in a chain. */
  readonly longest: number;
}

export const LIMITS: SearchLimits = { count: 5, mostJudged: 300, mostSteps: 60_000, longest: 8 };

export interface SearchResult {
  /** The best routes, best first. */
  readonly found: readonly Found[];
  /** Layouts that the pipeline was asked about. */
  readonly searched: number;
  /** No limit cut the search: nothing better is left. */
  readonly complete: boolean;
}

export interface Progress {
  readonly judged: number;
  readonly found: number;
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
  const recorders = request.destinations.map((destination) => ({
    id: idOf(destination.part),
    part: partFor(request, destination.part),
    ...(destination.app !== undefined && { app: destination.app }),
  }));
  return { sources, recorders };
}

const stub = ({ id, part, app }: Piece): LaidPart => ({
  placed: { id, part: part.id, ...(app !== undefined && { app }) },
  part,
});

const policyRig = (request: RouteRequest): Rig =>
  rigOf({ pieces: [], joints: [], sources: [], recorders: [], kind: '' }, request);

/** By which way numbers come to a host; a jack of its own is a headset way. */
const wayAt = ({ device }: OpenEnd): Way =>
  !device || device.bus?.registersAs === 'headset' || device.bus?.registersAs === 'analogue'
    ? 'headset'
    : 'usb';

/** A camera or recorder records by itself: nothing is in doubt, and nobody has written it down. */
const ITSELF = EVIDENCE_KINDS.indexOf('common practice');

/** On what a recorder's app takes each way, as a grade; ways that it does not take are left out. */
function gradesOf(request: RouteRequest, recorder: Piece): ReadonlyMap<Way, number> {
  const host = stub(recorder);
  const app = appOf(host);
  const rig = policyRig(request);
  return new Map(
    WAYS.flatMap((way): [Way, number][] => {
      if (!app) return [[way, ITSELF]];
      const take = takeOf(rig, host, app, way);
      return take.taken ? [[way, gradeOfEvidence(take.evidence)]] : [];
    }),
  );
}

/** The least that what was asked for beside the chain itself costs: headphones to listen, a supply to charge. */
function leastExtra(request: RouteRequest, parts: readonly Part[]): Cost {
  const { hear, guests, charge } = request.wishes ?? {};
  const none = useOf([]);
  const least = (some: readonly Part[]): Cost =>
    some.map((part) => costOfOneMore(part, none, request.drawer ?? {})).sort(compareCosts)[0] ?? NOTHING;
  const listening = hear || guests ? least(parts.filter(isHeadphones)) : NOTHING;
  const through = request.destinations.some(({ part }) => chargesThrough(partFor(request, part)));
  const supplies = parts.filter(isSupply);
  return plus(listening, charge && through ? { ...least(supplies), joints: 0 } : NOTHING);
}

/** A source that runs on its digital plug alone and gives its sound by another wants a supply there. */
function supplyExtra(request: RouteRequest, parts: readonly Part[]): Ground['extra'] {
  const costs = parts.filter(isSupply).map((part) => costOfOneMore(part, useOf([]), request.drawer ?? {}));
  const least = costs.sort(compareCosts)[0] ?? NOTHING;
  return ({ part, digital }) =>
    !digital && part.power?.every((source) => 'port' in source) ? { ...least, joints: 1 } : NOTHING;
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

/** One search under one grade of evidence: layouts by cost, judged as they come, until no better can follow. */
class Search {
  private readonly streams: Bounded[];
  private readonly waiting = new Heap<{ layout: Layout; cost: Cost }>((a, b) => compareCosts(a.cost, b.cost));
  private readonly seen = new Set<string>();
  private readonly surcharge: Cost;
  private readonly stock: Stock;
  readonly found: Found[] = [];
  /** Layouts that were asked about, and those of them that the whole pipeline judged. */
  looked = 0;
  judged = 0;
  steps = 0;

  constructor(
    private readonly request: RouteRequest,
    parts: readonly Part[],
    ground: Omit<Ground, 'ceiling' | 'extra'>,
    private readonly limits: SearchLimits,
  ) {
    this.stock = { parts, drawer: request.drawer ?? {} };
    const streams = streamsOf({ ...ground, extra: supplyExtra(request, parts), ceiling: () => this.last });
    this.streams = streams.map((stream) => ({ stream, bound: stream.bound }));
    this.surcharge = leastExtra(request, parts);
  }

  private get drawer() {
    return this.request.drawer ?? {};
  }

  private offer(layout: Layout): void {
    const cost = layoutCost(layout, this.drawer);
    if (this.last && comparePrices(cost, this.last) > 0) return;
    const key = keyOf(layout);
    if (this.seen.has(key)) return;
    this.seen.add(key);
    if (cost.price <= (this.request.wishes?.budget ?? Infinity)) this.waiting.push({ layout, cost });
  }

  private judge(layout: Layout, cost: Cost): void {
    const laid = rigOf(layout, this.request);
    this.looked += 1;
    if (!couldListen(laid)) return;
    this.judged += 1;
    const { rig, judged } = settle(laid);
    const wishes = this.request.wishes ?? {};
    if (meets(layout, judged, wishes)) {
      this.keep({ layout, rig, judged, cost, kind: layout.kind });
      return;
    }
    if (judged.verdict === 'clean' || isHopeless(judged)) return;
    for (const repaired of repairsOf(layout, judged, this.stock)) this.offer(repaired);
  }

  /** The most that a route may cost to be among those that are wanted; undefined while there is none. */
  private last: Cost | undefined;

  private keep(found: Found): void {
    this.found.push(found);
    const best = bestOf(this.found, this.limits.count);
    const [first] = best;
    const most = first && {
      ...NOTHING,
      purchases: first.cost.purchases + MOST_MORE_PURCHASES,
      price: Infinity,
    };
    this.last = best.length < this.limits.count ? most : best.at(-1)?.cost;
  }

  private cheapest(): Bounded | undefined {
    let best: Bounded | undefined;
    for (const one of this.streams) {
      if (one.bound && (!best?.bound || compareCosts(one.bound, best.bound) < 0)) best = one;
    }
    return best;
  }

  /** One step; false when nothing better can follow. */
  step(): boolean {
    const cheapest = this.cheapest();
    const bound = cheapest?.bound && plus(cheapest.bound, this.surcharge);
    const waiting = this.waiting.peek();
    const least = [bound, waiting?.cost].filter((cost) => cost !== undefined).sort(compareCosts)[0];
    if (!least) return false;
    const { last } = this;
    if (last && comparePrices(least, last) > 0) return false;
    if (waiting && (!bound || compareCosts(waiting.cost, bound) <= 0)) {
      this.waiting.pop();
      this.judge(waiting.layout, waiting.cost);
      return true;
    }
    this.steps += 1;
    const layout = cheapest?.stream.step();
    if (cheapest) cheapest.bound = cheapest.stream.bound;
    if (layout) for (const one of completed(layout, this.request.wishes ?? {}, this.stock)) this.offer(one);
    return true;
  }
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
  const parts = allowedParts(request, catalogue);
  const { sources, recorders } = piecesOf(request);
  const byRecorder = new Map(recorders.map((recorder) => [recorder, gradesOf(request, recorder)]));
  const grades = [...new Set([...byRecorder.values()].flatMap((ways) => [...ways.values()]))]
    .filter((grade) => request.wishes?.risk !== 'proven' || grade <= ITSELF)
    .sort();
  let found: Found[] = [];
  let [searched, judged, complete] = [0, 0, true];
  for (const grade of grades) {
    if (found.length >= limits.count) break;
    const ground = {
      sources,
      recorders,
      pool: keptPool(parts),
      drawer: request.drawer ?? {},
      budget: request.wishes?.budget ?? Infinity,
      charge: request.wishes?.charge === true,
      apart: request.wishes?.channels === 'apart',
      ...(request.through !== undefined && { middle: partFor(request, request.through) }),
      longest: limits.longest,
      takes: (recorder: Piece, end: OpenEnd) =>
        (byRecorder.get(recorder)?.get(wayAt(end)) ?? Infinity) <= grade,
    };
    const left = limits.mostJudged - judged;
    const pass = new Search(request, parts, ground, limits);
    while (pass.step()) {
      if (pass.judged >= left || pass.steps >= limits.mostSteps) {
        complete = false;
        break;
      }
      if (pass.steps % 64 === 0) yield { judged: searched + pass.looked, found: pass.found.length };
    }
    searched += pass.looked;
    judged += pass.judged;
    found = bestOf([...found, ...pass.found], limits.count);
  }
  return { found: found.sort(compareFound), searched, complete };
}
