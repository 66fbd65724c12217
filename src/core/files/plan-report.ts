import { finite } from './finite';
import { analyse } from '../judge';
import type { Rig } from '../rig';
import type { Alone, AlsoWorks, Hindrance, Item, Lost, Plan, Route } from '../search/route';
import { arrivalReport, type ArrivalReport } from './check-report';
import { cautionsFor, pluggingSteps, type PluggingStep } from '../words/plugging';
import { sayHindrance, sayLost, sayPlan, sayRoute } from '../words/say-route';

/** The public form of a route; `rig` is a full document that `check` takes. */
export interface RouteReport {
  readonly rank: number;
  readonly verdict: Route['verdict'];
  readonly cost: number;
  readonly buy: readonly Item[];
  readonly own: readonly Item[];
  readonly parts: readonly string[];
  readonly joints: number;
  readonly overNoiseDb: number | null;
  readonly evidence: Route['evidence'];
  readonly arrives: readonly ArrivalReport[];
  /** What decides between it and the route before; null for the first. */
  readonly lost: (Lost & { readonly says: string }) | null;
  readonly also: AlsoWorks | null;
  readonly says: string;
  /** The order of plugging in, what to set and when, and what one should see then. */
  readonly steps: readonly PluggingStep[];
  readonly cautions: readonly string[];
  readonly rig: Rig;
}

/** What `symplex plan --json` prints. */
export interface PlanReport {
  readonly routes: readonly RouteReport[];
  readonly hindrances: readonly {
    readonly wish: Hindrance['wish'];
    /** What has to be given up with it. */
    readonly others: Hindrance['others'];
    readonly says: string;
    readonly route: RouteReport;
  }[];
  readonly searched: number;
  readonly complete: boolean;
  /** Where it is not complete: nothing that weighs less, money, bother and what is known of its sound, is left unseen; null where that is not known. */
  readonly ruledOut: number | null;
  /** So many of the first routes are known to be the best: none that is as good is left unseen. */
  readonly sure: number;
  /** It is not complete for want of time: asked with more it would look farther. */
  readonly late: boolean;
  /** A further destination that was wanted only if cheap and is left out. */
  readonly leftOut: Plan['leftOut'] | null;
  /** Where there is no way and no wish stands in it: what comes of each of several sources, or recorders, alone. */
  readonly alone: Alone | null;
  readonly says: string;
}

function routeReport(route: Route): RouteReport {
  const { rank, verdict, cost, buy, own, parts, joints, evidence, rig } = route;
  const analysis = analyse(rig);
  return {
    rank,
    verdict,
    cost,
    buy,
    own,
    parts,
    joints,
    overNoiseDb: finite(route.overNoise),
    evidence,
    arrives: route.arrives.map((arrival) => arrivalReport(rig, analysis, arrival)),
    lost: route.lost ? { ...route.lost, says: sayLost(route.lost) } : null,
    also: route.also ?? null,
    says: sayRoute(route),
    steps: pluggingSteps(rig),
    cautions: cautionsFor(rig),
    rig,
  };
}

/** The whole answer to a request, as plain JSON. */
export const planReport = (plan: Plan): PlanReport => ({
  routes: plan.routes.map(routeReport),
  hindrances: plan.hindrances.map((hindrance) => ({
    wish: hindrance.wish,
    others: hindrance.others,
    says: sayHindrance(hindrance),
    route: routeReport(hindrance.route),
  })),
  searched: plan.searched,
  complete: plan.complete,
  ruledOut: plan.ruledOut === undefined ? null : finite(plan.ruledOut),
  sure: plan.sure ?? (plan.complete ? plan.routes.length : 0),
  late: plan.late === true,
  leftOut: plan.leftOut ?? null,
  alone: plan.alone ?? null,
  says: sayPlan(plan),
});
