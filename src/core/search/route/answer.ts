import { EVIDENCE_KINDS, type Evidence } from '../../apps';
import { allFacts } from '../../engine';
import type { Arrival } from '../../engine/flow';
import type { Listener } from '../../engine/returns';
import type { Verdict } from '../../judge';
import type { Rig } from '../../rig';
import { slug } from '../../schema';
import { planGains } from '../levels';
import { isBetter, overNoise, polish, type Settled } from '../settings';
import { split, type Layout } from './layout';
import { gradeOf, onBothSides, qualityOf, weightOf, type Found } from './rank';
import type { RouteRequest } from './request';
import { purseOf } from './search';
import { isTouchy } from './touchy';

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
  readonly by: 'evidence' | 'overruns' | 'weight' | 'sides' | 'noise' | 'joints' | 'nothing';
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

/** What makes a route this one and no other, whatever its rank or its rig's name is. */
export const keyOfRoute = ({ rig: { parts, joints } }: Pick<Route, 'rig'>): string =>
  JSON.stringify([parts, joints]);

/** What has to be bought for a layout, and what comes from the drawer. */
export function itemsOf(layout: Layout, request: RouteRequest): { buy: Item[]; own: Item[] } {
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
    ['sides', onBothSides(here), onBothSides(before)],
    ['noise', qualityOf(here.judged), qualityOf(before.judged)],
    ['joints', here.cost.joints, before.cost.joints],
  ];
  const [by, a, b] = pairs.find(([, x, y]) => Math.abs(x - y) > 1e-6) ?? (['nothing', 0, 0] as const);
  return { by, here: a, before: b };
}

export function named(rig: Rig, request: RouteRequest): Rig {
  const name = request.name ?? 'Route';
  return { ...rig, id: slug(name, 'route'), name };
}

/** A route's knobs as the gain plan has them; where that is no better, peaks brought near the target by what costs nothing. */
function tuned(rig: Rig, judged: Found['judged']): Pick<Settled, 'rig' | 'judged'> {
  const { rig: planned, outcome } = planGains(rig);
  const serves = isBetter(outcome, judged) && (!isTouchy(allFacts(planned)[0]) || isTouchy(allFacts(rig)[0]));
  return serves ? { rig: planned, judged: outcome } : polish(rig, judged);
}

/** A way is told more than once, while it is looked for and at the end; it is tuned once. */
const tunings = new WeakMap<Found, Pick<Settled, 'rig' | 'judged'>>();
export function tunedOnce(found: Found): Pick<Settled, 'rig' | 'judged'> {
  const known = tunings.get(found) ?? tuned(found.rig, found.judged);
  tunings.set(found, known);
  return known;
}

export function routeOf(
  found: Found,
  index: number,
  before: Found | undefined,
  request: RouteRequest,
): Route {
  const { rig, judged } = tunedOnce(found);
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

export const routesOf = (found: readonly Found[], request: RouteRequest): Route[] =>
  found.map((one, index) => routeOf(one, index, found[index - 1], request));
