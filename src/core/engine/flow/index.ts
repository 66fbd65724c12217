export type { HeadsetReading } from './detection';
export {
  BUTTON_BANDS,
  isNoticed,
  MICROPHONE_FROM,
  SHORT_BELOW,
  readHeadset,
  senseResistance,
} from './detection';
export type { Arrival, Sides, SourceState } from './arrivals';
export { arrivalOf, carrying } from './arrivals';
export { AUDIBLE_OVER_NOISE, SIDE_WITHIN, heardBy, isAudible, peakOf } from './heard';
export type { BandLoss, ResponseContext } from './response';
export { bandLoss, bandLossAt } from './response';
export type { Choice, LeftAlone, Track } from './policy';
export {
  appOf,
  chooseInput,
  isUsable,
  monitoringOf,
  selectInput,
  takeOf,
  tracksOf,
  wayAs,
  wayOf,
} from './policy';
export type { HostInput, InputChannel, InputContext, Sensed } from './inputs';
export { hostInputs, peakAt, socketsOf, unnoticedAt } from './inputs';
export { comesTo } from './comes-to';
export type { Chain, Stage } from './chain';
export { chainsInto, wayInto } from './chain';
export type { VoiceSource } from './sources';
export { voiceSource } from './sources';
export { PLAYED_CREST, SPEECH_CREST, VOICE_LEVEL, WORN, mouthDistance, voiceAt } from './voice';
