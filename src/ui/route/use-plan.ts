'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Plan, Progress, RouteRequest } from '../../core/search/route';
import { startSearch, type Search } from '../../workers/planner';
import { sayThreadTrouble } from '../shared/thread-trouble';

export type Planning =
  | { readonly state: 'idle' }
  | { readonly state: 'searching'; readonly progress: Progress }
  | { readonly state: 'cancelled' }
  | { readonly state: 'failed'; readonly says: string }
  | { readonly state: 'done'; readonly plan: Plan; readonly request: RouteRequest };

/** One search at a time; leaving the page or asking anew ends the one before. */
export function usePlan() {
  const [planning, setPlanning] = useState<Planning>({ state: 'idle' });
  const running = useRef<Search | undefined>(undefined);
  const end = useCallback(() => {
    running.current?.cancel();
    running.current = undefined;
  }, []);
  useEffect(() => end, [end]);
  const ask = useCallback(
    (request: RouteRequest) => {
      if (running.current) end();
      setPlanning({ state: 'searching', progress: { judged: 0, found: 0, ruledOut: 0 } });
      const search = startSearch(request, (progress) => {
        if (running.current === search) setPlanning({ state: 'searching', progress });
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
  const cancel = useCallback(() => {
    end();
    setPlanning({ state: 'cancelled' });
  }, [end]);
  return { planning, ask, cancel };
}
