'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Plan, Route, RouteRequest } from '../../core/search/route';
import { DEMO_REQUESTS } from '../../store/demo-requests';
import { makeReady, startSearch, type Search } from '../../workers/planner';
import { sayThreadTrouble } from '../shared/thread-trouble';

interface Searching {
  readonly state: 'searching';
  readonly request: RouteRequest;
  readonly judged: number;
  /** The ways proved so far; what is found later may come before them, but not before so many that are sure. */
  readonly routes: readonly Route[];
  readonly sure: number;
}

export type Planning =
  | { readonly state: 'idle' }
  | Searching
  | { readonly state: 'failed'; readonly says: string }
  /** To its end, or `stopped` with what was found until then. */
  | { readonly state: 'done' | 'stopped'; readonly plan: Plan; readonly request: RouteRequest };

/** A search under way as an answer that is not finished. */
export const planSoFar = ({ routes, judged, sure }: Searching): Plan => ({
  routes,
  sure: Math.min(sure, routes.length),
  hindrances: [],
  searched: judged,
  complete: false,
});

/** For how long, and what to show meanwhile in place of what is found on the way. */
interface Longer {
  readonly milliseconds: number;
  readonly plan: Plan;
}

/** One search at a time; leaving the page or asking anew ends the one before. */
export function usePlan() {
  const [planning, setPlanning] = useState<Planning>({ state: 'idle' });
  const running = useRef<Search | undefined>(undefined);
  const end = useCallback(() => {
    running.current?.cancel();
    running.current = undefined;
  }, []);
  useEffect(() => end, [end]);
  useEffect(() => makeReady(DEMO_REQUESTS), []);
  const ask = useCallback(
    (request: RouteRequest, longer?: Longer) => {
      if (running.current) end();
      setPlanning({
        state: 'searching',
        request,
        judged: 0,
        sure: longer?.plan.sure ?? 0,
        routes: longer?.plan.routes ?? [],
      });
      const search = startSearch(request, longer?.milliseconds, ({ judged, routes, sure }) => {
        if (running.current !== search) return;
        const more = longer ? {} : { sure, ...(routes && { routes }) };
        setPlanning((now) => (now.state === 'searching' ? { ...now, judged, ...more } : now));
      });
      running.current = search;
      const finish = (next: Planning) => {
        if (running.current !== search) return;
        running.current = undefined;
        setPlanning(next);
      };
      void search.answer.then(
        (plan) => finish({ state: 'done', plan, request }),
        (error: unknown) => finish({ state: 'failed', says: sayThreadTrouble(error) }),
      );
    },
    [end],
  );
  const stop = useCallback(() => {
    end();
    makeReady(DEMO_REQUESTS);
    setPlanning((now) =>
      now.state === 'searching' ? { state: 'stopped', plan: planSoFar(now), request: now.request } : now,
    );
  }, [end]);
  return { planning, ask, stop };
}
