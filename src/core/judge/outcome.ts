import { checkOf, findingKey, runChecks, type Assumption, type Finding } from '../checks';
import { allFacts, type Facts } from '../engine';
import type { Arrival } from '../engine/flow';
import type { Listener } from '../engine/returns';
import { applyEdit, laidParts, type Rig } from '../rig';
import { verdictOf, type Verdict } from './verdict';

/** What is said of a rig, in short: verdict, what becomes of each source, who hears what, findings. */
export interface Outcome {
  readonly verdict: Verdict;
  readonly arrives: readonly Arrival[];
  readonly listeners: readonly Listener[];
  readonly findings: readonly Finding[];
}

const weighs = (finding: Finding): boolean => finding.severity !== 'note';

const keysOf = (facts: readonly [Facts, ...Facts[]]): ReadonlySet<string> =>
  new Set(runChecks(facts).map(findingKey));

/** Every rig in which a switch stands elsewhere. */
function turned(rig: Rig, part: string, setting: string): Rig[] {
  const switches = laidParts(rig).find((l) => l.placed.id === part)?.part.settings ?? [];
  const found = switches.find((s) => s.id === setting);
  if (found?.kind !== 'switch') return [];
  return found.options.map((option) => applyEdit(rig, { kind: 'set', part, setting, option: option.id }));
}

/** What is found once the cause is taken for cured; undefined where no assumption cures it. */
function withoutCause(rig: Rig, cause: Finding, assumption: Assumption): ReadonlySet<string> | undefined {
  if (assumption.kind === 'fed') return keysOf(allFacts(rig, { fed: assumption.parts }));
  return turned(rig, assumption.part, assumption.setting)
    .map((other) => keysOf(allFacts(other)))
    .find((keys) => !keys.has(findingKey(cause)));
}

/**
 * Findings that go when another is cured stand as its consequences: the engine is run once more with the cause taken for cured,
 * and what is not found then was caused by it.
 */
function causesOf(rig: Rig, findings: readonly Finding[]): ReadonlyMap<Finding, string> {
  const because = new Map<Finding, string>();
  if (findings.filter(weighs).length < 2) return because;
  for (const cause of findings) {
    const assumption = because.has(cause) ? undefined : checkOf(cause.code)?.assume?.(cause);
    const left = assumption && withoutCause(rig, cause, assumption);
    if (!left) continue;
    for (const finding of findings) {
      const key = findingKey(finding);
      if (key !== findingKey(cause) && weighs(finding) && !left.has(key)) {
        because.set(finding, findingKey(cause));
      }
    }
  }
  return because;
}

/** Each cause with its consequences, and theirs, right after it. */
function withCauses(rig: Rig, findings: readonly Finding[]): Finding[] {
  const because = causesOf(rig, findings);
  if (because.size === 0) return [...findings];
  const withOwn = (cause: Finding): Finding[] => {
    const key = findingKey(cause);
    return [
      cause,
      ...findings
        .filter((finding) => because.get(finding) === key)
        .map((finding) => ({ ...finding, because: key }))
        .flatMap(withOwn),
    ];
  };
  return findings.filter((finding) => !because.has(finding)).flatMap(withOwn);
}

/** From the facts of every reading to the verdict: the one place where facts become findings. */
export function outcomeFrom(facts: readonly [Facts, ...Facts[]]): Outcome {
  const [{ rig, arrivals, listeners }] = facts;
  const findings = withCauses(rig, runChecks(facts));
  return { verdict: verdictOf(findings, arrivals), arrives: arrivals, listeners, findings };
}

/** The same without asking what goes with what: for trying many rigs. */
export function bareOutcomeFrom(facts: readonly [Facts, ...Facts[]]): Outcome {
  const [{ arrivals, listeners }] = facts;
  const findings = runChecks(facts);
  return { verdict: verdictOf(findings, arrivals), arrives: arrivals, listeners, findings };
}

/** The outcome of a rig, without what only eyes need. */
export const outcomeOf = (rig: Rig): Outcome => outcomeFrom(allFacts(rig));
