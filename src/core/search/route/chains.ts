import { type Part, type PartPort, isPassiveLink } from '../../parts';
import { isBare, type OpenEnd } from '../ends';
import { boundsTo, type KnownBounds } from './bounds';
import { kindOfChain } from './chain-kinds';
import { Heap } from '../heap';
import {
  compareCosts,
  compareWeights,
  costFor,
  costOf,
  costOfOneMore,
  NOTHING,
  plus,
  useAlso,
  useOf,
  type Cost,
  type Purse,
} from './inventory';
import { farthest, farthestByNumbers } from './lengths';
import { firstOfEach, sameSocket, type Entry, type Pool } from './pool';
import type { Link, PartChain } from './part-chain';
import { reachAfter, standsApart } from '../standing';
import { FREE, isThrough, type Course } from './course';
import { owingOver, type Owing } from './owing';
import { Reached, type Reachable } from './reached-ends';
import { Rest, type Spent } from './rest';

interface Node extends Reachable {
  readonly links: readonly Link[];
  /** Pieces of copper before the first box. */
  readonly first: number;
  /** What its beginning brings with it. */
  readonly extra: Cost;
  /** What is still owed for metres, less what it spares of it. */
  readonly owed: number;
}

/** Something that could be put on an open end: what it costs as the first of its kind, and the least that follows it. */
interface Onward {
  readonly entry: Entry;
  readonly least: Cost;
}

/** What waits for its turn. Of what could be put on an open end only the cheapest waits; it calls the one after it. */
interface Turn {
  readonly node: Node;
  /** The least that the whole chain can cost. */
  readonly bound: Cost;
  /** The goal that its open end goes into, and what it weighs that it does not belong there. */
  readonly to?: PartPort;
  readonly rough?: Cost;
  readonly onward?: { readonly list: readonly Onward[]; readonly at: number };
  /** It costs more than as the first of its kind, and that is counted. */
  readonly next?: Entry;
}

/** The turn of something that is at the goal. */
type Arrived = Turn & Required<Pick<Turn, 'to' | 'rough'>>;

/** An open end at a port of a goal, and what it came from and over. */
export interface Arrival {
  readonly from: PartPort;
  readonly port: PartPort;
  readonly end: OpenEnd;
  readonly links: readonly Link[];
}

export interface ChainSearch {
  readonly starts: readonly OpenEnd[];
  readonly goal: Part;
  /** Ports of the goal that may be reached. */
  readonly ports: readonly PartPort[];
  readonly pool: Pool;
  readonly purse: Purse;
  /** Whether what arrives at a port of the goal is any use there. */
  readonly accepts: (port: PartPort, end: OpenEnd) => boolean;
  /** What it accepts hangs on the goal alone. */
  readonly always?: boolean;
  readonly longest: number;
  /** What a bare microphone in a socket for line weighs, wherever on the way it is. */
  readonly inLine: Cost;
  /** What it weighs that something arrives where it does, beside what an end on the way to it does. */
  readonly rough?: (arrival: Arrival) => Cost;
  /** What it weighs, wherever it arrives, that a bare microphone has met no stage on the way. */
  readonly unboxed?: number;
  /** What a chain that begins at an end brings with it beside its parts, such as a supply for the source. */
  readonly extra?: (start: OpenEnd) => Cost;
  /** What every chain has to lead through. */
  readonly course?: Course;
  /** Metres that a chain has to bridge by itself, as leads are sold. */
  readonly metres?: number;
  /** The most metres between any two places: of chains that are alike one that reaches farther is another. */
  readonly farthest?: number;
  /** The most that may be spent. */
  readonly budget?: number;
  /** What was worked out for this goal before. */
  readonly known?: KnownBounds;
  /** Whether a chain from a port over these parts is another with something needless in it, whatever follows. */
  readonly needless?: (from: PartPort, parts: readonly Part[]) => boolean;
  /** Ways to which no other of their kind is better any more, where a chain weighs so much. */
  readonly spent?: (weight: number) => readonly Spent[];
  /** That is asked after so many open ends, each time. */
  readonly spentAfter?: number;
  /** Each start is another way, however alike what stands on them: a send is no other send. */
  readonly startsDiffer?: boolean;
  /** Chains that cost more than this are not wanted any more. */
  readonly ceiling?: () => Cost | undefined;
}

/** What a chain costs so far, with what is owed for metres. */
const soFar = ({ cost, owed }: Node): Cost => plus(cost, { ...NOTHING, weight: owed });

/** What is owed for metres at the end of a chain; what is longer than it has to be gives nothing back. */
const owedAtLast = ({ owed }: Node): Cost => ({ ...NOTHING, weight: Math.max(0, owed) });

const NONE_USED = useOf([]);

/**
 * More leads and adapters than these bought to hang one in another between two boxes are no answer: each is one contact more to
 * fail, and a lead that does it is sold. What is owned may hang as it will. Ours.
 */
export const MOST_COPPER = 3;

/** Grows chains from open ends to a goal, the cheapest first; of chains of one kind and state only the best goes on. */
export class ChainFinder {
  private readonly queue = new Heap<Turn>((a, b) => compareCosts(a.bound, b.bound));
  private readonly reached: Reached<Node>;
  private onwards = new Map<string, readonly Onward[]>();
  private readonly accepted = new Map<string, boolean>();
  private readonly rest: Rest;
  private readonly owing: Owing | undefined;
  private readonly course: Course;
  /** Chains that have come to the goal, whether it was their turn already or not. */
  private readonly arrived: Arrived[] = [];
  /** How many open ends have been looked at. */
  expanded = 0;
  /** What the least chain weighs that was given up because it has too many parts; Infinity where none was. */
  cut = Infinity;

  constructor(private readonly search: ChainSearch) {
    this.reached = new Reached(search.purse, search.pool.parts);
    const { goal: part, ports, accepts, always = false, purse, spent } = search;
    this.owing = owingOver(search, search.goal);
    const { starts, pool, course = FREE, known } = search;
    this.course = course;
    this.rest = new Rest({
      ports,
      parts: pool.parts,
      course,
      boundsTo: (some, on) => {
        const goal = { part, ports: some, accepts, always };
        const isWhole = some === ports && on === course;
        return boundsTo(goal, starts, pool, purse, {
          course: on,
          owing: this.owing,
          ...(isWhole && { known }),
        });
      },
      spent,
    });
    for (const end of search.starts) this.begin(end);
  }

  private begin(end: OpenEnd): void {
    const { begins, part, port } = end;
    const { search } = this;
    const links = begins?.links ?? [];
    const of = links.map((link) => link.part);
    this.grow({
      from: begins?.from ?? port,
      end,
      links,
      used: useOf(of),
      path: of.map(({ id }) => `>${id}`).join(''),
      reach: reachAfter(undefined, part, port),
      copper: 0,
      first: 0,
      extra: plus(search.extra?.(end) ?? NOTHING, this.sureOf(end)),
      owed: this.owing?.after([part, ...of]) ?? 0,
      span: [part, ...of].reduce((span, one) => this.spanWith(span, one), 0),
      step: of.reduce((step, one) => this.course.after(one, step), this.course.begin(end)),
      cost: costOf(of, search.purse),
    });
  }

  private spanWith(span: number, part: Part): number {
    return Math.min(span + farthest(part), this.search.farthest ?? 0);
  }

  /** The least that the next chain can cost; undefined when there is none. */
  get bound(): Cost | undefined {
    return this.queue.peek()?.bound;
  }

  /** So many of what has come to the goal so far, the cheapest at each kind of socket first: something that has not come there yet may cost less. */
  nearest(most: number): readonly PartChain[] {
    const seen = new Set<string>();
    const [firsts, others]: [Arrived[], Arrived[]] = [[], []];
    for (const one of [...this.arrived].sort((a, b) => compareCosts(a.bound, b.bound))) {
      (seen.has(sameSocket(one.to)) ? others : firsts).push(one);
      seen.add(sameSocket(one.to));
    }
    const nearest = [...firsts, ...others].slice(0, most);
    return nearest.map(({ node, to, rough }) => this.chainOf(node, to, rough));
  }

  /** The next chain, or undefined: when there is none, or after one step that led to none yet. */
  step(): PartChain | undefined {
    const turn = this.queue.pop();
    if (!turn) return undefined;
    const { node, to, rough = NOTHING, onward, next } = turn;
    if (to) return this.chainOf(node, to, rough);
    if (next) this.put(node, next);
    else if (onward) this.putNext(node, onward.list, onward.at);
    else this.open(turn);
    return undefined;
  }

  /** What an open end is known to weigh wherever it arrives. */
  private sureOf({ inLine }: OpenEnd): Cost {
    return inLine ? this.search.inLine : NOTHING;
  }

  private chainOf(node: Node, to: PartPort, rough: Cost): PartChain {
    const { from, links, path, end, reach, span } = node;
    return {
      from,
      links,
      to,
      kind: kindOfChain(from, links, to),
      reach,
      state: end.state,
      copper: [node.first, node.copper],
      way: `${this.search.startsDiffer ? from.id : ''}${path}|${reach} ${span}>${sameSocket(to)} ${end.state}`,
      cost: plus(plus(plus(node.cost, costFor(0, 0, 1, this.search.purse)), owedAtLast(node)), rough),
      sure: rough.weight,
    };
  }

  private open({ node, bound }: Turn): void {
    this.expanded += 1;
    if (this.expanded % (this.search.spentAfter ?? Infinity) === 0) this.learn(bound);
    if (this.reached.isOutdone(node)) return;
    this.arrive(node);
    if (node.links.length < this.search.longest) this.call(node, this.onwardFrom(node), 0);
    else this.cut = Math.min(this.cut, bound.weight);
  }

  /** Looks whether some kind of ways is spent: what waits waits by what is left then. */
  private learn({ weight }: Cost): void {
    if (!this.rest.learn(weight)) return;
    this.onwards = new Map();
    const waiting: Turn[] = [];
    for (let turn = this.queue.pop(); turn; turn = this.queue.pop()) waiting.push(turn);
    for (const turn of waiting) this.waitAgain(turn);
  }

  private waitAgain(turn: Turn): void {
    const { node, to, onward } = turn;
    const ahead = this.ahead(node);
    if (to) this.queue.push(turn);
    else if (ahead && onward) {
      const waiting = new Set(onward.list.slice(onward.at).map(({ entry }) => entry));
      const still = this.onwardFrom(node).filter(({ entry }) => waiting.has(entry));
      this.call(node, still, 0);
    } else if (ahead) {
      const bound = plus(plus(soFar(node), ahead), node.extra);
      this.queue.push(compareCosts(bound, turn.bound) > 0 ? { ...turn, bound } : turn);
    }
  }

  /** The least that is still to be paid from an open end. */
  private ahead(node: Node): Cost | undefined {
    const weight = this.rest.from(node);
    return Number.isFinite(weight) ? { ...NOTHING, weight: this.boxedToo(node.end, weight) } : undefined;
  }

  /** The same with what weighs that it met no stage: that, or a box that has one, is still to come. */
  private boxedToo(end: OpenEnd, least: number): number {
    const { unboxed } = this.search;
    if (unboxed === undefined || !isBare(end)) return least;
    return Math.max(least, Math.min(least + unboxed, this.boxed));
  }

  /** What the cheapest part with a stage weighs. */
  private get boxed(): number {
    const { pool, purse } = this.search;
    return (this.leastBox ??= Math.min(
      Infinity,
      ...pool.parts.flatMap((part) =>
        (part.paths ?? []).length > 0 ? [costOfOneMore(part, NONE_USED, purse).weight] : [],
      ),
    ));
  }

  private leastBox: number | undefined;

  private arrive(node: Node): void {
    if (!isThrough(this.course, node.step)) return;
    const { ports, goal, purse } = this.search;
    for (const port of firstOfEach(ports)) {
      if (standsApart(node.reach, goal, port) || !this.isAccepted(port, node.end)) continue;
      const there = this.search.rough?.({ ...node, port }) ?? NOTHING;
      const whole = plus(plus(node.cost, costFor(0, 0, 1, purse)), owedAtLast(node));
      const bound = plus(plus(whole, node.extra), there);
      const rough = plus(there, this.sureOf(node.end));
      const turn = { node, bound, to: port, rough };
      this.arrived.push(turn);
      this.queue.push(turn);
    }
  }

  private isAccepted(port: PartPort, end: OpenEnd): boolean {
    const key = `${port.id}|${end.state}`;
    const known = this.accepted.get(key);
    if (known !== undefined) return known;
    const good = this.search.accepts(port, end);
    this.accepted.set(key, good);
    return good;
  }

  /** Every part that could be put on, what can cost least first. Ends of one state go on alike. */
  private onwardFrom(node: Node): readonly Onward[] {
    const { end, step } = node;
    const key = this.rest.keyOf(node);
    const known = this.onwards.get(key);
    if (known) return known;
    const { pool, purse } = this.search;
    const over = this.rest.over(node);
    const found: Onward[] = [];
    for (const entry of pool.entriesFor(end)) {
      const least = over(entry.part, this.course.after(entry.part, step));
      const weight = (entry.part.paths ?? []).length > 0 ? least : this.boxedToo(end, least);
      const own = costOfOneMore(entry.part, NONE_USED, purse);
      const spared = this.owing?.spares(entry.part) ?? 0;
      if (Number.isFinite(weight))
        found.push({ entry, least: plus(own, { ...NOTHING, weight: weight - spared }) });
    }
    found.sort((a, b) => compareCosts(a.least, b.least));
    this.onwards.set(key, found);
    return found;
  }

  /** Lets what is at a place of a list wait for its turn, if that can still come. */
  private call(node: Node, list: readonly Onward[], at: number): void {
    const one = list[at];
    if (!one) return;
    const bound = plus(plus(soFar(node), one.least), node.extra);
    const most = this.search.ceiling?.();
    if (!most || compareWeights(bound, most) <= 0) this.queue.push({ node, bound, onward: { list, at } });
  }

  /** It is the turn of one of a list: the one after it is called, and it is put on if it costs no more than was thought. */
  private putNext(node: Node, list: readonly Onward[], at: number): void {
    this.call(node, list, at + 1);
    const one = list[at];
    if (!one || standsApart(node.reach, one.entry.part, one.entry.port)) return;
    const { purse, budget = Infinity } = this.search;
    const { part } = one.entry;
    const cost = costOfOneMore(part, node.used, purse);
    if (node.cost.price + cost.price > budget) return;
    const more = cost.weight - costOfOneMore(part, NONE_USED, purse).weight;
    if (more <= 0) this.put(node, one.entry);
    else {
      const bound = plus(plus(plus(soFar(node), one.least), node.extra), { ...NOTHING, weight: more });
      this.queue.push({ node, bound, next: one.entry });
    }
  }

  /** Puts a part on an open end. */
  private put(node: Node, next: Entry): void {
    const { part, port: entry } = next;
    const { pool, purse, needless } = this.search;
    if (!isPassiveLink(part) && needless?.(node.from, [...node.links.map((link) => link.part), part])) return;
    const own = costOfOneMore(part, node.used, purse);
    const copper = isPassiveLink(part) ? node.copper + own.purchases : 0;
    if (copper > MOST_COPPER) return;
    const cost = plus(node.cost, own);
    const step = this.course.after(part, node.step);
    const before = this.sureOf(node.end).weight;
    for (const { end, says } of pool.stepsOn(node.end, next)) {
      this.grow({
        from: node.from,
        end,
        cost,
        step,
        owed: node.owed - (this.owing?.spares(part) ?? 0),
        span: this.spanWith(node.span, part),
        reach: reachAfter(node.reach, part, end.port),
        copper,
        first: [...node.links.map((link) => link.part), part].every(isPassiveLink) ? copper : node.first,
        extra: plus(node.extra, { ...NOTHING, weight: this.sureOf(end).weight - before }),
        links: [...node.links, { part, entry, exit: end.port }],
        used: useAlso(node.used, part),
        path: node.path + says,
      });
    }
  }

  /** Whether numbers from the source on could not bridge what they have to, however long all that may still follow is. */
  private fallsShort({ links, span }: Node): boolean {
    const { starts, metres = 0, longest, pool, purse, goal } = this.search;
    if (metres === 0 || !starts.every(({ digital }) => digital)) return false;
    const more = (this.byNumbers ??= farthestByNumbers(pool.parts, purse.lengths));
    return span + (longest - links.length) * more + farthest(goal) < metres;
  }

  private byNumbers: number | undefined;

  private grow(node: Node): void {
    if (this.fallsShort(node)) return;
    const ahead = this.ahead(node);
    if (ahead && !this.reached.isDominated(node))
      this.queue.push({ node, bound: plus(plus(soFar(node), ahead), node.extra) });
  }
}
