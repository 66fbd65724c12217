export type { Delay } from './delays';
export type { Echo } from './echo';
export { echoes, echoLossWanted } from './echo';
export type { Heard, Hearer, Hearing, HearState, Speaker } from './matrix';
export type { LevelUnit } from './people';
export { peopleHearing, unitOf } from './people';
export {
  APART_ENOUGH,
  heardAmongCallers,
  heardInEars,
  heardInRecordings,
  hearing,
  isHeard,
  programmeAt,
  TWICE_FROM,
} from './matrix';
