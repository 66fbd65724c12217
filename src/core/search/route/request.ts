import type { RouteRequest, Wishes } from './request.generated';

export type {
  Distance,
  Preference,
  RequestDestination,
  RequestSource,
  RouteRequest,
  Wishes,
} from './request.generated';
export { PREFERENCES } from './request.generated';

export const REQUEST_FORMAT: RouteRequest['format'] = 'symplex-request';
export const REQUEST_VERSION: RouteRequest['version'] = 1;

export const WISH_NAMES = [
  'channels',
  'charge',
  'hear',
  'guests',
  'callers',
  'length',
  'worn',
  'budget',
  'risk',
  'buyNothing',
  'also',
] as const satisfies readonly (keyof Wishes)[];
export type WishName = (typeof WISH_NAMES)[number];
