import { runChecks, type Finding } from '../checks';
import { allFacts, type Facts } from '../engine';
import type { Arrival } from '../engine/flow';
import type { Listener } from '../engine/returns';
import type { Rig } from '../rig';
import { verdictOf, type Verdict } from './verdict';

/** What is said of a rig, in short: verdict, what becomes of each source, who hears what, findings. */
export interface Outcome {
  readonly verdict: Verdict;
  readonly arrives: readonly Arrival[];
  readonly listeners: readonly Listener[];
  readonly findings: readonly Finding[];
}

/** From the facts of every reading to the verdict: the one place where facts become findings. */
export function outcomeFrom(facts: readonly [Facts, ...Facts[]]): Outcome {
  const findings = runChecks(facts);
  const [{ arrivals, listeners }] = facts;
  return { verdict: verdictOf(findings, arrivals), arrives: arrivals, listeners, findings };
}

/** The outcome of a rig, without what only eyes need. */
export const outcomeOf = (rig: Rig): Outcome => outcomeFrom(allFacts(rig));
