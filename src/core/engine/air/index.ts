export type { Coupling } from './couplings';
export { backTo, couplings, speakersOf, terminals, toSpeaker, USUAL_PLACING } from './couplings';
export type { Howl } from './howl';
export { howl, SAFE_MARGIN } from './howl';
export { loopGain } from './loop-gain';
export { deafestAt, diffuseShare, distanceFactor, patternGain } from './patterns';
export type { MouthVoice, PersonStands, Standing } from './people';
export { atPerson, standingOf, standings, USUAL_STAND, voicesOfPerson } from './people';
export { absorption, criticalDistance, reverberant, USUAL_ROOM } from './room';
