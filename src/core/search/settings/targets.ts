import type { Arrival } from '../../engine/flow';

/** Speech peaks that leave room above and stay clear of the noise. Common practice. */
export const TARGET_PEAK = -12;
/** Nearer to the converter's full scale than this there is no room for a laugh, dB. Common practice. */
export const LEAST_HEADROOM = 6;
/** Speech peaks less than this above the noise drown in it, dB. Our own limit. */
export const LEAST_OVER_NOISE = 20;

/** Speech peaks over the noise, dB. */
export const overNoise = (arrival: Arrival): number => arrival.peak - arrival.noise;

/** How far an arrival is from being neither clipped nor drowned, dB; 0 where it is neither. */
export const levelMiss = (arrival: Arrival): number =>
  arrival.state === 'recorded'
    ? Math.max(0, LEAST_HEADROOM - arrival.headroom) + Math.max(0, LEAST_OVER_NOISE - overNoise(arrival))
    : 0;
