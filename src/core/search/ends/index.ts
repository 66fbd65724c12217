export { isFedAt } from './arrive';
export type { Analogue, Beginning, Digital, OpenEnd, Passed, Sides, SidesAsked } from './end';
export { isBare, isDigital } from './end';
export { copperOf } from './conducts';
export { channelsOf, idealEnd, pairEnd, splitEnd } from './ideal';
export { drivesReached, isCoupled, isDriven, outletPairs } from './outlets';
export { isBoundToDull, isTender, listens, onEveryPair } from './edge';
export { standApart } from './leave';
export { nodesOfPort } from './passage';
export { sendsOf, stereoInputs } from './sends';
export { asked, askedOfHalf, isHalf, playedAt, playerEnd, playsAt, sourceEnds } from './source';
export {
  convertedEnd,
  couldRecord,
  exitEnd,
  exitsOf,
  partsSides,
  passes,
  recordedPeaks,
  throughPart,
} from './steps';
