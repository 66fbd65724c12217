import { allFacts } from '../../engine';
import { outcomeOf, verdictRank, type Outcome } from '../../judge';
import { applyEdit, type Rig } from '../../rig';
import { gainEdits } from './gains';
import type { Settled } from './settle';
import { CLEAR_OF_NOISE, LEAST_HEADROOM, overNoise, TARGET_PEAK } from './targets';

/** Being louder is not worth more noise than this, dB, where it does not stand well clear of it. */
const WORTH_NOISE = 1;

const missOf = (peak: number): number => Math.abs(peak - TARGET_PEAK);

/** Whether one answer is as sound as another, its arrivals nearer to their target and none noisier. */
export function isBetter(after: Outcome, before: Outcome): boolean {
  if (verdictRank(after.verdict) > verdictRank(before.verdict)) return false;
  if (after.findings.length > before.findings.length) return false;
  return after.arrives.every((arrival, n) => {
    const known = before.arrives[n];
    return (
      known !== undefined &&
      arrival.state === known.state &&
      arrival.headroom >= Math.min(LEAST_HEADROOM, known.headroom) &&
      overNoise(arrival) >= Math.min(CLEAR_OF_NOISE, overNoise(known) - WORTH_NOISE) &&
      missOf(arrival.peak) <= missOf(known.peak) + 1
    );
  });
}

/** Knobs of a sound rig turned so that speech peaks come near −12 dBFS, where that costs nothing; else as it was. */
export function polish(begun: Rig, first: Outcome): Omit<Settled, 'facts'> {
  const edits = gainEdits(allFacts(begun)[0]);
  if (edits.length === 0) return { rig: begun, judged: first, runs: 0 };
  const rig = edits.reduce(applyEdit, begun);
  const judged = outcomeOf(rig);
  return isBetter(judged, first) ? { rig, judged, runs: 1 } : { rig: begun, judged: first, runs: 1 };
}
