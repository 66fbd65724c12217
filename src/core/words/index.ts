export type { Difference } from './compare';
export { compareRigs } from './compare';
export { findingsPage } from './findings-page';
export type { FindingWords } from './finding-words';
export { FINDING_WORDS } from './say-finding';
export { STATE_BADGE, sayArrival, sayLevel, sayOutcome } from './say-arrival';
export { sayBracket, sayReason, sayTitle } from './say-finding';
export { sayChoice, sayEdit } from './say-edit';
export type { Sentence } from './sentence';
export { figure, plain } from './sentence';
export { ROLE, capital, nameOf, noun, numberWord, peaksWord, withArticle } from './words';
export type { RungReading } from './rung-reading';
export { rungReading } from './rung-reading';
export { sayWhyNone, sayWhyNot } from './say-way-out';
export { sayJoint } from './say-joint';
export { sayHum } from './say-hum';
export { sayMinutes } from './say-time';
export type { PowerAnswer } from './say-power';
export { FAMILY_HEADING } from './part-groups';
export {
  PRESET_WORDS,
  sayAdd,
  sayFirst,
  sayKnobs,
  sayNoise,
  sayPlace,
  sayPlanned,
  sayPlanOutcome,
  sayShare,
} from './say-levels';
