import type { Found } from '../src/core/search/route/rank';
import type { RouteRequest } from '../src/core/search/route/request';
import { LIMITS, search } from '../src/core/search/route/search';

/** A minute: a test that needs more would rather be wrong than wait. */
const PATIENCE_MS = 60_000;

/** What a search finds whose chains have so many parts at the most, and that asks at every open end what is spent. */
export function searchWhole(request: RouteRequest, longest: number): readonly Found[] {
  const steps = search(request, { ...LIMITS, longest, milliseconds: PATIENCE_MS, spentAfter: 1 });
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value.found;
  }
}

/** What is compared: the kinds in their order, with what each costs. */
export const told = (found: readonly Found[]) =>
  found.map(({ kind, cost }) => ({ kind: kind.trim(), purchases: cost.purchases, price: cost.price }));
