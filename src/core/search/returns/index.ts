export type { ReturnsPlan } from './plan';
export { planReturns } from './plan';
