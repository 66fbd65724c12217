'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useState } from 'react';
import type { RouteRequest } from '../../core/search/route';
import { keepValue, keptValue } from '../../store/kept';
import { keeping } from '../shared/report-trouble';

const KEY = 'route-request';

/** What the form fills in; drawer, own parts and policies are taken when the search begins. */
export type Question = Pick<
  RouteRequest,
  | 'sources'
  | 'through'
  | 'throughUnusable'
  | 'throughPlace'
  | 'destinations'
  | 'distances'
  | 'carried'
  | 'wishes'
  | 'prefer'
>;

export const EMPTY_QUESTION: Question = { sources: [], destinations: [] };

const isQuestion = (value: unknown): value is Question =>
  typeof value === 'object' &&
  value !== null &&
  Array.isArray((value as Question).sources) &&
  Array.isArray((value as Question).destinations);

/** The question as it was last left, kept as it is changed. Undefined until the store has answered. */
export function useQuestion(): [Question | undefined, (next: Question) => void] {
  const [changed, setChanged] = useState<Question>();
  const kept = useLiveQuery(async () => {
    const found = await keptValue(KEY);
    return isQuestion(found) ? found : EMPTY_QUESTION;
  });
  const change = useCallback((next: Question) => {
    setChanged(next);
    void keeping(keepValue(KEY, next));
  }, []);
  return [changed ?? kept, change];
}
