export type { Facts } from './facts';
export { allFacts, factsInTurn, type FactsInTurn } from './facts';
