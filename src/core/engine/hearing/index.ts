export type { Delay } from './delays';
export type { Echo } from './echo';
export { echoes, echoLossWanted } from './echo';
export type { Heard, Hearer, Hearing, HearState, Speaker } from './matrix';
export { heardAmongCallers, heardInEars, hearing, isHeard, programmeAt, TWICE_FROM } from './matrix';
