import { decibels, type Decibels } from '../units';

/** What a laugh or a louder word needs above the peaks, dB. Common practice: speech peaks near −12 dBFS, never over −6. */
export const LEAST_HEADROOM: Decibels = decibels(6);

/** Speech peaks less than this above the noise are heard to hiss under every pause, dB. Our own limit. */
export const LEAST_OVER_NOISE = 35;

/** Peaks under this are too low to be lifted without their noise, dBFS: 18 dB under the usual target of −12. Our own; the limit of takes, too. */
export const FAINTEST = -30;
