import type { Part } from '../../parts';
import { itemsOf, named, routeOf, routesOf, tunedOnce, type Route } from './answer';
import { compareWeights, plus, type Cost } from './inventory';
import { withKnownParts } from './own-parts';
import { compareFound, type Found } from './rank';
import { firstRequestProblem, wishesMade, type RequestProblem } from './request-problems';
import type { RouteRequest, WishName } from './request';
import { LIMITS, search, type Progress, type SearchLimits, type SearchResult } from './search';
import { without } from './wishes';

/** A wish that stands in the way, or several that do together: without them there would be this route. */
export interface Hindrance {
  readonly wish: WishName;
  /** What has to be given up with it, where it alone is not enough. */
  readonly others: readonly WishName[];
  readonly route: Route;
}

/** Which of several sources or recorders have no way even alone, by their places in the request; none: it is together that they have none. */
export interface Alone {
  readonly of: 'sources' | 'destinations';
  readonly without: readonly number[];
}

export interface Plan {
  readonly routes: readonly Route[];
  /** Where there is none: the wishes each of which, given up alone, would allow one; else the fewest that do so together. */
  readonly hindrances: readonly Hindrance[];
  /** Where nothing helps: so many wishes at a time were given up, in every way. */
  readonly givenUp?: number;
  /** Where nothing helps: what comes of each of several sources, or recorders, asked about alone. */
  readonly alone?: Alone;
  /** Why it was not searched for at all. */
  readonly problem?: RequestProblem;
  readonly searched: number;
  readonly complete: boolean;
  /** Where it is not complete: nothing that weighs less, money, bother and what is known of its sound, is left unseen. */
  readonly ruledOut?: number;
  /** So many of the first ways are known to be the best: none that is as good is left unseen. */
  readonly sure?: number;
  /** It is not complete for want of time: asked with more it would look farther. */
  readonly late?: boolean;
  /** A further destination that was wanted only if cheap, and is left out: it would cost so much more; undefined where there is no way at all. */
  readonly leftOut?: { readonly part: string; readonly under: number; readonly more?: number };
}

/** How far a plan is. */
export interface Planning extends Progress {
  /** The ways proved so far, best first, where what is found is what was asked for: what follows may be better. */
  readonly soFar?: () => readonly Route[];
}

type Steps<T> = Generator<Planning, T>;

/** What is found on the way is no answer to the question itself. */
function* silently<T>(steps: Generator<Planning, T>): Steps<T> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    const { judged, found, ruledOut } = step.value;
    yield { judged, found, ruledOut, sure: 0 };
  }
}

/** A search that tells what it has found so far. */
function* telling(steps: ReturnType<typeof search>, request: RouteRequest): Steps<SearchResult> {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    const { best, ...progress } = step.value;
    yield { ...progress, soFar: () => routesOf(best(), request) };
  }
}

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
  late: boolean;
}> {
  const { also, ...wishes } = request.wishes ?? {};
  const first = yield* silently(
    search({ ...request, wishes }, { ...limits, count: MOST_FOR_ALSO }, catalogue),
  );
  let { searched, complete, late } = first;
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
    const answer = yield* silently(search(question, { ...limits, count: 1 }, catalogue));
    searched += answer.searched;
    complete &&= answer.complete;
    late ||= answer.late;
    const [second] = answer.found;
    if (!second) continue;
    const total = plus(found.cost, second.cost);
    pairs.push({ found, second, total });
  }
  pairs.sort((a, b) => compareWeights(a.total, b.total) || compareFound(request.prefer)(a.found, b.found));
  return { pairs: pairs.slice(0, limits.count), searched, complete, late };
}

/** With all destinations, or without the last that is wanted only if cheap, where it is not. */
function* routesFor(request: RouteRequest, limits: SearchLimits, catalogue?: readonly Part[]): Steps<Plan> {
  const { destinations } = request;
  const last = destinations.at(-1);
  if (destinations.length < 2 || last?.under === undefined)
    return yield* routesToAll(request, limits, catalogue);
  const fewer = yield* silently(
    routesFor({ ...request, destinations: destinations.slice(0, -1) }, limits, catalogue),
  );
  const all = yield* silently(routesToAll(request, limits, catalogue));
  const [with_, without_] = [all.routes[0]?.cost, fewer.routes[0]?.cost];
  const more = with_ === undefined || without_ === undefined ? undefined : with_ - without_;
  const complete = all.complete && fewer.complete;
  const late = all.late === true || fewer.late === true;
  // Which of the two is the answer hangs on both.
  const doubt = complete ? {} : { sure: 0 };
  if (more !== undefined && more <= last.under) return { ...all, complete, late, ...doubt };
  if (without_ === undefined) return all;
  const leftOut = { part: last.part, under: last.under, ...(more !== undefined && { more }) };
  return { ...fewer, complete, late, ...doubt, searched: all.searched + fewer.searched, leftOut };
}

function* routesToAll(request: RouteRequest, limits: SearchLimits, catalogue?: readonly Part[]): Steps<Plan> {
  if (request.wishes?.also === undefined) {
    const { found, ...rest } = yield* telling(search(request, limits, catalogue), request);
    return { routes: routesOf(found, request), hindrances: [], ...rest };
  }
  const { pairs, ...rest } = yield* withSecond(request, limits, catalogue);
  const routes = pairs.map(({ found, second, total }, index): Route => {
    const route = routeOf(found, index, undefined, request);
    const drawer = { ...request.drawer };
    for (const { part } of route.buy) drawer[part] = (drawer[part] ?? 0) + 1;
    const polished = tunedOnce(second);
    const more = itemsOf(second.layout, { ...request, drawer }).buy;
    const also = { buy: more, cost: second.cost.price, rig: named(polished.rig, request) };
    return { ...route, cost: total.price, also };
  });
  return { routes, hindrances: [], ...rest };
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
      const { routes } = yield* silently(routesFor(question, shorter, catalogue));
      const [route] = routes;
      if (route) hindrances.push({ wish, others, route });
    }
    if (hindrances.length > 0) return { hindrances };
    givenUp = size;
  }
  return { hindrances: [], givenUp };
}

/** Wishes about several sources, which one has not. */
const alone = ({ wishes = {}, ...request }: RouteRequest): RouteRequest => {
  const { channels, ...others } = wishes;
  const isOfSeveral = channels === 'apart' || channels === 'mixed';
  return { ...request, wishes: isOfSeveral ? others : wishes };
};

/** Whether each of several sources, or else recorders, has a way alone: what is wrong with one, or that they do not go together. */
function* aloneOf(
  request: RouteRequest,
  limits: SearchLimits,
  catalogue?: readonly Part[],
): Steps<Alone | undefined> {
  const of = (['sources', 'destinations'] as const).find((several) => request[several].length > 1);
  if (!of) return undefined;
  const without: number[] = [];
  for (const n of request[of].keys()) {
    const question = alone({ ...request, [of]: request[of].slice(n, n + 1) });
    if (firstRequestProblem(question)) return undefined;
    const shorter = { ...limits, count: 1, milliseconds: limits.milliseconds / 2 };
    const { routes } = yield* silently(routesFor(question, shorter, catalogue));
    if (routes.length === 0) without.push(n);
  }
  return { of, without };
}

/**
 * The best proved routes for a request; where there is none, which wishes stand in the way. Yields now and then with how far it
 * is; whoever lets the generator go leaves nothing running.
 */
export function* planSteps(
  asked: RouteRequest,
  limits: SearchLimits = LIMITS,
  catalogue?: readonly Part[],
): Steps<Plan> {
  const request = withKnownParts(asked);
  const problem = firstRequestProblem(request);
  if (problem) return { routes: [], hindrances: [], problem, searched: 0, complete: true };
  const plan = yield* routesFor(request, limits, catalogue);
  if (plan.routes.length > 0) return plan;
  const given = yield* hindrancesOf(request, limits, catalogue);
  const each = given.hindrances.length === 0 ? yield* aloneOf(request, limits, catalogue) : undefined;
  return { ...plan, ...given, ...(each && { alone: each }) };
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
