import { checkOf, findingKey, isAmong, runChecks, type Assumption, type Finding } from '../checks';
import { allFacts, type Facts } from '../engine';
import type { Arrival } from '../engine/flow';
import type { Listener } from '../engine/returns';
import { applyEdit, bridges, laidParts, type Rig } from '../rig';
import { verdictOf, type Verdict } from './verdict';

/** What is said of a rig, in short: verdict, what becomes of each source, who hears what, findings. */
export interface Outcome {
  readonly verdict: Verdict;
  readonly arrives: readonly Arrival[];
  readonly listeners: readonly Listener[];
  readonly findings: readonly Finding[];
}

const weighs = (finding: Finding): boolean => finding.severity !== 'note';

/** Every rig in which a switch stands elsewhere. */
function turned(rig: Rig, part: string, setting: string): Rig[] {
  const switches = laidParts(rig).find((l) => l.placed.id === part)?.part.settings ?? [];
  const found = switches.find((s) => s.id === setting);
  if (found?.kind !== 'switch') return [];
  return found.options.map((option) => applyEdit(rig, { kind: 'set', part, setting, option: option.id }));
}

/** So many ways to close a gap are looked at; with more free sockets than that nobody can say which was meant. */
const MOST_BRIDGES = 8;

/** Every rig in which the gap between two parts is closed by one plug; none where there are too many ways. */
function joined(rig: Rig, [from, to]: readonly [string, string]): Rig[] {
  const found = bridges(rig, from, to);
  return found.length > MOST_BRIDGES ? [] : found.map(({ a, b }) => applyEdit(rig, { kind: 'join', a, b }));
}

/** Every rig in which what is assumed holds. */
const assumedRigs = (rig: Rig, assumption: Exclude<Assumption, { kind: 'fed' }>): Rig[] =>
  assumption.kind === 'turned'
    ? turned(rig, assumption.part, assumption.setting)
    : joined(rig, assumption.parts);

/** What is found once the cause is taken for cured, by the cure that leaves the least; undefined where no assumption cures it. */
function withoutCause(rig: Rig, cause: Finding, assumption: Assumption): readonly Finding[] | undefined {
  if (assumption.kind === 'fed') return runChecks(allFacts(rig, { fed: assumption.parts }));
  return assumedRigs(rig, assumption)
    .map((other) => runChecks(allFacts(other)))
    .filter((left) => !isAmong(left, cause))
    .sort((a, b) => a.filter(weighs).length - b.filter(weighs).length)[0];
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
      if (finding !== cause && weighs(finding) && !isAmong(left, finding))
        because.set(finding, findingKey(cause));
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
