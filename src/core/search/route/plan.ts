import { allFacts } from '../../engine';
import type { Arrival } from '../../engine/flow';
import type { Listener } from '../../engine/returns';
import { planGains } from '../levels';
import { isBetter, overNoise, polish, type Settled } from '../settings';
import { isTouchy } from './touchy';
import { EVIDENCE_KINDS, type Evidence } from '../../apps';
import { type Part } from '../../parts';
import { slug } from '../../schema';
import type { Verdict } from '../../judge';
import type { Rig } from '../../rig';
import { compareWeights, plus, type Cost } from './inventory';
import { split, type Layout } from './layout';
import { compareFound, gradeOf, qualityOf, weightOf, type Found } from './rank';
import { firstRequestProblem, wishesMade, type RequestProblem } from './request-problems';
import type { RouteRequest, WishName } from './request';
import { LIMITS, purseOf, search, type Progress, type SearchLimits } from './search';

/** What comes from where. */
export interface Item {
  readonly part: string;
  readonly name: string;
  readonly price: number;
  /** Metres of a lead. */
  readonly length?: number;
}

/** What decides between a route and the one before it, with both values. */
export interface Lost {
  readonly by: 'evidence' | 'overruns' | 'weight' | 'noise' | 'joints' | 'nothing';
  readonly here: number;
  readonly before: number;
}

/** The same gear with the second recorder that was asked for. */
export interface AlsoWorks {
  readonly buy: readonly Item[];
  readonly cost: number;
  readonly rig: Rig;
}

/** A route that the pipeline proved, as a rig that can be laid out. */
export interface Route {
  readonly rank: number;
  readonly verdict: Verdict;
  /** What must be bought for it, in the user's currency, the second recorder's share included. */
  readonly cost: number;
  readonly buy: readonly Item[];
  readonly own: readonly Item[];
  readonly parts: readonly string[];
  readonly joints: number;
  readonly arrives: readonly Arrival[];
  readonly listeners: readonly Listener[];
  /** Speech peaks over the noise of the worst arrival, dB. */
  readonly overNoise: number;
  /** On what it rests: the weakest of its arrivals. */
  readonly evidence: Evidence['kind'];
  readonly lost?: Lost;
  readonly also?: AlsoWorks;
  readonly rig: Rig;
}

/** A wish that stands in the way, or several that do together: without them there would be this route. */
export interface Hindrance {
  readonly wish: WishName;
  /** What has to be given up with it, where it alone is not enough. */
  readonly others: readonly WishName[];
  readonly route: Route;
}

export interface Plan {
  readonly routes: readonly Route[];
  /** Where there is none: the wishes each of which, given up alone, would allow one; else the fewest that do so together. */
  readonly hindrances: readonly Hindrance[];
  /** Where nothing helps: so many wishes at a time were given up, in every way. */
  readonly givenUp?: number;
  /** Why it was not searched for at all. */
  readonly problem?: RequestProblem;
  readonly searched: number;
  readonly complete: boolean;
  /** Where it is not complete: nothing that weighs less, money and bother, is left unseen. */
  readonly ruledOut?: number;
  /** A further destination that was wanted only if cheap, and is left out: it would cost so much more; undefined where there is no way at all. */
  readonly leftOut?: { readonly part: string; readonly under: number; readonly more?: number };
}

/** What has to be bought for a layout, and what comes from the drawer. */
function itemsOf(layout: Layout, request: RouteRequest): { buy: Item[]; own: Item[] } {
  const { buy, own } = split(layout, purseOf(request));
  const items = (some: typeof buy): Item[] =>
    some.map(({ part: { id, name }, price, length }) => ({
      part: id,
      name,
      price,
      ...(length !== undefined && { length }),
    }));
  return { buy: items(buy), own: items(own) };
}

/** The first thing in which a route comes after the one before it. */
function lostTo(here: Found, before: Found, { prefer }: RouteRequest): Lost {
  const pairs: readonly (readonly [Lost['by'], number, number])[] = [
    ['evidence', gradeOf(here.judged), gradeOf(before.judged)],
    ['overruns', here.overruns, before.overruns],
    ['weight', weightOf(here, prefer), weightOf(before, prefer)],
    ['noise', qualityOf(here.judged), qualityOf(before.judged)],
    ['joints', here.cost.joints, before.cost.joints],
  ];
  const [by, a, b] = pairs.find(([, x, y]) => Math.abs(x - y) > 1e-6) ?? (['nothing', 0, 0] as const);
  return { by, here: a, before: b };
}

function named(rig: Rig, request: RouteRequest): Rig {
  const name = request.name ?? 'Route';
  return { ...rig, id: slug(name, 'route'), name };
}

/** A route's knobs as the gain plan has them; where that is no better, peaks brought near the target by what costs nothing. */
function tuned(rig: Rig, judged: Found['judged']): Pick<Settled, 'rig' | 'judged'> {
  const { rig: planned, outcome } = planGains(rig);
  const serves = isBetter(outcome, judged) && (!isTouchy(allFacts(planned)[0]) || isTouchy(allFacts(rig)[0]));
  return serves ? { rig: planned, judged: outcome } : polish(rig, judged);
}

function routeOf(found: Found, index: number, before: Found | undefined, request: RouteRequest): Route {
  const { rig, judged } = tuned(found.rig, found.judged);
  const { buy, own } = itemsOf(found.layout, request);
  return {
    rank: index + 1,
    verdict: judged.verdict,
    cost: found.cost.price,
    buy,
    own,
    parts: found.layout.pieces.map(({ part }) => part.id),
    joints: found.layout.joints.length,
    arrives: judged.arrives,
    listeners: judged.listeners,
    overNoise: Math.min(...judged.arrives.map(overNoise)),
    evidence: EVIDENCE_KINDS[gradeOf(judged)] ?? 'untested',
    ...(before && { lost: lostTo(found, before, request) }),
    rig: named(rig, request),
  };
}

type Steps<T> = Generator<Progress, T>;

/** How many routes to the first recorder are asked whether they serve the second one. */
const MOST_FOR_ALSO = 12;

interface Pair {
  readonly found: Found;
  readonly second: Found;
  readonly total: Cost;
}

/** Routes to the first recorder with the best way to make the same gear serve the second one, by what both cost together. */
function* withSecond(
  request: RouteRequest,
  limits: SearchLimits,
  catalogue?: readonly Part[],
): Steps<{
  pairs: Pair[];
  searched: number;
  complete: boolean;
}> {
  const { also, ...wishes } = request.wishes ?? {};
  const first = yield* search({ ...request, wishes }, { ...limits, count: MOST_FOR_ALSO }, catalogue);
  let { searched, complete } = first;
  const pairs: Pair[] = [];
  for (const found of first.found) {
    const drawer = { ...request.drawer };
    for (const { part } of itemsOf(found.layout, request).buy) {
      drawer[part] = (drawer[part] ?? 0) + 1;
    }
    const budget = wishes.budget === undefined ? {} : { budget: wishes.budget - found.cost.price };
    const question: RouteRequest = {
      ...request,
      drawer,
      destinations: also ? [also] : [],
      wishes: { ...wishes, ...budget },
    };
    const answer = yield* search(question, { ...limits, count: 1 }, catalogue);
    searched += answer.searched;
    complete &&= answer.complete;
    const [second] = answer.found;
    if (!second) continue;
    const total = plus(found.cost, second.cost);
    pairs.push({ found, second, total });
  }
  pairs.sort((a, b) => compareWeights(a.total, b.total) || compareFound(request.prefer)(a.found, b.found));
  return { pairs: pairs.slice(0, limits.count), searched, complete };
}

/** With all destinations, or without the last that is wanted only if cheap, where it is not. */
function* routesFor(request: RouteRequest, limits: SearchLimits, catalogue?: readonly Part[]): Steps<Plan> {
  const { destinations } = request;
  const last = destinations.at(-1);
  if (destinations.length < 2 || last?.under === undefined)
    return yield* routesToAll(request, limits, catalogue);
  const fewer = yield* routesFor({ ...request, destinations: destinations.slice(0, -1) }, limits, catalogue);
  const all = yield* routesToAll(request, limits, catalogue);
  const [with_, without_] = [all.routes[0]?.cost, fewer.routes[0]?.cost];
  const more = with_ === undefined || without_ === undefined ? undefined : with_ - without_;
  const complete = all.complete && fewer.complete;
  if (more !== undefined && more <= last.under) return { ...all, complete };
  if (without_ === undefined) return all;
  const leftOut = { part: last.part, under: last.under, ...(more !== undefined && { more }) };
  return { ...fewer, complete, searched: all.searched + fewer.searched, leftOut };
}

function* routesToAll(request: RouteRequest, limits: SearchLimits, catalogue?: readonly Part[]): Steps<Plan> {
  if (request.wishes?.also === undefined) {
    const { found, searched, complete, ruledOut } = yield* search(request, limits, catalogue);
    const routes = found.map((one, index) => routeOf(one, index, found[index - 1], request));
    return { routes, hindrances: [], searched, complete, ...(ruledOut !== undefined && { ruledOut }) };
  }
  const { pairs, searched, complete } = yield* withSecond(request, limits, catalogue);
  const routes = pairs.map(({ found, second, total }, index): Route => {
    const route = routeOf(found, index, undefined, request);
    const drawer = { ...request.drawer };
    for (const { part } of route.buy) drawer[part] = (drawer[part] ?? 0) + 1;
    const polished = tuned(second.rig, second.judged);
    const more = itemsOf(second.layout, { ...request, drawer }).buy;
    const also = { buy: more, cost: second.cost.price, rig: named(polished.rig, request) };
    return { ...route, cost: total.price, also };
  });
  return { routes, hindrances: [], searched, complete };
}

/** The same question with one wish less. */
export function without(request: RouteRequest, wish: WishName): RouteRequest {
  const { [wish]: _given, ...wishes } = request.wishes ?? {};
  return { ...request, wishes };
}

/** Every choice of so many out of a list. */
function* choices<T>(list: readonly T[], count: number): Generator<readonly T[]> {
  if (count === 0) yield [];
  for (const [index, one] of list.entries()) {
    if (count > 0) for (const rest of choices(list.slice(index + 1), count - 1)) yield [one, ...rest];
  }
}

/** So many wishes are given up together at the most, and so many times as long as for the question itself is spent on it. */
const MOST_GIVEN_UP = 3;
const GIVING_UP_SHARE = 3;

/** The fewest wishes that, given up together, would allow a route: every such set of the least size, as far as time goes. */
function* hindrancesOf(
  request: RouteRequest,
  limits: SearchLimits,
  catalogue?: readonly Part[],
): Steps<Pick<Plan, 'hindrances' | 'givenUp'>> {
  const wishes = wishesMade(request);
  const began = performance.now();
  let givenUp = 0;
  for (let size = 1; size <= Math.min(MOST_GIVEN_UP, wishes.length); size += 1) {
    const hindrances: Hindrance[] = [];
    for (const set of choices(wishes, size)) {
      const [wish, ...others] = set;
      const late = performance.now() - began > GIVING_UP_SHARE * limits.milliseconds;
      if (wish === undefined || (size > 1 && late)) return { hindrances, givenUp };
      const shorter = { ...limits, count: 1, milliseconds: limits.milliseconds / 2 };
      const question = set.reduce(without, request);
      if (firstRequestProblem(question)) continue;
      const { routes } = yield* routesFor(question, shorter, catalogue);
      const [route] = routes;
      if (route) hindrances.push({ wish, others, route });
    }
    if (hindrances.length > 0) return { hindrances };
    givenUp = size;
  }
  return { hindrances: [], givenUp };
}

/**
 * The best proved routes for a request; where there is none, which wishes stand in the way. Yields now and then with how far it
 * is; whoever lets the generator go leaves nothing running.
 */
export function* planSteps(
  request: RouteRequest,
  limits: SearchLimits = LIMITS,
  catalogue?: readonly Part[],
): Steps<Plan> {
  const problem = firstRequestProblem(request);
  if (problem) return { routes: [], hindrances: [], problem, searched: 0, complete: true };
  const plan = yield* routesFor(request, limits, catalogue);
  if (plan.routes.length > 0) return plan;
  return { ...plan, ...(yield* hindrancesOf(request, limits, catalogue)) };
}

/** What a wish costs: the best answer with it against the best without it. */
export interface WishPrice {
  readonly wish: WishName;
  /** More money for the first answer; 0 where it costs nothing. Undefined where there is no answer to compare with. */
  readonly more?: number;
  /** One of the two searches was cut short: the figure may be off. */
  readonly about: boolean;
}

/** Wishes that could cost something: a budget costs nothing, and a second recorder has its own share. */
export const pricedWishes = (request: RouteRequest): WishName[] =>
  wishesMade(request).filter((wish) => wish !== 'budget' && wish !== 'also');

/** The price of a wish, from the answers with it and without it. */
export function priceOfWish(wish: WishName, kept: Plan, given: Plan): WishPrice {
  const [first, other] = [kept.routes[0], given.routes[0]];
  const about = !kept.complete || !given.complete;
  return first && other ? { wish, more: Math.max(0, first.cost - other.cost), about } : { wish, about };
}

/** The same, all at once. */
export function plan(
  request: RouteRequest,
  limits: SearchLimits = LIMITS,
  catalogue?: readonly Part[],
): Plan {
  const steps = planSteps(request, limits, catalogue);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
