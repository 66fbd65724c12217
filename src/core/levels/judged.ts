import { runChecks, type Finding } from '../checks';
import type { Arrival, Listener } from '../flow';
import { allFacts, verdictOf, type Verdict } from '../pipeline';
import type { Rig } from '../rig';

/** What the pipeline says of a rig that is being set: verdict, arrivals, who hears what, findings. */
export interface Judged {
  readonly verdict: Verdict;
  readonly arrives: readonly Arrival[];
  readonly listeners: readonly Listener[];
  readonly findings: readonly Finding[];
}

export function judgeRig(rig: Rig): Judged {
  const facts = allFacts(rig);
  const findings = runChecks(facts);
  const [{ arrivals, listeners }] = facts;
  return { verdict: verdictOf(findings, arrivals), arrives: arrivals, listeners, findings };
}

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
