export type { HeadsetReading } from './detection';
export { BUTTON_BANDS, MICROPHONE_FROM, SHORT_BELOW, readHeadset, senseResistance } from './detection';
export type { Arrival, Sides, SourceState } from './arrivals';
export {
  AUDIBLE_OVER_NOISE,
  SIDE_WITHIN,
  appOf,
  appTakes,
  arrivalOf,
  selectInput,
  sidesOf,
} from './arrivals';
export type { HostInput, InputChannel, InputContext, Sensed } from './inputs';
export { hostInputs, peakAt } from './inputs';
export type { Listener } from './listeners';
export { listeners } from './listeners';
export type { VoiceSource } from './sources';
export { voiceSource } from './sources';
export { SPEECH_CREST, VOICE_LEVEL, mouthDistance, voiceAt } from './voice';
