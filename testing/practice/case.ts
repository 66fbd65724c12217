import type { RouteRequest, Wishes } from '../../src/core/search/route';

/**
 * One answer of practice: words that are each a part of the route, "a|b" for either. `only`: nothing else is bought.
 */
export interface Answer {
  readonly has: readonly string[];
  readonly only?: boolean;
}

/** A request of the trade with what practice does, written down before any answer was seen. Common practice unless a source is named. */
export interface PracticeCase {
  readonly name: string;
  readonly from: readonly string[];
  readonly through?: string;
  readonly to: readonly (readonly [host: string, app?: string])[];
  readonly wishes?: Wishes;
  readonly drawer?: Readonly<Record<string, number>>;
  /** Any of these is what practice does; one of them is to be among the first two. Empty: there is no way. */
  readonly answers: readonly Answer[];
  /** Parts that no answer may have. */
  readonly never?: readonly string[];
  /** Where there is no way: what stands in it, each of which, given up, opens one; none where nothing does. */
  readonly obstacles?: readonly string[];
  /** Where there is no way because the request contradicts itself: the wish named. */
  readonly contradicts?: string;
  readonly more?: Partial<RouteRequest>;
}

export const has = (...parts: readonly string[]): Answer => ({ has: parts });
export const only = (...parts: readonly string[]): Answer => ({ has: parts, only: true });

export const requestOf = ({ from, through, to, wishes, drawer, more, name }: PracticeCase): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  name: name.slice(0, 120),
  sources: from.map((part) => ({ part })),
  ...(through !== undefined && { through }),
  destinations: to.map(([part, app]) => ({ part, ...(app !== undefined && { app }) })),
  ...(wishes && { wishes }),
  ...(drawer && { drawer }),
  ...more,
});
