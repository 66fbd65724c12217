import {
  checkOf,
  facesOf,
  findingKey,
  isLike,
  severityRank,
  sourcesOf,
  stillFinds,
  type Cure,
  type Finding,
} from '../../checks';
import { allFacts, factsInTurn, type Facts, type FactsInTurn } from '../../engine';
import { bareOutcomeFrom, outcomeOf, verdictOf, verdictRank, type Outcome } from '../../judge';
import { applyEdit, partOf, type Rig, type RigEdit } from '../../rig';
import { gainEdits } from '../settings/gains';
import { TARGET_PEAK } from '../settings/targets';
import type { Drawer } from '../drawer';
import type { KnobTrial } from './at-hand';
import { candidatesFor } from './candidates';
import { cutsCharge } from './charged';
import { costOfEdit } from './edit-cost';
import { editsOf, type Fix } from './fix';
import { comesTooLow, keepsPurpose } from './keeps-purpose';
import { roomsHeard, silencesRoom } from './silenced';

/** What was proved, best first, and why not everything was tried; it was where that is absent. */
export interface Fixes {
  readonly fixes: readonly Fix[];
  /** There was no more time. */
  readonly cut?: 'time';
  /** How many single edits were tried, and of what kinds they were by the check's own word. */
  readonly tried: number;
  readonly cures: readonly Cure[];
}

/** Whether the time for a search is over. */
export type Spent = () => boolean;
const WITHOUT_END: Spent = () => false;

const MOST_OFFERED = 4;

const keysOf = ({ findings }: Outcome): ReadonlySet<string> =>
  new Set(findings.flatMap(facesOf).map(findingKey));

/** What a box that has its power again lets be seen: another switch on the way, which stood wrong all the time. */
const isRevealed = (cured: Finding, fresh: Finding): boolean =>
  checkOf(cured.code)?.assume?.(cured)?.kind === 'fed' &&
  fresh.setting !== undefined &&
  fresh.severity !== 'danger';

/** The edited rig lost the finding, or one way of what was found both ways, gained none that weighs as much but what was hidden by it, and does what it is for. */
export function cures(before: Outcome, after: Outcome, finding: Finding): boolean {
  const found = after.findings.flatMap(facesOf);
  const stays = (face: Finding) => found.some((f) => findingKey(f) === findingKey(face) || isLike(f, face));
  if (facesOf(finding).every(stays)) return false;
  if (verdictRank(after.verdict) > verdictRank(before.verdict)) return false;
  if (!keepsPurpose(before, after, finding)) return false;
  const known = keysOf(before);
  const fresh = found.filter((f) => !known.has(findingKey(f)));
  return fresh.every(
    (f) => severityRank(f.severity) > severityRank(finding.severity) || isRevealed(finding, f),
  );
}

function priced(rig: Rig, edit: RigEdit, drawer: Drawer): Omit<Fix, 'outcome' | 'rooms' | 'then'> {
  const { part, owned, price, weight } = costOfEdit(rig, edit, drawer);
  return { edit, ...(part !== undefined && { part }), owned, cost: price, weight };
}

const spoilt = (outcome: Outcome): number => outcome.findings.filter((f) => f.severity !== 'note').length;

const better = (a: Fix, b: Fix): number =>
  verdictRank(a.outcome.verdict) - verdictRank(b.outcome.verdict) ||
  spoilt(a.outcome) - spoilt(b.outcome) ||
  b.rooms - a.rooms ||
  Number(b.owned) - Number(a.owned) ||
  a.weight - b.weight;

/** The same part in the same place does not become another fix by the order of its ports. */
const sameKind = (fix: Fix): string => `${fix.edit.kind} ${fix.part ?? JSON.stringify(fix.edit)}`;

/** Nothing is left to complain of. */
const isPerfect = ({ outcome }: Fix): boolean => outcome.verdict === 'clean' && spoilt(outcome) === 0;

/** A fix with whose consequence is what: of a single finding, or none, there is nothing to tell. */
const told = (rig: Rig, fix: Fix): Fix =>
  fix.outcome.findings.length < 2 ? fix : { ...fix, outcome: outcomeOf(editsOf(fix).reduce(applyEdit, rig)) };

/** What an edit leaves of a rig. */
type Left = Pick<Fix, 'outcome' | 'rooms' | 'then'>;

/** Tries edits on one rig for one finding; each at most once, and none once the time is over. */
class Trial {
  private readonly before: Outcome;
  private readonly known: ReadonlySet<string>;
  /** Something was left untried. */
  late = false;
  count = 0;
  constructor(
    private readonly rig: Rig,
    private readonly facts: readonly [Facts, ...Facts[]],
    private readonly finding: Finding,
    private readonly drawer: Drawer,
    private readonly endsOnly: boolean,
    private readonly spent: Spent,
  ) {
    this.before = bareOutcomeFrom(facts);
    this.known = keysOf(this.before);
  }

  /** What an edit leaves; nothing where the time is over, or where it is seen early that it is no cure. */
  private after(edit: RigEdit, isVain: (found: FactsInTurn) => boolean, mayTurn: boolean): Left | undefined {
    this.late ||= this.spent();
    if (this.late) return undefined;
    this.count += 1;
    const edited = applyEdit(this.rig, edit);
    const plain = factsInTurn(edited);
    const [before] = this.facts;
    if (isVain(plain)) return undefined;
    const isLow = mayTurn && comesTooLow(this.before.arrives, plain.nominal.arrivals);
    const then = isLow ? gainEdits(plain.nominal) : [];
    const found = then.length > 0 ? factsInTurn(then.reduce(applyEdit, edited)) : plain;
    const { nominal, all } = found;
    if (cutsCharge([edit], before, nominal) || silencesRoom([this.finding], before, nominal))
      return undefined;
    return {
      outcome: bareOutcomeFrom(all()),
      rooms: roomsHeard(nominal),
      ...(then.length > 0 && { then }),
    };
  }

  /** Whether something is not recorded that was, or the finding is there still: whatever else is found then, it is no cure. */
  private readonly isNoCure = ({ nominal, all }: FactsInTurn): boolean =>
    verdictRank(verdictOf([], nominal.arrivals)) > verdictRank(this.before.verdict) ||
    stillFinds(this.finding, all());

  /** `mayTurn`: knobs on the way that is opened are turned with it, where what comes would be too low. */
  readonly prove = (edit: RigEdit, mayTurn = true): Fix[] => {
    const found = this.after(edit, this.isNoCure, mayTurn);
    return found && cures(this.before, found.outcome, this.finding)
      ? [{ ...priced(this.rig, edit, this.drawer), ...found }]
      : [];
  };

  private readonly proveKnob = (edit: RigEdit): Fix[] => this.prove(edit, false);

  /** The place of a knob nearest to where it stands that cures; none if the finding stays at both ends. */
  readonly turnKnob = ({ ends, places }: KnobTrial): Fix[] => {
    // Out of a send is out: nothing is gained by leaving a little of it, let alone by more of it.
    if (this.endsOnly) return ends.slice(0, 1).flatMap(this.proveKnob).filter(this.isNeat);
    const atEnds = ends.flatMap(this.proveKnob);
    if (atEnds.length === 0 && !ends.some(this.removes)) return [];
    let best: Fix[] = [];
    for (const edit of places) {
      const proved = this.proveKnob(edit);
      if (proved.some(isPerfect)) return proved.map(this.nearTarget);
      if (best.length === 0) best = proved;
    }
    return best.map(this.nearTarget);
  };

  /** A knob that cures, turned on to where peaks come to the target, if the pipeline finds that as good. */
  private readonly nearTarget = (fix: Fix): Fix => {
    const { edit, outcome } = fix;
    if (edit.kind !== 'set' || typeof edit.option !== 'number') return fix;
    const knob = partOf(this.rig, edit.part)?.settings?.find(({ id }) => id === edit.setting);
    const arrival = outcome.arrives.find(
      (a) => a.recorder === this.finding.recorder && sourcesOf(this.finding).includes(a.source),
    );
    if (knob?.kind !== 'knob' || arrival?.state !== 'recorded') return fix;
    const steps = Math.round((edit.option + TARGET_PEAK - arrival.peak - knob.from) / knob.step);
    const option = Math.min(knob.to, Math.max(knob.from, knob.from + steps * knob.step));
    // Where the end of the knob spoils something, its 0 dB is where hands leave it.
    for (const place of new Set([option, Math.min(Math.max(0, edit.option), option)])) {
      if (place === edit.option) continue;
      const nearer = this.proveKnob({ ...edit, option: place });
      const better = nearer.find((one) => isPerfect(one) || !isPerfect(fix));
      if (better) return better;
    }
    return fix;
  };

  private readonly removes = (edit: RigEdit): boolean => {
    const found = this.after(edit, () => false, false);
    const left = found && keysOf(found.outcome);
    return left !== undefined && facesOf(this.finding).some((face) => !left.has(findingKey(face)));
  };

  /** Whether nothing that weighs is found after a fix that was not found before it. */
  readonly isNeat = ({ outcome }: Fix): boolean =>
    outcome.findings.flatMap(facesOf).every((f) => f.severity === 'note' || this.known.has(findingKey(f)));

  /** What an edit costs. */
  readonly weigh = (edit: RigEdit) => costOfEdit(this.rig, edit, this.drawer);

  /** Edits from the lightest on, until so many different ones cure without anything new. */
  readonly proveInOrder = (edits: readonly RigEdit[], enough: number): Fix[] => {
    const found: Fix[] = [];
    const neat = new Set<string>();
    const weighed = edits.map((edit) => ({ edit, weight: this.weigh(edit).weight }));
    for (const { edit } of weighed.sort((a, b) => a.weight - b.weight)) {
      for (const fix of this.prove(edit)) {
        found.push(fix);
        if (this.isNeat(fix)) neat.add(sameKind(fix));
      }
      if (neat.size >= enough) break;
    }
    return found;
  };
}

/**
 * The best proved fixes of a finding, best first: verdict, then what is owned, then money and bother. What must be bought is
 * tried only where nothing at hand makes the rig clean, the least first. A consequence has none: its cause has.
 */
export function searchFixes(rig: Rig, finding: Finding, drawer: Drawer, spent = WITHOUT_END): Fixes {
  if (finding.because !== undefined) return { fixes: [], tried: 0, cures: [] };
  const facts = allFacts(rig);
  const candidates = candidatesFor(facts[0], finding);
  const trial = new Trial(rig, facts, finding, drawer, candidates.knobEnds, spent);
  // What most likely cures is tried before the time is over.
  const turned = candidates.knobsFirst ? candidates.knobs.flatMap(trial.turnKnob) : [];
  const named = candidates.named.flatMap((edit) => trial.prove(edit));
  // What the finding itself names, or the send that is too far up, is what is wrong: if that cures it and harms nothing, nothing
  // else at hand is a better answer.
  const pointed = [...named, ...(candidates.knobEnds ? turned : [])];
  const others = pointed.some((fix) => isPerfect(fix) || trial.isNeat(fix)) ? [] : candidates.atHand;
  const atHand = [
    ...turned,
    ...named,
    ...others.flatMap((edit) => trial.prove(edit)),
    ...(candidates.knobsFirst ? [] : candidates.knobs.flatMap(trial.turnKnob)),
  ];
  const solved = atHand.some(isPerfect);
  // A thing that is only good to know is not worth another part.
  const worthParts = finding.severity !== 'note';
  const parts = candidates.parts.filter((edit) => worthParts && (!solved || trial.weigh(edit).owned));
  const proved = [...atHand, ...trial.proveInOrder(parts, MOST_OFFERED)];
  const kinds = new Map<string, Fix>();
  for (const fix of proved.sort(better)) if (!kinds.has(sameKind(fix))) kinds.set(sameKind(fix), fix);
  const offered = [...kinds.values()].slice(0, MOST_OFFERED);
  return {
    fixes: offered.map((fix) => told(rig, fix)),
    ...(trial.late && { cut: 'time' as const }),
    tried: trial.count,
    cures: checkOf(finding.code)?.cures ?? [],
  };
}

/** The same without a limit of time, the fixes alone. */
export const fixesFor = (rig: Rig, finding: Finding, drawer: Drawer): readonly Fix[] =>
  searchFixes(rig, finding, drawer).fixes;

/** The edits among fixes that leave nothing but notes. */
export const cleaningEdits = (found: readonly Fixes[]): RigEdit[] =>
  found.flatMap(({ fixes }) => fixes.filter(isPerfect).map(({ edit }) => edit));
