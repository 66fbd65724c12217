import { type Part, type PartPort, isWiring } from '../../parts';
import { boundsTo, boundsVia } from './bounds';
import { across, couldRecord, isBridged, wordsOf, type OpenEnd } from './ends';
import { Heap } from './heap';
import {
  compareCosts,
  comparePrices,
  costOfOneMore,
  NOTHING,
  plus,
  useAlso,
  useOf,
  type Cost,
  type Used,
} from './inventory';
import type { Drawer } from '../drawer';
import { stateOf, type Pool } from './pool';

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
  /** What makes it electrically another chain: its boxes, what lay on their contacts, and what comes to its end. */
  readonly way: string;
  readonly cost: Cost;
}

interface Node {
  readonly from: PartPort;
  readonly end: OpenEnd;
  readonly links: readonly Link[];
  readonly used: Used;
  /** Every box on the way with what lay on its contacts. */
  readonly path: string;
  readonly cost: Cost;
  /** It has been through a part that every chain has to lead through, or there is none such. */
  readonly passed: boolean;
  /** What its beginning brings with it. */
  readonly extra: Cost;
  /** The least that the whole chain can cost. */
  readonly bound: Cost;
  /** The goal that its open end goes into; absent while it grows. */
  readonly to?: PartPort;
}

export interface ChainSearch {
  readonly starts: readonly OpenEnd[];
  readonly goal: Part;
  /** Ports of the goal that may be reached. */
  readonly ports: readonly PartPort[];
  readonly pool: Pool;
  readonly drawer: Drawer;
  /** Whether what arrives at a port of the goal is any use there; what a recorder could record where absent. */
  readonly accepts?: (port: PartPort, end: OpenEnd) => boolean;
  readonly longest: number;
  /** What a chain that begins at an end brings with it beside its parts, such as a supply for the source. */
  readonly extra?: (start: OpenEnd) => Cost;
  /** Every chain has to lead through one of these. */
  readonly via?: readonly Part[];
  /** The most that may be spent. */
  readonly budget?: number;
  /** Chains that cost more than this are not wanted any more. */
  readonly ceiling?: () => Cost | undefined;
}

const signatureOf = ({ from, end, path }: Node): string => `${from.id}|${path}|${stateOf(end)}`;

/**
 * Whether `a` can stand for `b` in every chain that goes on from either: it costs no more even where everything that it
 * took from the drawer beyond what `b` took has to be bought again.
 */
function standsFor(a: Node, b: Node, drawer: Drawer, prices: ReadonlyMap<string, number>): boolean {
  let again: Cost = a.cost;
  for (const [id, count] of a.used) {
    const more = Math.min(count, drawer[id] ?? 0) - Math.min(b.used.get(id) ?? 0, drawer[id] ?? 0);
    if (more > 0) again = plus(again, { purchases: more, price: more * (prices.get(id) ?? 0), joints: 0 });
  }
  return compareCosts(again, b.cost) <= 0 && a.links.length <= b.links.length;
}

/** Sockets of one kind on a part do not make two ways. */
const socketKind = (port: PartPort): string => `${port.connector} ${port.direction}`;

/** What makes a chain another way than others: the sockets at its ends, and its boxes. */
export const kindOfChain = (
  from: PartPort,
  links: readonly { readonly part: Part }[],
  to: PartPort,
): string =>
  [socketKind(from), ...links.flatMap(({ part }) => (isWiring(part) ? [] : [part.id])), socketKind(to)].join(
    '>',
  );

/** Grows chains from open ends to a goal, the cheapest first; of chains of one kind only the best goes on. */
export class ChainFinder {
  private readonly queue = new Heap<Node>((a, b) => compareCosts(a.bound, b.bound));
  private readonly reached = new Map<string, Node[]>();
  private readonly accepted = new Map<string, boolean>();
  private readonly prices: ReadonlyMap<string, number>;
  private readonly least: (port: PartPort) => Cost | undefined;
  private readonly leastVia: ((port: PartPort) => Cost | undefined) | undefined;
  /** How many open ends have been looked at. */
  expanded = 0;

  constructor(private readonly search: ChainSearch) {
    this.prices = new Map(search.pool.parts.map((part) => [part.id, part.price]));
    this.least = boundsTo(search.ports, search.pool, search.drawer);
    this.leastVia = search.via && boundsVia(search.via, search.pool, search.drawer);
    for (const end of search.starts) {
      this.grow({
        from: end.port,
        end,
        links: [],
        used: useOf([]),
        path: '',
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
        way: `${node.path}>${node.to.id} ${wordsOf(node.end.labels)}`,
        cost: node.cost,
      };
    }
    this.expanded += 1;
    if (this.isSettled(node)) return undefined;
    this.arrive(node);
    if (node.links.length < this.search.longest) this.extend(node);
    return undefined;
  }

  private isSettled(node: Node): boolean {
    const key = signatureOf(node);
    const others = this.reached.get(key) ?? [];
    if (others.some((other) => standsFor(other, node, this.search.drawer, this.prices))) return true;
    this.reached.set(key, [...others, node]);
    return false;
  }

  private isVia(part: Part): boolean {
    return this.search.via?.includes(part) ?? false;
  }

  /** The least that is still to be paid from an open end. */
  private ahead(port: PartPort, passed: boolean): Cost | undefined {
    return passed ? this.least(port) : this.leastVia?.(port);
  }

  private arrive(node: Node): void {
    if (!node.passed) return;
    const { ports, goal } = this.search;
    for (const port of ports) {
      const labels = across(node.end, port);
      if (!labels || isBridged(node.end.port, goal, port)) continue;
      const end = { ...node.end, labels };
      if (!this.isAccepted(port, end)) continue;
      const cost = plus(node.cost, { ...NOTHING, joints: 1 });
      this.queue.push({ ...node, end, cost, bound: plus(cost, node.extra), to: port });
    }
  }

  private isAccepted(port: PartPort, end: OpenEnd): boolean {
    const key = `${port.id}|${stateOf(end)}`;
    const known = this.accepted.get(key);
    if (known !== undefined) return known;
    const { accepts, goal } = this.search;
    const good = accepts ? accepts(port, end) : couldRecord(goal, port, end.labels, end.wants);
    this.accepted.set(key, good);
    return good;
  }

  private extend(node: Node): void {
    for (const { part, entry, end, says } of this.search.pool.stepsFrom(node.end)) {
      const cost = plus(node.cost, costOfOneMore(part, node.used, this.search.drawer));
      const passed = node.passed || this.isVia(part);
      const ahead = this.ahead(end.port, passed);
      if (!ahead || cost.price > (this.search.budget ?? Infinity)) continue;
      const bound = plus(plus(cost, ahead), node.extra);
      const { ceiling } = this.search;
      const most = ceiling?.();
      if (most && comparePrices(bound, most) > 0) continue;
      this.queue.push({
        from: node.from,
        end,
        bound,
        cost,
        passed,
        extra: node.extra,
        links: [...node.links, { part, entry, exit: end.port }],
        used: useAlso(node.used, part),
        path: node.path + says,
      });
    }
  }

  private grow(node: Omit<Node, 'bound'>): void {
    const ahead = this.ahead(node.end.port, node.passed);
    if (ahead) this.queue.push({ ...node, bound: plus(plus(node.cost, ahead), node.extra) });
  }
}
