export type { WavHead, WavProblem, WavResult } from './wav';
export { readWavHead, wavSamples } from './wav';
export type { WavFeed } from './wav-feed';
export { wavFeed } from './wav-feed';
export { wavHead, weave16 } from './write-wav';
