import { LIMITS, plan as planByTime, type Plan, type RouteRequest } from '../src/core/search/route';

/** The search cut by work and not by time: the same answers on any machine, however busy. */
export const BY_STEPS = { ...LIMITS, milliseconds: Infinity, steps: 12_000 };

export const plan = (request: RouteRequest): Plan => planByTime(request, BY_STEPS);
