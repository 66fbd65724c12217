import { findingKey, severityRank, type Finding } from '../checks';
import { findPart } from '../parts';
import { outcomeOf, verdictRank, type Outcome } from '../pipeline';
import { applyEdit, type Rig, type RigEdit } from '../rig';
import { candidateEdits } from './candidates';

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

/** How many of each catalogue part the user owns. */
export type Drawer = Readonly<Record<string, number>>;

const MOST_OFFERED = 4;

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
  swap: 2,
  remove: 2,
  insert: 3,
  add: 2,
  place: 2,
};

/** The edited rig lost the finding and gained none that weighs as much. */
export function cures(before: Outcome, after: Outcome, finding: Finding): boolean {
  const key = findingKey(finding);
  const known = new Set(before.findings.map(findingKey));
  if (after.findings.some((f) => findingKey(f) === key || f.code === finding.code)) return false;
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
  return { edit, part, owned, cost: owned ? 0 : (findPart(part)?.price ?? 0) };
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

/** The best proved fixes of a finding, best first: verdict, then what is owned, then effort, then cost. */
export function fixesFor(rig: Rig, finding: Finding, drawer: Drawer): Fix[] {
  const before = outcomeOf(rig);
  const proved = candidateEdits(rig, finding).flatMap((edit): Fix[] => {
    const outcome = outcomeOf(applyEdit(rig, edit));
    return cures(before, outcome, finding) ? [{ ...priced(rig, edit, drawer), outcome }] : [];
  });
  const kinds = new Map<string, Fix>();
  for (const fix of proved.sort(better)) if (!kinds.has(sameKind(fix))) kinds.set(sameKind(fix), fix);
  return [...kinds.values()].slice(0, MOST_OFFERED);
}
