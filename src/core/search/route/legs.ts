import type { ChainFinder } from './chains';
import type { PartChain } from './part-chain';
import { Heap } from '../heap';
import { compareCosts, NOTHING, plus, type Cost } from './inventory';

/** The chains of one leg as they are found; legs that ask the same share them. */
export class Leg {
  readonly found: PartChain[] = [];
  private readonly ways = new Set<string>();
  constructor(
    private readonly finder: ChainFinder,
    /** A chain that is known beforehand, until it is its turn. */
    private ready?: PartChain,
  ) {}

  /** The least that the chain of this number can cost; undefined where there is none. */
  costAt(index: number): Cost | undefined {
    return this.found[index]?.cost ?? (this.isReadyNext ? this.ready?.cost : this.finder.bound);
  }

  private get isReadyNext(): boolean {
    const { bound } = this.finder;
    return this.ready !== undefined && (!bound || compareCosts(this.ready.cost, bound) <= 0);
  }

  /** What the least chain weighs that has too many parts to be looked at; Infinity where none was left out. */
  get cut(): number {
    return this.finder.cut;
  }

  /** So many that are known: what was found, then the cheapest of what has come to the goal before its turn. */
  known(most: number): readonly PartChain[] {
    const found = this.found.slice(0, most);
    if (found.length === most) return found;
    const ways = new Set(found.map(({ way }) => way));
    const others = this.finder.nearest(most).filter(({ way }) => !ways.has(way));
    return [...found, ...(this.ready ? [this.ready] : []), ...others].slice(0, most);
  }

  /** One step more; whether anything is left. */
  goOn(): boolean {
    this.at(this.found.length);
    return this.ready !== undefined || this.finder.bound !== undefined;
  }

  /** One step toward the chain of this number; gives it once it is there. */
  at(index: number): PartChain | undefined {
    if (this.found[index]) return this.found[index];
    const chain = this.next();
    if (chain && !this.ways.has(chain.way)) {
      this.ways.add(chain.way);
      this.found.push(chain);
    }
    return this.found[index];
  }

  private next(): PartChain | undefined {
    if (!this.isReadyNext) return this.finder.step();
    const { ready } = this;
    this.ready = undefined;
    return ready;
  }
}

/** Of each leg so many chains are thrown together before it is their turn. Ours. */
const MOST_THROWN = 3;

interface Choice {
  readonly indices: readonly number[];
  /** What it costs at the least, as far as was known when it was put here. */
  readonly cost: Cost;
  /** The chain of this leg is to end at another kind of socket than this. */
  readonly not?: { readonly leg: number; readonly kind: string };
}

/** Two legs that lead on from one another: into a part, and out of it. */
export type Pair = readonly [into: number, out: number];

/** Which chains can be used together. */
export interface Sockets {
  /** The kind of socket that a chain of a leg uses: of one kind all are as good. */
  readonly kindOf: (leg: number, chain: PartChain) => string;
  /** Whether chains of these kinds find sockets side by side. */
  readonly haveRoom: (chains: readonly PartChain[]) => boolean;
  /** Whether what goes by a chain is known to be lost, whatever the others are; it may come to be known later. */
  readonly isLost: (leg: number, chain: PartChain) => boolean;
  readonly pairs: readonly Pair[];
  /** Chains of a leg by which the same can be said of every pair. */
  readonly classOf: (leg: number, chain: PartChain) => object;
  /** Whether chains of such a pair rule one another out, whatever the others are. */
  readonly clash: (pair: Pair, one: PartChain, other: PartChain) => boolean;
}

const combinationsOf = (legs: readonly (readonly PartChain[])[]): readonly (readonly PartChain[])[] =>
  legs.reduce<readonly (readonly PartChain[])[]>(
    (rows, chains) => rows.flatMap((row) => chains.map((chain) => [...row, chain])),
    [[]],
  );

function byWeight(rows: readonly (readonly PartChain[])[]): readonly (readonly PartChain[])[] {
  const weightOf = (chains: readonly PartChain[]) => chains.reduce((sum, { cost }) => sum + cost.weight, 0);
  return [...rows].sort((a, b) => weightOf(a) - weightOf(b));
}

/**
 * Combinations of one chain for each leg, the cheapest sum first (k best derivations, lazily: Huang and Chiang 2005, algorithm 3). Where the
 * kinds of sockets of a combination have no room side by side, no other of the same kinds has: it goes on with the next of another kind.
 * Where two chains rule one another out it goes on with the next of these two legs alone: what can be of all that follows has another in one of them.
 */
export class Legs {
  private readonly waiting = new Heap<Choice>((a, b) => compareCosts(a.cost, b.cost));
  private readonly seen = new Set<string>();
  /** Combinations from which it went on: one may wait twice, once with a kind that it is not to have. */
  private readonly left = new Set<string>();
  private readonly room = new Map<string, boolean>();
  private readonly kinds = new Map<PartChain, string>();
  private readonly classes = new Map<PartChain, object>();
  private readonly clashes = new Map<object, Map<object, boolean>>();

  constructor(
    private readonly legs: readonly Leg[],
    private readonly sockets?: Sockets,
  ) {
    this.offer(legs.map(() => 0));
  }

  private costOf(indices: readonly number[]): Cost | undefined {
    let total = NOTHING;
    for (const [leg, index] of indices.entries()) {
      const cost = this.legs[leg]?.costAt(index);
      if (!cost) return undefined;
      total = plus(total, cost);
    }
    return total;
  }

  private offer(indices: readonly number[], not?: Choice['not']): void {
    const key = `${indices.join()} ${not ? `${not.leg} ${not.kind}` : ''}`;
    if (this.seen.has(key)) return;
    this.seen.add(key);
    const cost = this.costOf(indices);
    if (cost) this.waiting.push({ indices, cost, ...(not && { not }) });
  }

  /** The cheapest combination by what is known now: what a leg costs at the least only ever grows. */
  private best(): Choice | undefined {
    for (let top = this.waiting.peek(); top; top = this.waiting.peek()) {
      const cost = this.costOf(top.indices);
      if (cost && compareCosts(cost, top.cost) <= 0) return top;
      this.waiting.pop();
      if (cost) this.waiting.push({ ...top, cost });
    }
    return undefined;
  }

  /** The least that the next combination can cost; undefined when there is none left. */
  get bound(): Cost | undefined {
    return this.best()?.cost;
  }

  get cut(): number {
    return Math.min(Infinity, ...this.legs.map((leg) => leg.cut));
  }

  /**
   * The next of one leg. What clashes with another leg of these `pairs` is passed over: they are those of which the other leg goes on, too.
   * Legs that are one and the same are dealt their chains in one order only.
   */
  private goOn(
    indices: readonly number[],
    leg: number,
    { pairs = [], not }: { readonly pairs?: readonly Pair[]; readonly not?: Choice['not'] },
  ): void {
    const found = this.legs[leg]?.found ?? [];
    const isOut = (chain: PartChain): boolean =>
      this.sockets?.isLost(leg, chain) ||
      (not && this.kindOf(leg, chain) === not.kind) ||
      pairs.some((pair) => this.clashesIn(pair, indices, leg, chain));
    let at = (indices[leg] ?? 0) + 1;
    for (let chain = found[at]; chain && isOut(chain); chain = found[at]) at += 1;
    const next = indices.map((index, n) =>
      n === leg || (n > leg && this.legs[n] === this.legs[leg]) ? Math.max(index, at) : index,
    );
    this.offer(next, at < found.length ? undefined : not);
  }

  /** Whether a chain of a leg clashes with that which the other leg of a pair has. */
  private clashesIn(pair: Pair, indices: readonly number[], leg: number, chain: PartChain): boolean {
    const [a, b] = pair;
    if (a !== leg && b !== leg) return false;
    const far = a === leg ? b : a;
    const other = this.legs[far]?.found[indices[far] ?? 0];
    return (
      other !== undefined && (a === leg ? this.clash(pair, chain, other) : this.clash(pair, other, chain))
    );
  }

  private clash(pair: Pair, one: PartChain, other: PartChain): boolean {
    const [a, b] = [this.classOf(pair[0], one), this.classOf(pair[1], other)];
    const known = this.clashes.get(a) ?? new Map<object, boolean>();
    this.clashes.set(a, known);
    const clash = known.get(b) ?? this.sockets?.clash(pair, one, other) ?? false;
    known.set(b, clash);
    return clash;
  }

  private classOf(leg: number, chain: PartChain): object {
    const known = this.classes.get(chain) ?? this.sockets?.classOf(leg, chain) ?? chain;
    this.classes.set(chain, known);
    return known;
  }

  private kindOf(leg: number, chain: PartChain): string {
    const kind = this.kinds.get(chain) ?? this.sockets?.kindOf(leg, chain) ?? '';
    this.kinds.set(chain, kind);
    return kind;
  }

  /** The next of each of two legs of which the chains rule one another out, and of those that were dealt the same. */
  private goOnFrom(indices: readonly number[], pair: Pair): void {
    const isOf = (leg: number) =>
      pair.some((one) => this.legs[one] === this.legs[leg] && indices[one] === indices[leg]);
    for (const leg of indices.keys()) if (isOf(leg)) this.goOn(indices, leg, { pairs: [pair] });
  }

  private hasRoom(chains: readonly PartChain[], kinds: readonly string[]): boolean {
    const key = kinds.join('|');
    const known = this.room.get(key) ?? this.sockets?.haveRoom(chains) ?? true;
    this.room.set(key, known);
    return known;
  }

  private readonly thrown = new Set<string>();
  private isThrown = false;

  /** There is nothing more to be thrown together. */
  get areThrown(): boolean {
    return this.isThrown;
  }

  /**
   * A combination of what the legs have come to so far, whatever could cost less; or undefined, after one step more of the leg that has come
   * to the least. Of each leg a few are tried, once.
   */
  throwTogether(): readonly PartChain[] | undefined {
    const known = this.legs.map((leg) => leg.known(MOST_THROWN));
    const next = byWeight(combinationsOf(known)).find((chains) => {
      const name = chains.map(({ way }) => way).join(' | ');
      if (this.thrown.has(name)) return false;
      this.thrown.add(name);
      return this.canMeet(chains);
    });
    if (!next) this.comeToMore(known.map(({ length }) => length));
    return next;
  }

  private comeToMore(known: readonly number[]): void {
    const least = Math.min(...known);
    const leg = this.legs[known.indexOf(least)];
    this.isThrown = least >= MOST_THROWN || !leg?.goOn();
  }

  /** Whether chains can be used together, as far as that is known. */
  private canMeet(chains: readonly PartChain[]): boolean {
    const kinds = chains.map((chain, leg) => this.kindOf(leg, chain));
    return this.lostAmong(chains) < 0 && !this.clashAmong(chains) && this.hasRoom(chains, kinds);
  }

  /** The first leg whose chain is known to be lost; −1 where none is. */
  private lostAmong(chains: readonly PartChain[]): number {
    return chains.findIndex((chain, leg) => this.sockets?.isLost(leg, chain));
  }

  /** The first pair whose chains rule one another out. */
  private clashAmong(chains: readonly PartChain[]): Pair | undefined {
    return this.sockets?.pairs.find((pair) => {
      const [one, other] = [chains[pair[0]], chains[pair[1]]];
      return one && other && this.clash(pair, one, other);
    });
  }

  /** The next combination, or undefined after one step that led to none yet. */
  step(): PartChain[] | undefined {
    const best = this.best();
    if (!best) return undefined;
    const { indices, not } = best;
    const chains: PartChain[] = [];
    for (const [leg, index] of indices.entries()) {
      const chain = this.legs[leg]?.at(index);
      if (!chain) return undefined;
      chains.push(chain);
    }
    this.waiting.pop();
    const kinds = chains.map((chain, leg) => this.kindOf(leg, chain));
    if (not && kinds[not.leg] === not.kind) {
      this.goOn(indices, not.leg, { not });
      return undefined;
    }
    const name = indices.join();
    if (this.left.has(name)) return undefined;
    this.left.add(name);
    const lost = this.lostAmong(chains);
    if (lost >= 0) {
      this.goOn(indices, lost, {});
      return undefined;
    }
    const clashing = this.clashAmong(chains);
    if (clashing) {
      this.goOnFrom(indices, clashing);
      return undefined;
    }
    const hasRoom = this.hasRoom(chains, kinds);
    for (const leg of indices.keys())
      this.goOn(
        indices,
        leg,
        hasRoom ? { pairs: this.sockets?.pairs } : { not: { leg, kind: kinds[leg] ?? '' } },
      );
    return hasRoom ? chains : undefined;
  }
}
