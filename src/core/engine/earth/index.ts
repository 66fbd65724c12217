export type { OnMains } from './mains';
export { mainsHertz, onMains } from './mains';
export type { EarthNetwork, EarthSource } from './network';
export { chargingFeeds, earthNetwork } from './network';
export type { EarHum, EarthFacts, Hum, HumShare, Level } from './hum';
export { earthFacts, listensAt, UNDER_SPEECH, worstOf } from './hum';
export type { EarthLoop } from './loops';
export { earthLoops } from './loops';
export { WHINE_HERTZ } from './sources';
