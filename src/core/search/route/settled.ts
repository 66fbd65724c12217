import { FAINTEST } from '../../checks';
import { allFacts } from '../../engine';
import type { Outcome } from '../../judge';
import type { Rig } from '../../rig';
import { planGains } from '../levels';
import { isBetter, settle, type Settled } from '../settings';
import { lowness } from '../bother';
import { settleCallIn } from './call-in';
import type { RouteRequest } from './request';

/** Peaks that nobody wants recorded, however far they stand over the noise (checks/faint). */
export const isFaint = ({ arrives }: Outcome): boolean =>
  arrives.some(({ state, peak }) => state === 'recorded' && peak < FAINTEST);

/** What is clean and low with its knobs as they were settled, with those that the gain plan gives it. */
function raised(settled: Settled): Settled {
  if (settled.judged.verdict !== 'clean' || lowness(settled.judged) === 0) return settled;
  const { rig, outcome } = planGains(settled.rig);
  return isBetter(outcome, settled.judged)
    ? { ...settled, rig, judged: outcome, facts: allFacts(rig)[0] }
    : settled;
}

/** A rig with its switches and knobs as a request wants them. */
export const settledFor = (rig: Rig, { wishes }: RouteRequest): Settled =>
  raised((wishes?.callers ? settleCallIn : settle)(rig));
