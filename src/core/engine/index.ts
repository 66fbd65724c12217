export type { Facts } from './facts';
export { allFacts } from './facts';
