import type { Part } from '../../parts';
import { Alike } from './alike';
import { Bounded } from './bounded';
import type { Stock } from './attach';
import { isOutdone } from './outdone';
import { leastExtra, supplyExtra } from './extras';
import { completed } from './complete';
import { straightened } from './crossed';
import { Heap } from '../heap';
import { compareCosts, compareWeights, NOTHING, plus, SAME, type Cost } from './inventory';
import { layoutCost, type Layout } from './layout';
import { bestOf, isBoundToPad, leavesHeadphones, sensibleBeside, weightOf, type Found } from './rank';
import { Padding } from './padding';
import type { RouteRequest } from './request';
import { couldReachSides } from './reached';
import { paddedFor } from './repairs';
import { overruns } from './runs';
import { turnedWithin } from './turned';
import type { Ground, GroundOfPass } from './ground';
import { streamsOf, type Stream } from './streams';
import type { Verdicts } from './verdicts';

/** What one pass looks at: the weakest evidence taken, and whether runs too long for practice are. */
export interface Pass {
  readonly grade: number;
  readonly longRuns: boolean;
}

/** A layout that waits to be judged, until nothing less than `turn` is left; it weighs `least` at the least, with what its chains weigh for sure. */
interface Waiting {
  readonly layout: Layout;
  readonly cost: Cost;
  readonly least: number;
  readonly turn: Cost;
}

/** What a layout weighs at the least. */
const leastOf = ({ sure = 0 }: Layout, { weight }: Cost): number => weight + sure;

/** So many open ends are looked at for the first layout of a shape, on the average, and at a time. */
const MOST_DIVE = 150;
const DIVE = 50;
/** So many layouts of a shape that are no answer are looked at before the shape waits for the search itself. Ours. */
const MOST_TRIES = 3;
/** So often a shape that led to nothing has its turn, where something was found. Ours. */
const MOST_TURNS = 3;
/** Twice the work on a shape counts as so much more weight. */
const DOUBLING = 60;

/** What a search may rest on beside its question. */
export interface Beside {
  /** What another search of the same pass has found. */
  readonly known?: readonly Found[];
  /** The best of the passes before, beside which what is found here has to be sensible. */
  readonly first?: Found | undefined;
  /** By which shapes it looks. */
  readonly shapes?: ((ground: Ground) => readonly Stream[]) | undefined;
}

/** One search under one grade of evidence: layouts by cost, judged as they come, until no better can follow. */
export class Search {
  private readonly streams: Bounded[];
  private readonly waiting = new Heap<Waiting>((a, b) => compareCosts(a.turn, b.turn));
  private readonly alike = new Alike();
  /** Shapes: of layouts that differ by like things exchanged one is enough. */
  private readonly seen = new Set<string>();
  private readonly surcharge: Cost;
  private readonly stock: Stock;
  private readonly first: Found | undefined;
  readonly found: Found[] = [];
  private readonly padding: Padding;
  /** Layouts that the pipeline judged. */
  judged = 0;
  steps = 0;

  constructor(
    private readonly request: RouteRequest,
    parts: readonly Part[],
    ground: GroundOfPass,
    private readonly pass: Pass,
    private readonly count: number,
    /** Of all searches for the request. */
    private readonly verdicts: Verdicts,
    { known = [], first, shapes = streamsOf }: Beside = {},
  ) {
    this.first = first;
    this.padding = new Padding(request, this.found, () => this.surcharge.weight);
    this.ceiling = first && { ...NOTHING, weight: sensibleBeside(first, request.prefer) };
    this.stock = { parts, purse: ground.purse };
    const extra = supplyExtra(parts, ground.purse);
    const streams = shapes({
      ...ground,
      extra,
      ceiling: () => this.ceiling,
      needless: (from, chain, middle) => this.padding.isNeedless(from, chain, middle),
      spent: (weight) => this.padding.spentAt(weight),
      spentOn: (middle, leg, weight) => this.padding.spentOn(middle, leg, weight),
      isLost: verdicts.isLost,
      lostWays: verdicts.lostWays,
    });
    this.streams = streams.map((stream) => new Bounded(stream));
    this.surcharge = leastExtra(request, parts, ground.purse);
    this.adopt(known);
  }

  get prefer(): RouteRequest['prefer'] {
    return this.request.prefer;
  }

  private get soundFirst(): boolean {
    return this.prefer === 'sound';
  }

  /** What a way weighs to who prefers what. */
  private readonly weigh = (found: Found): number => weightOf(found, this.request.prefer);

  /** A layout with what it still lacks; nothing where one of its kind was found that weighs no more even so, and gives as much. */
  private wholes(layout: Layout): readonly Layout[] {
    const least = leastOf(layout, layoutCost(layout, this.stock.purse));
    if (this.ceiling && least > this.ceiling.weight + SAME) return [];
    const hasBetter = this.found.some(
      (one) =>
        one.kind === layout.kind &&
        this.weigh(one) <= least &&
        (leavesHeadphones(one.layout) || !leavesHeadphones(layout)),
    );
    return hasBetter ? [] : completed(layout, this.request, this.stock);
  }

  private offer(offered: Layout): void {
    const layout = straightened(turnedWithin(offered, this.request));
    const cost = layoutCost(layout, this.stock.purse);
    const least = leastOf(layout, cost);
    const turn = { ...cost, weight: least };
    if (this.ceiling && compareWeights(turn, this.ceiling) > 0) return;
    if (!couldReachSides(layout, this.request.wishes ?? {})) return;
    if (!this.pass.longRuns && overruns(layout, this.request) > 0) return;
    const key = this.verdicts.shapeOf(layout);
    if (this.seen.has(key)) return;
    this.seen.add(key);
    if (cost.price <= (this.request.wishes?.budget ?? Infinity))
      this.waiting.push({ layout, cost, least, turn });
  }

  /** Judges a layout; one that is like several answers is first put off to what it is likely to weigh. */
  private judge(waiting: Waiting): void {
    const { layout, cost, least, turn } = waiting;
    const later = { ...cost, weight: this.alike.likely(layout, least) };
    if (compareWeights(turn, later) < 0) this.waiting.push({ ...waiting, turn: later });
    else this.decide(waiting);
  }

  private decide(waiting: Waiting): void {
    const { layout, cost, least } = waiting;
    if (this.best.some((one) => this.weigh(one) <= least && isBoundToPad(layout, one, this.prefer))) return;
    if (isOutdone(waiting, this.found, this.weigh)) return;
    const { verdict, fresh } = this.verdicts.of(layout);
    if (fresh) this.judged += 1;
    if (!verdict.answers) {
      // What is put in may spare what its chains weighed for sure.
      for (const repaired of verdict.repaired) this.offer({ ...repaired, sure: 0 });
      return;
    }
    const { rig, judged, touchy, rough, lost } = verdict;
    const apart = this.request.wishes?.channels === 'apart';
    const { kind } = verdict.layout;
    this.keep({
      layout: verdict.layout,
      rig,
      judged,
      cost,
      kind,
      overruns: overruns(layout, this.request),
      touchy,
      rough,
      apart,
      lost,
    });
    // A pad weighs about as much as that: it is tried at once, and not when its turn comes.
    if (touchy) for (const padded of paddedFor(verdict.layout, this.request, this.stock)) this.offer(padded);
  }

  private best: readonly Found[] = [];

  /** The most that a route may weigh to be among those that are wanted; undefined while there is none. */
  private ceiling: Cost | undefined;

  private keep(found: Found): void {
    this.found.push(found);
    this.alike.answered(found.layout, this.weigh(found));
    this.best = bestOf(this.found, this.count, this.request.prefer);
    const { best } = this;
    const first = this.first ?? best[0];
    const most = first && sensibleBeside(first, this.request.prefer);
    const lastBest =
      best.length < this.count || this.soundFirst ? undefined : Math.max(...best.map(this.weigh));
    const weight = Math.min(most ?? Infinity, lastBest ?? Infinity);
    this.ceiling = Number.isFinite(weight) ? { ...NOTHING, weight } : undefined;
  }

  /** The best so far, of this search and of what the passes before have found. */
  bestBeside(earlier: readonly Found[]): readonly Found[] {
    return earlier.length > 0
      ? bestOf([...earlier, ...this.found], this.count, this.request.prefer)
      : this.best;
  }

  private cheapest(): Bounded | undefined {
    let best: Bounded | undefined;
    for (const one of this.streams) {
      if (one.bound && (!best?.bound || compareCosts(one.bound, best.bound) < 0)) best = one;
    }
    return best;
  }

  /** What the next layout weighs at the least; undefined when there is none left. Nothing is worked out for it: what is not known yet may weigh nothing. */
  get least(): number | undefined {
    if (this.streams.some(({ isKnown }) => !isKnown)) return 0;
    const bound = this.cheapest()?.bound;
    const weights = [
      ...(bound ? [bound.weight + this.surcharge.weight] : []),
      ...this.waiting.values.map(({ least }) => least),
    ];
    return weights.length > 0 ? Math.min(...weights) : undefined;
  }

  /** While nothing is found, what was come to before its turn is tried after so many steps. */
  private nextThrow = DIVE;

  private diving: Generator<void> | undefined = this.dive();

  /** It has not looked at the cheapest of each shape yet. */
  get isDiving(): boolean {
    return this.diving !== undefined;
  }

  /** One step more; false when nothing better can follow. */
  proceed(): boolean {
    if (this.diving && !this.diving.next().done) return true;
    this.diving = undefined;
    return this.step();
  }

  /** Takes over what another search of the same pass has found, be it that it waits here to be judged. */
  adopt(found: readonly Found[]): void {
    const known = new Set(this.found.map(({ layout }) => this.verdicts.shapeOf(layout)));
    for (const one of found) {
      const key = this.verdicts.shapeOf(one.layout);
      this.seen.add(key);
      if (!known.has(key)) this.keep(one);
    }
  }

  /**
   * The cheapest layout of each shape is looked at before any is searched to its end: what is found bounds the rest. What could weigh
   * less is looked at longer: each doubling of the work on a shape counts as so much more weight. Where much has to be added to a chain,
   * its bound is far below what it comes to: then on until one is found.
   */
  private *dive(): Generator<void> {
    const callers = this.request.wishes?.callers === true;
    if (this.streams.length < 2 && !callers) return;
    const open = new Map(this.streams.map((one) => [one, 0]));
    const tried = new Map<Bounded, number>();
    // All copper is one: where much of it led to nothing, the rest of it is no likelier.
    const spentOn = new Map<string, number>();
    const rank = ([{ bound, stream }]: readonly [Bounded, number]): number =>
      (bound?.weight ?? Infinity) + DOUBLING * Math.log2(1 + (spentOn.get(stream.middle) ?? 0) / DIVE);
    let left = callers ? Infinity : MOST_DIVE * open.size;
    while (left > 0) {
      // What has nothing in its middle weighs nothing before it is begun: it comes first whatever the others weigh, which is worked out meanwhile.
      const atOnce = [...open].find(([{ stream }]) => stream.middle === '' && spentOn.size === 0);
      const [next] = atOnce ? [atOnce] : [...open].sort((a, b) => rank(a) - rank(b));
      if (!next || !next[0].bound || (this.ceiling && next[0].bound.weight > this.ceiling.weight)) break;
      const [one, spent] = next;
      spentOn.set(one.stream.middle, (spentOn.get(one.stream.middle) ?? 0) + DIVE);
      const [before, judged] = [this.found.length, this.judged];
      const laid = yield* this.diveInto(one);
      left -= DIVE;
      // What was known to be lost was not tried.
      const tries = (tried.get(one) ?? 0) + (laid && this.judged > judged ? 1 : 0);
      tried.set(one, tries);
      const isDone = laid && (this.found.length > before || tries >= MOST_TRIES);
      if (!one.bound || (isDone && !(callers && this.found.length === 0))) open.delete(one);
      else open.set(one, spent + DIVE);
      yield;
    }
    const unseen = [...open].filter(([, spent]) => spent === 0).map(([one]) => one);
    if (this.found.length === 0) yield* this.lookInto(unseen);
    yield* this.takeTurns(new Set(open.keys()));
    yield* this.judgeWaiting();
  }

  /** Nothing was found in what could weigh least: each shape that was not looked at yet has its turn before these are searched to their end. */
  private *lookInto(unseen: readonly Bounded[]): Generator<void> {
    const byBound = unseen
      .flatMap((one) => (one.bound ? [{ one, bound: one.bound }] : []))
      .sort((a, b) => compareCosts(a.bound, b.bound));
    for (const { one } of byBound) if (this.found.length === 0) yield* this.lookIntoOne(one);
  }

  /**
   * Every shape that has led to nothing yet has its turns, all copper one between them: until something is found, and so often in any case.
   * By bounds alone what could be cheap and leads nowhere would be searched to its end first. One chain alone is quick to its end.
   */
  private *takeTurns(open: Set<Bounded>): Generator<void> {
    const { sources, destinations } = this.request;
    const most = sources.length + destinations.length > 2 ? MOST_TURNS : 0;
    for (let round = 0; this.found.length === 0 || round < most; round += 1) {
      const turns = new Map<string, Bounded>();
      for (const one of this.found.length === 0 ? this.streams : open) {
        const other = turns.get(one.stream.middle);
        if (!one.bound || (this.ceiling && one.bound.weight > this.ceiling.weight)) continue;
        if (!other?.bound || compareCosts(one.bound, other.bound) < 0) turns.set(one.stream.middle, one);
      }
      if (turns.size < 2) return;
      for (const one of turns.values()) {
        const before = this.found.length;
        yield* this.lookIntoOne(one);
        if (this.found.length > before) open.delete(one);
      }
    }
  }

  private *lookIntoOne(one: Bounded): Generator<void> {
    for (let spent = 0; spent < MOST_DIVE; spent += DIVE) {
      if (yield* this.diveInto(one)) return;
      yield;
    }
  }

  /** Some steps into one shape, until its first layout; whether there was one. */
  private *diveInto(one: Bounded): Generator<void, boolean> {
    for (let step = 0; step < DIVE && one.bound; step += 1) {
      this.steps += 1;
      const layout = one.step();
      if (!layout) continue;
      for (const whole of this.wholes(layout)) this.offer(whole);
      yield* this.judgeWaiting();
      return true;
    }
    const rough = this.thrownFrom(one);
    if (!rough) return false;
    const before = this.found.length;
    for (const whole of this.wholes(rough)) this.offer(whole);
    yield* this.judgeWaiting();
    return this.found.length > before;
  }

  /** Nothing is known to be the cheapest of a shape yet: of what has come to its ends already something may do as well. */
  private thrownFrom(one: Bounded): Layout | undefined {
    for (let step = 0; step < DIVE && one.bound && !one.stream.areThrown; step += 1) {
      this.steps += 1;
      const layout = one.throwTogether();
      if (layout) return layout;
    }
    return undefined;
  }

  /** Judges what waits, the cheapest first, until as much is found as is wanted and nothing that waits could come before it. */
  private *judgeWaiting(): Generator<void> {
    for (let next = this.waiting.peek(); next && this.couldLead(next); next = this.waiting.peek()) {
      this.waiting.pop();
      this.judge(next);
      yield;
    }
  }

  private couldLead({ turn }: Waiting): boolean {
    const [first] = this.best;
    return !first || this.best.length < this.count || turn.weight < this.weigh(first);
  }

  /** What the least weighs that was not looked at, for too many parts in a chain or, for the best sound, its price; Infinity where none that is wanted was left. */
  get cut(): number {
    const least = Math.min(Infinity, ...this.streams.map(({ stream }) => stream.cut)) + this.surcharge.weight;
    // What sounds better may cost more than all that was found: who wants the best sound is told how far was looked.
    if (this.soundFirst && this.ceiling) return Math.min(least, this.ceiling.weight);
    return this.ceiling && least > this.ceiling.weight ? Infinity : least;
  }

  /** Nothing that follows is light enough; of what was put off some may be. False when none is left. */
  private judgePutOff(ceiling: Cost): boolean {
    const next = this.waiting.pop();
    if (!next) return false;
    if (compareWeights({ ...next.cost, weight: next.least }, ceiling) <= 0) this.decide(next);
    return true;
  }

  private tryThrown(one: Bounded): void {
    const layout = this.thrownFrom(one);
    const waited = this.waiting.size;
    if (layout) for (const whole of this.wholes(layout)) this.offer(whole);
    const next = this.waiting.size > waited ? this.waiting.pop() : undefined;
    if (next) this.decide(next);
  }

  private step(): boolean {
    const waiting = this.waiting.peek();
    const cheapest = this.cheapest();
    const bound = cheapest?.bound && plus(cheapest.bound, this.surcharge);
    const [least] = [bound, waiting?.turn].filter((cost) => cost !== undefined).sort(compareCosts);
    if (!least) return false;
    if (this.ceiling && compareWeights(least, this.ceiling) > 0) return this.judgePutOff(this.ceiling);
    if (waiting && (!bound || compareCosts(waiting.turn, bound) <= 0)) {
      this.waiting.pop();
      this.judge(waiting);
      return true;
    }
    this.steps += 1;
    if (this.found.length === 0 && this.steps >= this.nextThrow && cheapest) {
      this.nextThrow = 2 * this.steps;
      this.tryThrown(cheapest);
      return true;
    }
    const layout = cheapest?.step();
    if (layout) for (const one of this.wholes(layout)) this.offer(one);
    // What is completed weighs far more than its chain may: the first are judged at once, for something to measure the rest by.
    if (layout && this.found.length === 0 && this.judged < MOST_TRIES) {
      const next = this.waiting.pop();
      if (next) this.decide(next);
    }
    return true;
  }
}
