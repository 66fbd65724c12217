export type { Facts } from './facts';
export { allFacts } from './facts';
export { couldListen } from './listens';
