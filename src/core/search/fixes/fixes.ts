import { findingKey, severityRank, sourcesOf, type Finding } from '../../checks';
import { outcomeOf, verdictRank, type Outcome } from '../../judge';
import { applyEdit, partIn, type Rig, type RigEdit } from '../../rig';
import type { Drawer } from '../drawer';
import { candidatesFor, type KnobTrial } from './candidates';

/** An edit that the pipeline has proved: the finding goes, and nothing as bad comes. */
export interface Fix {
  readonly edit: RigEdit;
  /** The catalogue part that it needs, if any, and whether the drawer has one to spare. */
  readonly part?: string;
  readonly owned: boolean;
  /** Typical price of what must be bought. */
  readonly cost: number;
  readonly outcome: Outcome;
}

/** What was proved, best first, and why not everything was tried; it was where that is absent. */
export interface Fixes {
  readonly fixes: readonly Fix[];
  /** `time`: there was no more of it. `number`: of parts only so many are tried. */
  readonly cut?: 'time' | 'number';
}

/** Whether the time for a search is over. */
export type Spent = () => boolean;
const WITHOUT_END: Spent = () => false;

const MOST_OFFERED = 4;
/** Parts are tried from the finding's place outward, so many of them at the most. */
const MOST_PARTS_TRIED = 400;

/** Less to do first: a switch, a lead turned or moved, one part for another, one part more. */
const EFFORT: Record<RigEdit['kind'], number> = {
  set: 0,
  choose: 0,
  turn: 0,
  move: 1,
  app: 1,
  mean: 1,
  tracks: 1,
  label: 1,
  note: 1,
  policy: 1,
  unplug: 1,
  join: 1,
  voice: 1,
  distance: 1,
  length: 1,
  rename: 1,
  own: 1,
  swap: 2,
  remove: 2,
  insert: 3,
  add: 2,
  place: 2,
};

/** The same trouble at another place: of the same source at the same recorder. */
const isLike = (a: Finding, b: Finding): boolean =>
  a.code === b.code &&
  a.recorder === b.recorder &&
  (sourcesOf(b).length === 0 || sourcesOf(a).some((source) => sourcesOf(b).includes(source)));

/** The edited rig lost the finding and gained none that weighs as much. */
export function cures(before: Outcome, after: Outcome, finding: Finding): boolean {
  const key = findingKey(finding);
  const known = new Set(before.findings.map(findingKey));
  if (after.findings.some((f) => findingKey(f) === key || isLike(f, finding))) return false;
  if (verdictRank(after.verdict) > verdictRank(before.verdict)) return false;
  const fresh = after.findings.filter((f) => !known.has(findingKey(f)));
  return fresh.every((f) => severityRank(f.severity) > severityRank(finding.severity));
}

const neededPart = (edit: RigEdit): string | undefined =>
  edit.kind === 'swap'
    ? edit.to
    : edit.kind === 'insert' || edit.kind === 'add' || edit.kind === 'place'
      ? edit.part
      : undefined;

function priced(rig: Rig, edit: RigEdit, drawer: Drawer): Omit<Fix, 'outcome'> {
  const part = neededPart(edit);
  if (part === undefined) return { edit, owned: true, cost: 0 };
  const used = rig.parts.filter((placed) => placed.part === part).length;
  const owned = (drawer[part] ?? 0) > used;
  return { edit, part, owned, cost: owned ? 0 : (partIn(rig, part)?.price ?? 0) };
}

const spoilt = (outcome: Outcome): number => outcome.findings.filter((f) => f.severity !== 'note').length;

const better = (a: Fix, b: Fix): number =>
  verdictRank(a.outcome.verdict) - verdictRank(b.outcome.verdict) ||
  spoilt(a.outcome) - spoilt(b.outcome) ||
  Number(b.owned) - Number(a.owned) ||
  EFFORT[a.edit.kind] - EFFORT[b.edit.kind] ||
  a.cost - b.cost;

/** The same part in the same place does not become another fix by the order of its ports. */
const sameKind = (fix: Fix): string => `${fix.edit.kind} ${fix.part ?? JSON.stringify(fix.edit)}`;

/** Nothing is left to complain of. */
const isPerfect = ({ outcome }: Fix): boolean => outcome.verdict === 'clean' && spoilt(outcome) === 0;

/** Tries edits on one rig for one finding; each at most once, and none once the time is over. */
class Trial {
  private readonly before: Outcome;
  /** Something was left untried. */
  late = false;
  constructor(
    private readonly rig: Rig,
    private readonly finding: Finding,
    private readonly drawer: Drawer,
    private readonly endsOnly: boolean,
    private readonly spent: Spent,
  ) {
    this.before = outcomeOf(rig);
  }

  private outcomeAfter(edit: RigEdit): Outcome | undefined {
    this.late ||= this.spent();
    return this.late ? undefined : outcomeOf(applyEdit(this.rig, edit));
  }

  readonly prove = (edit: RigEdit): Fix[] => {
    const outcome = this.outcomeAfter(edit);
    return outcome && cures(this.before, outcome, this.finding)
      ? [{ ...priced(this.rig, edit, this.drawer), outcome }]
      : [];
  };

  /** The place of a knob nearest to where it stands that cures; none if the finding stays at both ends. */
  readonly turnKnob = ({ ends, places }: KnobTrial): Fix[] => {
    const atEnds = ends.flatMap(this.prove);
    // Out of a send is out: nothing is gained by leaving a little of it.
    if (this.endsOnly) return atEnds.filter(isPerfect).slice(0, 1);
    if (atEnds.length === 0 && !ends.some(this.removes)) return [];
    let best: Fix[] = [];
    for (const edit of places) {
      const proved = this.prove(edit);
      if (proved.some(isPerfect)) return proved;
      if (best.length === 0) best = proved;
    }
    return best;
  };

  private readonly removes = (edit: RigEdit): boolean => {
    const key = findingKey(this.finding);
    return this.outcomeAfter(edit)?.findings.every((f) => findingKey(f) !== key) ?? false;
  };

  /** Whether the user has what an edit needs. */
  readonly isOwned = (edit: RigEdit): boolean => priced(this.rig, edit, this.drawer).owned;
}

/**
 * The best proved fixes of a finding, best first: verdict, then what is owned, then effort, then cost. What must be
 * bought is tried only where nothing at hand makes the rig clean. A consequence has none: its cause has.
 */
export function searchFixes(rig: Rig, finding: Finding, drawer: Drawer, spent = WITHOUT_END): Fixes {
  if (finding.because !== undefined) return { fixes: [] };
  const candidates = candidatesFor(rig, finding);
  const trial = new Trial(rig, finding, drawer, candidates.knobEnds, spent);
  // What most likely cures is tried before the time is over.
  const turned = candidates.knobsFirst ? candidates.knobs.flatMap(trial.turnKnob) : [];
  const atHand = [
    ...turned,
    ...candidates.atHand.flatMap(trial.prove),
    ...(candidates.knobsFirst ? [] : candidates.knobs.flatMap(trial.turnKnob)),
  ];
  const solved = atHand.some(isPerfect);
  // A thing that is only good to know is not worth another part.
  const worthParts = finding.severity !== 'note';
  const parts = candidates.parts.filter((edit) => worthParts && (!solved || trial.isOwned(edit)));
  const proved = [...atHand, ...parts.slice(0, MOST_PARTS_TRIED).flatMap(trial.prove)];
  const kinds = new Map<string, Fix>();
  for (const fix of proved.sort(better)) if (!kinds.has(sameKind(fix))) kinds.set(sameKind(fix), fix);
  const cut = trial.late ? 'time' : parts.length > MOST_PARTS_TRIED ? 'number' : undefined;
  return { fixes: [...kinds.values()].slice(0, MOST_OFFERED), ...(cut && { cut }) };
}

/** The same without a limit of time, the fixes alone. */
export const fixesFor = (rig: Rig, finding: Finding, drawer: Drawer): readonly Fix[] =>
  searchFixes(rig, finding, drawer).fixes;
