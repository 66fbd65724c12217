import type { Plan, Progress, Route, RouteRequest } from '../core/search/route';

/** How far a search is, and the ways proved so far where there are others than were told before. */
export interface Told extends Progress {
  readonly routes?: readonly Route[];
}

/** What the page asks of the planner's thread. */
export interface PlannerProtocol {
  /** Searches to the end, or for so long where it is said, telling on the way how far it is. */
  plan(request: RouteRequest, milliseconds: number | undefined, tell: (told: Told) => void): Plan;

  /** Answers these for nobody, a little at a time, until the first search is asked for: what a new thread works out once, it has then. */
  makeReady(requests: readonly RouteRequest[]): Promise<void>;
}
