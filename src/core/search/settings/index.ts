export {
  CLEAR_OF_NOISE,
  isSoundButLow,
  LEAST_HEADROOM,
  LEAST_OVER_NOISE,
  levelMiss,
  overNoise,
  TARGET_PEAK,
} from './targets';
export { gainEdits } from './gains';
export type { Settled } from './settle';
export { isHopeless, settle, withoutNeedless } from './settle';
export { isBetter, polish } from './polish';
export { sideThrows } from './twins';
