import { checkOf, findingKey, runChecks, type Finding } from '../checks';
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

const weighs = (finding: Finding): boolean => finding.severity !== 'note';

/**
 * Findings that go when another is cured stand as its consequences: the engine is run once more with the cause taken for cured,
 * and what is not found then was caused by it.
 */
function withCauses(rig: Rig, findings: readonly Finding[]): Finding[] {
  const because = new Map<Finding, string>();
  if (findings.filter(weighs).length < 2) return [...findings];
  for (const cause of findings) {
    const assumed = checkOf(cause.code)?.assume?.(cause);
    if (!assumed || assumed.fed.length === 0 || because.has(cause)) continue;
    const left = new Set(runChecks(allFacts(rig, assumed)).map(findingKey));
    for (const finding of findings) {
      if (finding !== cause && weighs(finding) && !left.has(findingKey(finding))) {
        because.set(finding, findingKey(cause));
      }
    }
  }
  const isCaused = (finding: Finding) => because.has(finding);
  return [
    ...findings
      .filter((finding) => !isCaused(finding))
      .flatMap((cause) => [
        cause,
        ...findings.flatMap((finding) =>
          because.get(finding) === findingKey(cause) ? [{ ...finding, because: findingKey(cause) }] : [],
        ),
      ]),
  ];
}

/** From the facts of every reading to the verdict: the one place where facts become findings. */
export function outcomeFrom(facts: readonly [Facts, ...Facts[]]): Outcome {
  const [{ rig, arrivals, listeners }] = facts;
  const findings = withCauses(rig, runChecks(facts));
  return { verdict: verdictOf(findings, arrivals), arrives: arrivals, listeners, findings };
}

/** The outcome of a rig, without what only eyes need. */
export const outcomeOf = (rig: Rig): Outcome => outcomeFrom(allFacts(rig));
