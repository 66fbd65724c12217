export type { Coupling } from './couplings';
export { backTo, couplings, toSpeaker, USUAL_PLACING } from './couplings';
export type { Howl } from './howl';
export { howl, SAFE_MARGIN } from './howl';
export { loopGain } from './loop-gain';
export { deafestAt, diffuseShare, distanceFactor, patternGain } from './patterns';
export { absorption, criticalDistance, reverberant, USUAL_ROOM } from './room';
