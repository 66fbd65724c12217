import type { Plan } from './plan';
import { wishesMade } from './request-problems';
import type { RouteRequest, WishName } from './request';

/** What a wish costs: the best answer with it against the best without it. */
export interface WishPrice {
  readonly wish: WishName;
  /** More money for the first answer; 0 where it costs nothing. Undefined where there is no answer to compare with. */
  readonly more?: number;
  /** One of the two searches was cut short: the figure may be off. */
  readonly about: boolean;
}

/** Wishes that could cost something: a budget costs nothing, and a second recorder has its own share. */
export const pricedWishes = (request: RouteRequest): WishName[] =>
  wishesMade(request).filter((wish) => wish !== 'budget' && wish !== 'also');

/** The price of a wish, from the answers with it and without it. */
export function priceOfWish(wish: WishName, kept: Plan, given: Plan): WishPrice {
  const [first, other] = [kept.routes[0], given.routes[0]];
  const about = !kept.complete || !given.complete;
  return first && other ? { wish, more: Math.max(0, first.cost - other.cost), about } : { wish, about };
}
