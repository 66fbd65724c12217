export type { Analogue, Beginning, Digital, OpenEnd, Sides, SidesAsked } from './end';
export { isDigital } from './end';
export { copperOf } from './conducts';
export { channelsOf, idealEnd, pairEnd } from './ideal';
export { drivesReached, isCoupled, outletPairs } from './outlets';
export { nodesOfPort } from './passage';
export { sendsOf, stereoInputs } from './sends';
export { asked, playedEnds, sourceEnds } from './source';
export { convertedEnd, couldRecord, exitEnd, exitsOf, passes, throughPart } from './steps';
