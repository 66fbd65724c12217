export type { Analysis, NetReport } from './analyse';
export { analyse, aspectOf } from './analyse';
export type { Outcome } from './outcome';
export { bareOutcomeFrom, outcomeFrom, outcomeOf } from './outcome';
export type { Verdict } from './verdict';
export { VERDICTS, verdictOf, verdictRank } from './verdict';
