import type { Plan, Progress, RouteRequest } from '../core/search/route';

/** What the page asks of the planner's thread. */
export interface PlannerProtocol {
  /** Searches to the end, telling on the way how far it is. */
  plan(request: RouteRequest, tell: (progress: Progress) => void): Plan;
}
