export type { Judged } from './judged';
export { judgeRig, LEAST_HEADROOM, LEAST_OVER_NOISE, levelMiss, overNoise, TARGET_PEAK } from './judged';
export type { Settled } from './settle';
export { isHopeless, settle } from './settle';
export { polish } from './polish';
