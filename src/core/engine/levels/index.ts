export { arrivalChains } from './arrival-chains';
export type { NoiseItem } from './budget';
export { noiseBudget } from './budget';
export type { ChainResponse, ResponsePoint } from './response';
export { chainResponse, FREQUENCIES } from './response';
export type { RecordedWay, Staircase, Step } from './staircase';
export { fullScaleOf, inputOf, loudestChain, loudestChains, recordedWays, staircases } from './staircase';
export type { Place, Run, RunOnWay, RunStop } from './runs';
export {
  longestStretch,
  metresFor,
  pickedUp,
  runsAlong,
  runsOf,
  UNBALANCED_METRES,
  VOLTS_PER_METRE,
} from './runs';
