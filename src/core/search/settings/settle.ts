import { facesOf, findingKey, isTooLow, type Finding, type Severity } from '../../checks';
import { allFacts, type Facts } from '../../engine';
import { bareOutcomeFrom, type Outcome } from '../../judge';
import { applyEdit, laidParts, settingOf, type Rig, type RigEdit } from '../../rig';
import { bearsOn } from './bears-on';
import { gainEdits } from './gains';
import { isLevel, isWiredWrong, switchesFor } from './switches';
import { levelMiss } from './targets';
import { twinThrows } from './twins';

/** A rig with its switches and knobs set, and what is said of it then. */
export interface Settled {
  readonly rig: Rig;
  readonly judged: Outcome;
  readonly facts: Facts;
  /** How often the pipeline was run. */
  readonly runs: number;
}

/** A rig that is not settled by so many runs is left as it then stands. */
const MOST_RUNS = 20;
/** So many other places of switches are tried for one finding. */
const MOST_SWITCHES = 8;

const WEIGHED: readonly Severity[] = ['danger', 'blocks', 'spoils'];

/** What is too low is left to the gain plan, which knows where the noise comes from. Worst first: what hurts, what stops it, what spoils it, then how far levels are off. */
function scoreOf({ findings, arrives }: Outcome): number[] {
  const counts = WEIGHED.map(
    (severity) => findings.filter((f) => f.severity === severity && !isTooLow(f)).length,
  );
  const unheard = arrives.filter((a) => a.state !== 'recorded').length;
  return [
    counts[0] ?? 0,
    unheard,
    counts[1] ?? 0,
    counts[2] ?? 0,
    arrives.reduce((sum, a) => sum + levelMiss(a), 0),
  ];
}

function isLess(a: readonly number[], b: readonly number[]): boolean {
  const at = a.findIndex((value, index) => Math.abs(value - (b[index] ?? 0)) > 1e-9);
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
}

const isGood = (score: readonly number[]): boolean => score.every((value) => value < 1e-9);

const placeKey = (edit: RigEdit): string =>
  edit.kind === 'set'
    ? `${edit.part} ${edit.setting}`
    : edit.kind === 'choose'
      ? `${edit.part} ${edit.choice}`
      : '';

/** No switch can help: the wires are wrong. */
export const isHopeless = ({ findings }: Outcome): boolean =>
  findings.some((f) => f.severity === 'blocks' && isWiredWrong(f));

interface State extends Settled {
  readonly score: readonly number[];
}

function judgedAt(rig: Rig, runs: number): State {
  const facts = allFacts(rig);
  const judged = bareOutcomeFrom(facts);
  return { rig, facts: facts[0], judged, score: scoreOf(judged), runs };
}

/** Whether something is cured, and what is found now in its place hangs on levels alone. */
function hasOther(next: State, before: State): boolean {
  const keys = new Set(before.judged.findings.flatMap(facesOf).map(findingKey));
  const found = next.judged.findings.flatMap(facesOf);
  const now = new Set(found.map(findingKey));
  const fresh = found.filter((f) => f.severity !== 'note' && !keys.has(findingKey(f)));
  return [...keys].some((key) => !now.has(key)) && fresh.every(isLevel);
}

/** Places of switches that may cure a finding. What spoils how a source sounds is cured by what the source passes. */
const switchesOf = ({ rig, facts }: State, finding: Finding): RigEdit[] =>
  switchesFor(rig, finding).filter(bearsOn(facts, finding));

/** For each finding the first place of a switch that may cure it, each switch once. */
function together(state: State, findings: readonly Finding[]): RigEdit[] {
  const edits = new Map<string, RigEdit>();
  for (const finding of findings) {
    const [first] = switchesOf(state, finding).filter((edit) => !edits.has(placeKey(edit)));
    if (first) edits.set(placeKey(first), first);
  }
  return [...edits.values()];
}

/**
 * Switches and knobs set so that every source is recorded and neither clips nor drowns. What findings name is switched, all at once
 * where that helps and else one by one or, for two sources, one each; gains are solved along each source's chain. Every step is kept only if the pipeline finds
 * the rig better for it.
 */
export function settle(begun: Rig): Settled {
  let state = judgedAt(begun, 1);
  const tried = new Set<string>();
  const attempt = (edits: readonly RigEdit[]): boolean => {
    const key = JSON.stringify(edits);
    if (edits.length === 0 || tried.has(key) || state.runs >= MOST_RUNS) return false;
    tried.add(key);
    let next = judgedAt(edits.reduce(applyEdit, state.rig), state.runs + 1);
    if (!isLess(next.score, state.score) && hasOther(next, state)) {
      // What a switch let through may be too loud or too low now.
      const gains = gainEdits(next.facts);
      if (gains.length > 0) next = judgedAt(gains.reduce(applyEdit, next.rig), next.runs + 1);
    }
    const better = isLess(next.score, state.score);
    state = better ? next : { ...state, runs: next.runs };
    return better;
  };
  const turned = (findings: readonly Finding[]): boolean =>
    attempt(together(state, findings)) ||
    findings.some((finding) =>
      switchesOf(state, finding)
        .slice(0, MOST_SWITCHES)
        .some((edit) => attempt([edit])),
    ) ||
    findings.some((finding) => twinThrows(state.facts, finding).some(attempt));
  while (!isGood(state.score) && state.runs < MOST_RUNS && !isHopeless(state.judged)) {
    const serious = state.judged.findings.filter((f) => f.severity !== 'note' && !isTooLow(f));
    const [wiring, level] = [serious.filter((f) => !isLevel(f)), serious.filter(isLevel)];
    // A knob does not open what is shut.
    const shut = wiring.some((f) => f.severity === 'blocks');
    if (turned(wiring)) continue;
    if (shut || !(attempt(gainEdits(state.facts)) || attempt(gainEdits(state.facts, 0)) || turned(level)))
      break;
  }
  const { rig, judged, facts, runs } = state;
  return withoutNeedless(begun, { rig, judged, facts, runs });
}

/** Switches that stood elsewhere to begin with, as edits back. */
function turnsBack(begun: Rig, rig: Rig): RigEdit[] {
  const before = new Map(laidParts(begun).map((laid) => [laid.placed.id, laid]));
  return rig.parts.flatMap(({ id, settings = {} }) =>
    Object.keys(settings).flatMap((setting): RigEdit[] => {
      const laid = before.get(id);
      const option = laid && settingOf(laid, setting);
      return typeof option === 'string' && option !== settings[setting]
        ? [{ kind: 'set', part: id, setting, option }]
        : [];
    }),
  );
}

/** A good rig without the switches that were turned on the way and are not needed now that the knobs stand; `keeps`: what else is wanted of it. */
export function withoutNeedless(
  begun: Rig,
  settled: Settled,
  keeps: (facts: Facts) => boolean = () => true,
): Settled {
  if (!isGood(scoreOf(settled.judged))) return settled;
  return turnsBack(begun, settled.rig).reduce<Settled>((state, edit) => {
    const { rig, judged, facts, score, runs } = judgedAt(applyEdit(state.rig, edit), state.runs + 1);
    const isAsGood = isGood(score) && judged.findings.length <= state.judged.findings.length && keeps(facts);
    return isAsGood ? { rig, judged, facts, runs } : { ...state, runs };
  }, settled);
}
