export type { Analysis, NetReport, Outcome } from './analyse';
export { analyse, outcomeOf } from './analyse';
export type { Facts } from './facts';
export { allFacts } from './facts';
export type { ContactView, JointView } from './joint-view';
export type { Lane, Rung } from './ladder';
export { ladder } from './ladder';
export type { Verdict } from './verdict';
export { VERDICTS, verdictOf, verdictRank } from './verdict';
