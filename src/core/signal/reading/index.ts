export type { TakeCode, TakeFinding } from './finding';
export { TAKE_CODES } from './finding';
export { readTake } from './read-take';
