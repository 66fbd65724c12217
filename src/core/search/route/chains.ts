import { type Part, type PartPort, isPassiveLink } from '../../parts';
import type { OpenEnd } from '../ends';
import { boundsTo, type Bounds, type KnownBounds } from './bounds';
import { Heap } from '../heap';
import {
  compareCosts,
  compareWeights,
  costFor,
  costOfOneMore,
  NOTHING,
  plus,
  useAlso,
  useOf,
  type Cost,
  type Purse,
  type Used,
} from './inventory';
import { firstOfEach, sameSocket, type Entry, type Pool } from './pool';
import { reachAfter, standsApart, type Reach } from './standing';

/** A part of a chain, entered by one port and left by another. */
export interface Link {
  readonly part: Part;
  readonly entry: PartPort;
  readonly exit: PartPort;
}

/** From a port of one part, over links, to a port of another. `kind` names what makes it another way than others. */
export interface PartChain {
  readonly from: PartPort;
  readonly links: readonly Link[];
  readonly to: PartPort;
  readonly kind: string;
  /** What makes it electrically another chain: its boxes, and what comes to its end. */
  readonly way: string;
  readonly cost: Cost;
}

interface Node {
  readonly from: PartPort;
  readonly end: OpenEnd;
  readonly links: readonly Link[];
  readonly used: Used;
  /** Every box on the way. */
  readonly path: string;
  readonly cost: Cost;
  /** It has been through a part that every chain has to lead through, or there is none such. */
  readonly passed: boolean;
  /** How far it reaches from the last thing that stands somewhere. */
  readonly reach: Reach;
  /** What its beginning brings with it. */
  readonly extra: Cost;
  /** The least that the whole chain can cost. */
  readonly bound: Cost;
  /** The goal that its open end goes into; absent while it grows. */
  readonly to?: PartPort;
  /** What is to be put on its open end; what comes of it is worked out when it is its turn. */
  readonly next?: Entry;
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
  readonly longest: number;
  /** What a chain that begins at an end brings with it beside its parts, such as a supply for the source. */
  readonly extra?: (start: OpenEnd) => Cost;
  /** Every chain has to lead through one of these. */
  readonly via?: ReadonlySet<Part>;
  /** The most that may be spent. */
  readonly budget?: number;
  /** What was worked out for this goal before. */
  readonly known?: KnownBounds;
  /** Whether a chain over these parts is another with something needless in it, whatever follows. */
  readonly needless?: (parts: readonly Part[]) => boolean;
  /** Chains that cost more than this are not wanted any more. */
  readonly ceiling?: () => Cost | undefined;
}

const signatureOf = ({ from, end, path, reach }: Node): string => `${from.id}|${path}|${reach}|${end.state}`;

/**
 * Whether `a` can stand for `b` in every chain that goes on from either: it costs no more even where everything that it
 * took from the drawer beyond what `b` took has to be bought again.
 */
function standsFor(a: Node, b: Node, purse: Purse, prices: ReadonlyMap<string, number>): boolean {
  let again: Cost = a.cost;
  for (const [id, count] of a.used) {
    const owned = purse.drawer[id] ?? 0;
    const more = Math.min(count, owned) - Math.min(b.used.get(id) ?? 0, owned);
    if (more > 0) again = plus(again, costFor(more, more * (prices.get(id) ?? 0), 0, purse));
  }
  return compareWeights(again, b.cost) <= 0 && a.links.length <= b.links.length;
}

/** Sockets of one kind on a part do not make two ways. */
export const socketKind = (port: PartPort): string => `${port.connector} ${port.direction}`;

/** What makes a chain another way than others: the sockets at its ends, and its boxes. Copper, with as many sockets as it may have, is no box. */
export const kindOfChain = (
  from: PartPort,
  links: readonly { readonly part: Part }[],
  to: PartPort,
): string =>
  [
    socketKind(from),
    ...links.flatMap(({ part }) => (isPassiveLink(part) ? [] : [part.id])),
    socketKind(to),
  ].join('>');

/** Grows chains from open ends to a goal, the cheapest first; of chains of one kind and state only the best goes on. */
export class ChainFinder {
  private readonly queue = new Heap<Node>((a, b) => compareCosts(a.bound, b.bound));
  private readonly reached = new Map<string, Node[]>();
  private readonly accepted = new Map<string, boolean>();
  private readonly prices: ReadonlyMap<string, number>;
  private readonly least: Bounds;
  /** How many open ends have been looked at. */
  expanded = 0;
  /** What the least chain weighs that was given up because it has too many parts; Infinity where none was. */
  cut = Infinity;

  constructor(private readonly search: ChainSearch) {
    this.prices = new Map(search.pool.parts.map((part) => [part.id, part.price]));
    const { goal: part, ports, accepts, purse } = search;
    const goal = { part, ports, accepts };
    this.least = boundsTo(goal, search.starts, search.pool, purse, search.via, search.known);
    for (const end of search.starts) {
      this.grow({
        from: end.port,
        end,
        links: [],
        used: useOf([]),
        path: '',
        reach: reachAfter(undefined, end.part, end.port),
        extra: search.extra?.(end) ?? NOTHING,
        passed: search.via === undefined,
        cost: NOTHING,
      });
    }
  }

  /** The least that the next chain can cost; undefined when there is none. */
  get bound(): Cost | undefined {
    return this.queue.peek()?.bound;
  }

  /** The next chain, or undefined: when there is none, or after one step that led to none yet. */
  step(): PartChain | undefined {
    const node = this.queue.pop();
    if (!node) return undefined;
    if (node.to) {
      return {
        from: node.from,
        links: node.links,
        to: node.to,
        kind: kindOfChain(node.from, node.links, node.to),
        way: `${node.path}>${sameSocket(node.to)} ${node.end.state}`,
        cost: node.cost,
      };
    }
    if (node.next) {
      this.put(node, node.next);
      return undefined;
    }
    this.expanded += 1;
    if (this.isDominated(node)) return undefined;
    this.arrive(node);
    if (node.links.length < this.search.longest) this.extend(node);
    else this.cut = Math.min(this.cut, node.bound.weight);
    return undefined;
  }

  private isDominated(node: Node): boolean {
    const key = signatureOf(node);
    const others = this.reached.get(key) ?? [];
    if (others.some((other) => standsFor(other, node, this.search.purse, this.prices))) return true;
    this.reached.set(key, [...others, node]);
    return false;
  }

  private isVia(part: Part): boolean {
    return this.search.via?.has(part) ?? false;
  }

  /** The least that is still to be paid from an open end. */
  private ahead(end: OpenEnd, passed: boolean): Cost | undefined {
    const weight = this.least.from(end, passed);
    return Number.isFinite(weight) ? { ...NOTHING, weight } : undefined;
  }

  private arrive(node: Node): void {
    if (!node.passed) return;
    const { ports, goal, purse } = this.search;
    for (const port of firstOfEach(ports)) {
      if (standsApart(node.reach, goal, port) || !this.isAccepted(port, node.end)) continue;
      const cost = plus(node.cost, costFor(0, 0, 1, purse));
      this.queue.push({ ...node, cost, bound: plus(cost, node.extra), to: port });
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

  /** Every part that could be put on, for when it is its turn. */
  private extend(node: Node): void {
    const { pool, purse, budget = Infinity, ceiling } = this.search;
    const most = ceiling?.();
    for (const next of pool.entriesFor(node.end)) {
      const { part, port } = next;
      if (standsApart(node.reach, part, port)) continue;
      const passed = node.passed || this.isVia(part);
      const ahead = this.least.over(node.end, part, passed);
      if (!Number.isFinite(ahead)) continue;
      const cost = plus(node.cost, costOfOneMore(part, node.used, purse));
      if (cost.price > budget) continue;
      const bound = plus(plus(cost, { ...NOTHING, weight: ahead }), node.extra);
      if (most && compareWeights(bound, most) > 0) continue;
      this.queue.push({ ...node, bound, next });
    }
  }

  /** Puts a part on an open end. */
  private put(node: Node, next: Entry): void {
    const { part, port: entry } = next;
    const { pool, purse, needless } = this.search;
    if (!isPassiveLink(part) && needless?.([...node.links.map((link) => link.part), part])) return;
    const cost = plus(node.cost, costOfOneMore(part, node.used, purse));
    const passed = node.passed || this.isVia(part);
    for (const { end, says } of pool.stepsOver(node.end, next)) {
      this.grow({
        from: node.from,
        end,
        cost,
        passed,
        reach: reachAfter(node.reach, part, end.port),
        extra: node.extra,
        links: [...node.links, { part, entry, exit: end.port }],
        used: useAlso(node.used, part),
        path: node.path + says,
      });
    }
  }

  private grow(node: Omit<Node, 'bound'>): void {
    const ahead = this.ahead(node.end, node.passed);
    if (ahead) this.queue.push({ ...node, bound: plus(plus(node.cost, ahead), node.extra) });
  }
}
