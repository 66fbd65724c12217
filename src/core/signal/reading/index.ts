export type { TakeCode, TakeFinding } from './finding';
export { TAKE_CODES } from './finding';
export { readTake } from './read-take';
export type { AskedStretch, StretchReading, StretchState } from './read-stretches';
export { readStretches, withoutTaps } from './read-stretches';
