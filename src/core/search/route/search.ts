import { CATALOGUE, type Part } from '../../parts';
import { UNBALANCED_METRES } from '../../engine/levels';
import { appAt, gradesOf, ITSELF, wayAt } from './grades';
import { FEW_PIECES, USUAL_BOTHER } from '../bother';
import { boxOf, withoutPorts } from './gear';
import type { Purse } from './inventory';
import { powerable } from './powerable';
import { isSlipIn } from './slip-in';
import { type Piece } from './layout';
import { poolOf, type Pool } from './pool';
import { cheapestTwins } from './twins';
import { bestOf, compareFound, type Found } from './rank';
import type { RouteRequest } from './request';
import { isOneChain, type Ground, type GroundOfPass } from './ground';
import { sureOf, type Lefts } from './sure';
import { Verdicts } from './verdicts';
import { isAllowed } from './wishes';
import { partFor } from './extras';
import { mostApart } from './runs';
import { Search, type Beside, type Pass } from './pass';
import { streamsByBox, type Stream } from './streams';

/** How many routes are wanted, and how much may be spent on finding them. */
export interface SearchLimits {
  readonly count: number;
  /** Milliseconds after which the search says what it has; a chain of more parts than `longest` is not looked at. */
  readonly milliseconds: number;
  readonly longest: number;
  /** The same cut by work instead of time, so that it falls at the same place on any machine: open ends and layouts looked at. */
  readonly steps?: number;
  /** After so many open ends, each time, it is asked what kinds of ways are spent (rest.ts); 50 where absent. */
  readonly spentAfter?: number;
}

const SPENT_AFTER = 50;

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
  /** Where a limit cut it: nothing that weighs less than this, money, bother and what is known of its sound, is left unseen. */
  readonly ruledOut?: number;
  /** So many of the first are known to be the best: none that is as good is left unseen. */
  readonly sure: number;
  /** The limit was that of time: with more of it the search would have gone on. */
  readonly late: boolean;
}

export interface Progress {
  readonly judged: number;
  readonly found: number;
  /** Nothing that weighs less is left unseen. */
  readonly ruledOut: number;
  /** So many of the best so far are known to stay. */
  readonly sure: number;
}

/** How far a search is, with the best that it has so far; what stands there once may be outdone by what follows. */
export interface Looked extends Progress {
  readonly best: () => readonly Found[];
}

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
  const allowed = all.filter(
    (part) =>
      (only === undefined || only.includes(part.id)) &&
      isAllowed(part, wishes, owned(part)) &&
      (!wishes.buyNothing || owned(part)),
  );
  return cheapestTwins(allowed, drawer);
}

function piecesOf(request: RouteRequest): { sources: Piece[]; recorders: Piece[] } {
  const taken = new Map<string, number>();
  const idOf = (part: string) => {
    const count = (taken.get(part) ?? 0) + 1;
    taken.set(part, count);
    return count === 1 ? part : `${part}-${count}`;
  };
  const sources = request.sources.map(({ part, label, settings, unusable }) => ({
    id: idOf(part),
    part: withoutPorts(partFor(request, part), unusable),
    ...(label !== undefined && { label }),
    ...(settings && { settings }),
  }));
  const recorders = request.destinations.map(({ part, app, unusable }) => ({
    id: idOf(part),
    part: withoutPorts(partFor(request, part), unusable),
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

/** Whether something has to reach farther than an unbalanced lead should. */
const reachesFar = (request: RouteRequest): boolean => mostApart(request) > UNBALANCED_METRES;

/** Both sides, where nothing sums them and one is not enough. */
function sidesWanted(request: RouteRequest, recorders: readonly Piece[]): Ground['sides'] {
  const { channels } = request.wishes ?? {};
  if (channels === 'stereo') return 'two';
  if (channels === 'mono' || channels === 'apart') return 'any';
  if (recorders.some((recorder) => appAt(recorder)?.channels === 'mono')) return 'any';
  const isLive = recorders.some((recorder) => appAt(recorder)?.load === 'stream');
  return isLive || channels === 'mixed' ? 'each' : 'both';
}

/** Passes in the order in which answers are ranked: evidence before runs too long, both before money. */
function passesOf(grades: readonly number[], request: RouteRequest): Pass[] {
  const far = reachesFar(request);
  return grades.flatMap((grade) => (far ? [false, true] : [true]).map((longRuns) => ({ grade, longRuns })));
}

/** Where there is one chain, after so much work, or so many layouts judged, the cheapest over each box is looked at: it bounds the rest. */
const BOX_STEPS = 1500;
const BOX_JUDGED = 10;
/** After so much, chains of so few parts are searched to their end for the same reason. */
const SHORT_STEPS = 6000;
const SHORT = 3;
/** Of the time that a search has, so much goes to each of these at the most. */
const ASIDE_SHARE = 0.4;

/** What went before a run: routes found, layouts judged, steps taken. */
interface Before {
  readonly found: readonly Found[];
  readonly judged: number;
  readonly steps: number;
  /** While nothing is found the limits count so many times: the passes that follow are to have their share. */
  readonly patience: number;
  /** How far the passes before went, and in which of them something was found. */
  readonly lefts: Lefts;
  readonly passOf: (one: Found) => number;
}

/** A layout that is settled and judged takes as long as so many open ends. */
const JUDGING = 50;
/** The work of a run, in open ends looked at. */
const workOf = (run: Search): number => run.steps + JUDGING * run.judged;

/** Whether a run has had its time or its steps; while nothing is found it has more. */
const isLate = (run: Search, limits: SearchLimits, began: number, before: Before): boolean => {
  const times = before.found.length + run.found.length === 0 ? before.patience : 1;
  return (
    performance.now() - began > limits.milliseconds * times ||
    before.steps + workOf(run) > (limits.steps ?? Infinity) * times
  );
};

/** How far a run is, with what went before it. */
function lookedAt(run: Search, { judged, found, lefts, passOf }: Before): Looked {
  const ruledOut = Math.min(run.least ?? Infinity, run.cut);
  const best = () => run.bestBeside(found);
  return {
    judged: judged + run.judged,
    found: found.length + run.found.length,
    ruledOut,
    sure: sureOf(best(), passOf, [...lefts, ruledOut], run.prefer),
    best,
  };
}

/** Whoever runs a search has a say after so many of its turns or so many ms, and when something was found. */
const TURNS = 64;
const TELL_AFTER = 50;

/** Goes on with a run to its end, or until it is to stop; gives the weight under which nothing is left unseen. */
function* goOn(run: Search, stop: () => boolean, before: Before): Generator<Looked, number> {
  let told = run.found.length;
  let since = performance.now();
  for (let turn = 1; run.proceed(); turn += 1) {
    if (stop()) return Math.min(run.least ?? Infinity, run.cut);
    const isNew = run.found.length !== told;
    told = run.found.length;
    if (!isNew && turn % TURNS !== 0 && performance.now() - since < TELL_AFTER) continue;
    yield lookedAt(run, before);
    since = performance.now();
  }
  return run.cut;
}

/** A share of the limits. */
const shared = (limits: SearchLimits, share: number): SearchLimits => ({
  ...limits,
  milliseconds: limits.milliseconds * share,
  ...(limits.steps !== undefined && { steps: limits.steps * share }),
});

/** What a pass came to: its search, what weight it ruled out, and the work of searches on the way. */
interface Passed {
  readonly run: Search;
  readonly left: number;
  readonly more: { readonly judged: number; readonly steps: number };
}

/** A search of a pass over chains of so many parts, with what is known, by all shapes or by some. */
type Begin = (longest: number, beside?: Omit<Beside, 'first'>) => Search;

/** A search beside a run, for what bounds the rest of it: after so much work of the run, by which shapes. */
interface Aside {
  readonly after: number;
  /** Or after so many layouts that were judged. */
  readonly orJudged?: number;
  readonly shapes?: (ground: Ground) => readonly Stream[];
}

/** The cheapest over each box, then all chains of few parts. Where there are more chains than one these are thrown together instead (legs.ts). */
const asidesFor = (ground: Pick<Ground, 'middle' | 'sources' | 'recorders'>): readonly Aside[] =>
  isOneChain(ground)
    ? [{ after: BOX_STEPS, orJudged: BOX_JUDGED, shapes: streamsByBox }, { after: SHORT_STEPS }]
    : [];

/** One pass: at once to its end where that is near, else by way of other searches. */
function* passed(
  begin: Begin,
  limits: SearchLimits,
  began: number,
  before: Before,
  asides: readonly Aside[],
): Generator<Looked, Passed> {
  const run = begin(limits.longest);
  let more = { judged: 0, steps: 0 };
  const earlier = () => ({ ...before, steps: before.steps + more.steps });
  const late = (one: Search) => isLate(one, limits, began, earlier());
  for (const { after, orJudged = Infinity, shapes } of SHORT < limits.longest ? asides : []) {
    const isLong = () => workOf(run) >= after || run.judged >= orJudged;
    const left = yield* goOn(run, () => isLong() || late(run), earlier());
    if (!isLong()) return { run, left, more };
    const short = begin(SHORT, { known: run.found, shapes });
    const [since, share] = [performance.now(), shared(limits, ASIDE_SHARE)];
    const isOver = () =>
      (shapes !== undefined && !short.isDiving) || isLate(short, share, since, before) || late(short);
    yield* goOn(short, isOver, before);
    run.adopt(short.found);
    more = { judged: more.judged + short.judged, steps: more.steps + workOf(short) };
  }
  return { run, left: yield* goOn(run, () => late(run), earlier()), more };
}

/** What every pass stands on. */
function groundFor(
  request: RouteRequest,
  parts: readonly Part[],
  { sources, recorders }: ReturnType<typeof piecesOf>,
  { spentAfter = SPENT_AFTER }: SearchLimits,
): Omit<GroundOfPass, 'far' | 'takes' | 'longest' | 'toRecorders'> {
  const { budget = Infinity, charge, channels, callers } = request.wishes ?? {};
  const box = boxOf(request);
  return {
    request,
    sources,
    recorders,
    // What only parts grounds is put in where something hums.
    pool: keptPool(parts.filter((part) => !isSlipIn(part))),
    purse: purseOf(request),
    budget,
    charge: charge === true,
    apart: channels === 'apart',
    callers: callers === true,
    sides: sidesWanted(request, recorders),
    spentAfter,
    intoParts: new Map(),
    reaches: new Map(),
    ...(box && { middle: box }),
  };
}

/** Grades of evidence that a request takes, the best first. */
const gradesTaken = (
  { wishes }: RouteRequest,
  ways: readonly ReadonlyMap<unknown, number>[],
): readonly number[] =>
  [...new Set(ways.flatMap((byWay) => [...byWay.values()]))]
    .filter((grade) => wishes?.risk !== 'proven' || grade <= ITSELF)
    .sort();

/** What the weights that passes ruled out come to. */
function endOf(lefts: Lefts, isLater: boolean): Pick<SearchResult, 'complete' | 'ruledOut' | 'late'> {
  const ruledOut = Math.min(Infinity, ...lefts);
  return ruledOut === Infinity
    ? { complete: true, late: false }
    : { complete: false, ruledOut, late: isLater };
}

/**
 * The best routes for a request whose names are known. Yields now and then, so that whoever runs it can show how far it is
 * or let it go.
 */
export function* search(
  request: RouteRequest,
  limits: SearchLimits = LIMITS,
  catalogue?: readonly Part[],
): Generator<Looked, SearchResult> {
  const began = performance.now();
  const { sources, recorders } = piecesOf(request);
  const given = [...sources, ...recorders].map(({ part }) => part);
  const parts = powerable(allowedParts(request, catalogue), given);
  const byRecorder = new Map(recorders.map((recorder) => [recorder, gradesOf(request, recorder)]));
  const grades = gradesTaken(request, [...byRecorder.values()]);
  let found: Found[] = [];
  let searched = 0;
  const lefts: number[] = [];
  const foundIn = new Map<Found, number>();
  let steps = 0;
  const passes = passesOf(grades, request);
  const common = groundFor(request, parts, { sources, recorders }, limits);
  const verdicts = new Verdicts(request, { parts, purse: purseOf(request) });
  for (const [index, pass] of passes.entries()) {
    if (found.length >= limits.count) break;
    // A run too long is an answer only where nothing else is.
    if (pass.longRuns && found[0]?.overruns === 0) {
      lefts[index] = Infinity;
      continue;
    }
    const ground = {
      ...common,
      far: !pass.longRuns && reachesFar(request),
      takes: (recorder: Piece, end: Parameters<typeof wayAt>[0]) =>
        (byRecorder.get(recorder)?.get(wayAt(end)) ?? Infinity) <= pass.grade,
      toRecorders: new Map(),
    };
    const patience = Math.max(1, (PATIENCE * (index + 1)) / passes.length);
    const passOf = (one: Found) => foundIn.get(one) ?? index;
    const before: Before = { found, judged: searched, steps, patience, lefts: [...lefts], passOf };
    const begin: Begin = (longest, beside) =>
      new Search(request, parts, { ...ground, longest }, pass, limits.count, verdicts, {
        first: found[0],
        ...beside,
      });
    const { run, left, more } = yield* passed(begin, limits, began, before, asidesFor(common));
    searched += run.judged + more.judged;
    steps += workOf(run) + more.steps;
    lefts[index] = left;
    for (const one of run.found) if (!foundIn.has(one)) foundIn.set(one, index);
    found = bestOf([...found, ...run.found], limits.count, request.prefer);
  }
  const sorted = found.sort(compareFound(request.prefer));
  return {
    found: sorted,
    searched,
    sure: sureOf(sorted, (one) => foundIn.get(one) ?? 0, lefts, request.prefer),
    ...endOf(lefts, performance.now() - began > limits.milliseconds),
  };
}
