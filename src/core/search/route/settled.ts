import { FAINTEST } from '../../checks';
import { allFacts } from '../../engine';
import { bareOutcomeFrom, type Outcome } from '../../judge';
import { applyEdit, type Rig } from '../../rig';
import { keepsItsSides, planGains, USUAL_AIM } from '../levels';
import { isBetter, isSoundButLow, settle, sideThrows, type Settled } from '../settings';
import { settleCallIn } from './call-in';
import type { RouteRequest } from './request';

/** Peaks that nobody wants recorded, however far they stand over the noise (checks/faint). */
export const isFaint = ({ arrives }: Outcome): boolean =>
  arrives.some(({ state, peak }) => state === 'recorded' && peak < FAINTEST);

/** Ways to set what chains share that are weighed of a layout that is one of many. Ours. */
const MOST_OF_MANY = 1000;

/** What is sound and low with its knobs as they were settled, with those that the gain plan gives it. */
function raised(settled: Settled): Settled {
  if (!isSoundButLow(settled.judged) || !isFaint(settled.judged)) return settled;
  const { rig, outcome } = planGains(settled.rig, USUAL_AIM, MOST_OF_MANY);
  return isBetter(outcome, settled.judged)
    ? { ...settled, rig, judged: outcome, facts: allFacts(rig)[0] }
    : settled;
}

/** So many ways of leading the sides of a source apart are tried. */
const MOST_SPREADS = 8;

/** With the channels that the two sides of a source come in by led to a side each, where they are summed as they were settled. */
function spread(settled: Settled, { wishes }: RouteRequest): Settled {
  const { rig, judged, facts } = settled;
  if (wishes?.channels !== 'stereo' || judged.verdict !== 'clean') return settled;
  const summed = judged.arrives.find((arrival) => !keepsItsSides(facts, arrival));
  if (!summed) return settled;
  for (const edits of sideThrows(facts, summed.source).slice(0, MOST_SPREADS)) {
    const other = edits.reduce(applyEdit, rig);
    const all = allFacts(other);
    const outcome = bareOutcomeFrom(all);
    if (outcome.verdict === 'clean' && outcome.arrives.every((arrival) => keepsItsSides(all[0], arrival)))
      return { ...settled, rig: other, judged: outcome, facts: all[0] };
  }
  return settled;
}

/** A rig with its switches and knobs as a request wants them; `isWorth`: whether better gains would be of any use. */
export function settledFor(
  rig: Rig,
  request: RouteRequest,
  isWorth: (settled: Settled) => boolean = () => true,
): Settled {
  const settled = spread((request.wishes?.callers ? settleCallIn : settle)(rig), request);
  return isWorth(settled) ? raised(settled) : settled;
}
