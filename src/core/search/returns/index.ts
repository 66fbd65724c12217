export type { ReturnsPlan } from './plan';
export { planReturns } from './plan';
export type { AirMove } from './air-moves';
export { airMoves } from './air-moves';
export { placements } from './placements';
