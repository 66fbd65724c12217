export type { AlsoWorks, Hindrance, Item, Lost, Plan, Route, WishPrice } from './plan';
export { plan, planSteps, pricedWishes, priceOfWish, without } from './plan';
export type { RequestDestination, RequestSource, RouteRequest, WishName, Wishes } from './request';
export { REQUEST_FORMAT, REQUEST_VERSION, WISH_NAMES } from './request';
export type { RequestProblem } from './request-problems';
export { firstRequestProblem, sayRequestProblem, wishesMade } from './request-problems';
export type { Preference } from './request';
export type { Progress, SearchLimits } from './search';
export { LIMITS } from './search';
