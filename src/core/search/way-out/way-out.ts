import type { Outcome, Verdict } from '../../judge';
import { applyEdit, type Rig, type RigEdit } from '../../rig';
import type { Drawer } from '../drawer';
import { Heap } from '../heap';
import { isTooWide } from '../fixes/bridgings';
import { cutsCharge } from '../fixes/charged';
import { costOfEdit, type EditCost } from '../fixes/edit-cost';
import { leavesSilent, silencesRoom } from '../fixes/silenced';
import { helps, isClean, isSettable, judged, mayBePlugged, mayStand, type Judged } from './judged';
import { MOST_JUDGED, MOST_STEPS } from './limits';
import { moveOf, movesFor, type Move } from './moves';

/** One thing to do, with what the rig then does. */
export interface WayStep {
  readonly edit: RigEdit;
  readonly cost: EditCost;
  readonly outcome: Outcome;
}

/** Steps after which nothing is left to complain of. */
export interface Way {
  readonly steps: readonly WayStep[];
  /** Money and bother of all of them. */
  readonly weight: number;
  readonly rig: Rig;
  readonly verdict: Verdict;
}

/**
 * The lightest way that was found, or none and why: `done`: every sequence of moves that cure something, each allowed to stand,
 * was followed so far as `MOST_STEPS`; `cut`: by time or by `MOST_JUDGED`, with a way only where a single edit was known to make
 * it clean. `under`: nothing lighter than that is left unseen.
 */
export interface WayOut {
  readonly way?: Way;
  readonly ended: 'clean' | 'done' | 'cut';
  readonly under: number;
  /** How many rigs were judged. */
  readonly judged: number;
  /** Between so many free ends no two parts at a time were tried. */
  readonly isWide: boolean;
}

/** How far the search is. */
export interface WayProgress {
  readonly under: number;
  readonly judged: number;
  readonly isWide: boolean;
}

/** The least that any move costs. */
const LEAST = 1;

/** Whether a part may be brought in. */
export type Allowed = (part: string) => boolean;
const ANYTHING: Allowed = () => true;

interface Node {
  readonly state: Judged;
  readonly weight: number;
  readonly trail: readonly { readonly edit: RigEdit; readonly cost: EditCost }[];
  /** Only these parts may be set now, or plugged otherwise: what was brought in or moved, which by itself has cured nothing yet, and what it meets. */
  readonly waitsFor?: { readonly parts: ReadonlySet<string>; readonly by: 'settings' | 'plugs' };
  /** What is to be cured: of a rig that waits, what was found before the wires were changed, so that what came by that is no trouble to be cured. */
  readonly against: Judged;
}

/** Parts that a change of the wires brought in or joined anew. */
function touched(before: Rig, after: Rig): ReadonlySet<string> {
  const known = new Set([...before.parts, ...before.joints].map((one) => JSON.stringify(one)));
  const isNew = (one: unknown) => !known.has(JSON.stringify(one));
  return new Set([
    ...after.parts.filter(isNew).map(({ id }) => id),
    ...after.joints.filter(isNew).flatMap(({ plug, jack }) => [plug.part, jack.part]),
  ]);
}

const isSetting = (edit: RigEdit, parts: ReadonlySet<string>): boolean =>
  (edit.kind === 'set' || edit.kind === 'choose') && parts.has(edit.part);

/** A lead or adapter comes in, or one that hung loose is plugged in. */
const isLink = ({ kind }: RigEdit): boolean =>
  kind === 'insert' || kind === 'swap' || kind === 'bridge' || kind === 'join';

const isPlug = (edit: RigEdit, parts: ReadonlySet<string>): boolean =>
  (edit.kind === 'move' && parts.has(edit.from.part)) ||
  (edit.kind === 'turn' && parts.has(edit.part)) ||
  (edit.kind === 'join' && (parts.has(edit.a.part) || parts.has(edit.b.part)));

/** Whether a rig that waits has this among what it waits for. */
function isAwaited({ edits, rewires }: Move, { parts, by }: NonNullable<Node['waitsFor']>): boolean {
  return by === 'plugs'
    ? edits.every((edit) => isPlug(edit, parts))
    : !rewires && edits.every((edit) => isSetting(edit, parts));
}

/** What is left to do: a rig whose moves are not listed yet, or a move that was not tried yet. `weight`: no way from here is lighter. */
interface Open {
  readonly from: Node;
  readonly move?: Move;
  readonly weight: number;
}

const inOrder = (a: Open, b: Open): number =>
  a.weight - b.weight || (a.move?.turn ?? Infinity) - (b.move?.turn ?? Infinity) || 0;

const keyOf = ({ parts, joints }: Rig): string =>
  JSON.stringify([parts, joints.map(({ plug, jack }) => [plug, jack])]);

/** The search, a rig a step, so that it can be cut by time or be broken off. */
/** Nothing is left to complain of, and a loudspeaker that the trouble was about plays. */
const isOver = (first: Judged, state: Judged): boolean =>
  isClean(state) && !leavesSilent(first.weighing, state.facts);

class Search {
  private readonly open = new Heap<Open>(inOrder);
  private readonly seen = new Set<string>();
  count = 1;

  constructor(
    private readonly first: Judged,
    private readonly drawer: Drawer,
    private readonly allowed: Allowed,
  ) {}

  /** Single edits that are tried in their turn beside the moves. */
  offer(from: Node, edits: readonly RigEdit[]): void {
    for (const edit of edits) {
      const move = moveOf(from.state.rig, edit, this.drawer);
      this.open.push({ from, move, weight: from.weight + move.weight });
    }
  }

  /** Its moves are listed when nothing lighter is left. */
  push(from: Node): void {
    if (from.trail.length < MOST_STEPS) this.open.push({ from, weight: from.weight + LEAST });
  }

  next(): Open | undefined {
    return this.open.pop();
  }

  private list(from: Node): void {
    for (const move of movesFor(from.state, this.drawer)) {
      if (from.trail.length + move.edits.length > MOST_STEPS) continue;
      const { waitsFor } = from;
      if (waitsFor && !isAwaited(move, waitsFor)) continue;
      if (!move.costs.every(({ part }) => part === undefined || this.allowed(part))) continue;
      this.open.push({ from, move, weight: from.weight + move.weight });
    }
  }

  /** What a move leads to; undefined where that was seen or may not stand, or where moves were only listed. */
  follow({ from, move, weight }: Open): Node | undefined {
    if (!move) {
      this.list(from);
      return undefined;
    }
    const rig = move.edits.reduce(applyEdit, from.state.rig);
    const key = keyOf(rig);
    if (rig === from.state.rig || this.seen.has(key)) return undefined;
    this.seen.add(key);
    this.count += 1;
    const state = judged(rig);
    const trail = [
      ...from.trail,
      ...move.edits.map((edit, index) => ({ edit, cost: move.costs[index] as EditCost })),
    ];
    if (cutsCharge(move.edits, from.state.facts, state.facts)) return undefined;
    if (silencesRoom(from.state.weighing, from.state.facts, state.facts)) return undefined;
    if (isOver(this.first, state)) return { state, weight, trail, against: state };
    const waiting = (by: 'settings' | 'plugs'): Node => ({
      state,
      weight,
      trail,
      against: from.against,
      waitsFor: { parts: touched(from.state.rig, rig), by },
    });
    if (helps(from.against, state) && mayStand(from.state, state))
      return { state, weight, trail, against: state };
    if (!move.rewires) return undefined;
    if (mayStand(from.state, state))
      return state.weighing.every(isSettable) ? waiting('settings') : undefined;
    return !from.waitsFor && move.edits.some(isLink) && mayBePlugged(from.state, state)
      ? waiting('plugs')
      : undefined;
  }
}

/** Every step's outcome, from the trail. */
function wayFrom(rig: Rig, { trail, weight, state }: Node): Way {
  let at = rig;
  const steps = trail.map(({ edit, cost }) => {
    at = applyEdit(at, edit);
    return { edit, cost, outcome: judged(at).outcome };
  });
  return { steps, weight, rig: state.rig, verdict: state.outcome.verdict };
}

/**
 * The lightest sequence of edits after which the whole rig is clean: uniform-cost search over rigs, every one proved by the
 * pipeline. A move is tried only when it is the lightest left, so the first clean rig is the lightest of those that moves and `known` reach.
 */
export function* wayOutSteps(
  rig: Rig,
  drawer: Drawer,
  allowed: Allowed = ANYTHING,
  known: readonly RigEdit[] = [],
): Generator<WayProgress, WayOut> {
  const first = judged(rig);
  const isWide = first.weighing.some((finding) => isTooWide(rig, finding));
  const start: Node = { state: first, weight: 0, trail: [], against: first };
  const search = new Search(first, drawer, allowed);
  if (isClean(first)) return { way: wayFrom(rig, start), ended: 'clean', under: 0, judged: 1, isWide };
  search.push(start);
  search.offer(start, known);
  for (let open = search.next(); open; open = search.next()) {
    yield { under: open.weight, judged: search.count, isWide };
    const node = search.follow(open);
    if (node && isOver(first, node.state)) {
      return { way: wayFrom(rig, node), ended: 'clean', under: node.weight, judged: search.count, isWide };
    }
    if (node) search.push(node);
  }
  return { ended: 'done', under: Infinity, judged: search.count, isWide };
}

/** The lightest of single edits, such as fixes, that make the whole rig clean. */
function lightestOf(rig: Rig, edits: readonly RigEdit[], drawer: Drawer): Way | undefined {
  const first = judged(rig);
  const known = edits.map((edit) => ({ edit, cost: costOfEdit(rig, edit, drawer) }));
  for (const one of known.sort((a, b) => a.cost.weight - b.cost.weight)) {
    const state = judged(applyEdit(rig, one.edit));
    if (isOver(first, state))
      return wayFrom(rig, { state, weight: one.cost.weight, trail: [one], against: state });
  }
  return undefined;
}

/** What a search is told beside the rig: when its time is over, what may be brought in, and single edits that may make it clean. */
export interface WayLimits {
  readonly spent?: () => boolean;
  readonly allowed?: Allowed;
  readonly known?: readonly RigEdit[];
}

/** The same to its end, or until `spent` says that the time is over or `MOST_JUDGED` rigs were judged: then the lightest of what is known. */
export function wayOut(
  rig: Rig,
  drawer: Drawer,
  { spent = () => false, allowed = ANYTHING, known = [] }: WayLimits = {},
): WayOut {
  const steps = wayOutSteps(rig, drawer, allowed, known);
  let under = LEAST;
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    under = Math.max(under, step.value.under);
    const { judged: count, isWide } = step.value;
    if (!spent() && count < MOST_JUDGED) continue;
    const way = lightestOf(rig, known, drawer);
    return { ended: 'cut', under, judged: count, isWide, ...(way && { way }) };
  }
}
