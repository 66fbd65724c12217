import { isTooLow, LEAST_HEADROOM, LEAST_OVER_NOISE } from '../../checks';
import type { Arrival } from '../../engine/flow';
import type { Outcome } from '../../judge';

export { LEAST_HEADROOM, LEAST_OVER_NOISE } from '../../checks';

/** Speech peaks that leave room above and stay clear of the noise. Common practice. */
export const TARGET_PEAK = -12;
/** Speech peaks that stand so far over the noise, dB, are no clearer to the ear for more of it. Ours. */
export const CLEAR_OF_NOISE = 45;
/** Speech peaks over the noise, dB. */
export const overNoise = (arrival: Arrival): number => arrival.peak - arrival.noise;

/** How far an arrival is from being neither clipped nor drowned, dB; 0 where it is neither. */
export const levelMiss = (arrival: Arrival): number =>
  arrival.state === 'recorded'
    ? Math.max(0, LEAST_HEADROOM - arrival.headroom) + Math.max(0, LEAST_OVER_NOISE - overNoise(arrival))
    : 0;

/** Nothing is wrong with a rig, or only that it is too low as its knobs stand. */
export const isSoundButLow = ({ verdict, findings }: Outcome): boolean =>
  verdict === 'clean' ||
  (verdict === 'faulty' && findings.every((finding) => finding.severity === 'note' || isTooLow(finding)));
