import type { Part, PartPort } from '../../parts';
import type { OpenEnd } from '../ends';
import { compareWeights, costFor, plus, type Cost, type Purse, type Used } from './inventory';
import type { Reach } from '../standing';

/** What a chain has come to, as far as it matters to whether another can stand for it. */
export interface Reachable {
  readonly from: PartPort;
  readonly end: OpenEnd;
  readonly links: readonly unknown[];
  readonly used: Used;
  /** Every box on the way. */
  readonly path: string;
  readonly cost: Cost;
  /** How far it is on the course that every chain has to take. */
  readonly step: number;
  /** How far it reaches from the last thing that stands somewhere. */
  readonly reach: Reach;
  /** Pieces of copper to buy, one in another, since the last box. */
  readonly copper: number;
  /** How far it could be made to reach, metres, as far as that matters. */
  readonly span: number;
}

const signatureOf = ({ from, end, path, reach, step }: Reachable): string =>
  `${from.id}|${path}|${reach}|${step}|${end.state}`;

/**
 * Whether `a` can stand for `b` in every chain that goes on from either: it costs no more even where everything that it
 * took from the drawer beyond what `b` took has to be bought again.
 */
function standsFor(a: Reachable, b: Reachable, purse: Purse, prices: ReadonlyMap<string, number>): boolean {
  let again: Cost = a.cost;
  for (const [id, count] of a.used) {
    const owned = purse.drawer[id] ?? 0;
    const more = Math.min(count, owned) - Math.min(b.used.get(id) ?? 0, owned);
    if (more > 0) again = plus(again, costFor(more, more * (prices.get(id) ?? 0), 0, purse));
  }
  const isShort = a.links.length <= b.links.length && a.copper <= b.copper;
  return compareWeights(again, b.cost) <= 0 && isShort && a.span >= b.span;
}

/** Open ends that were reached: of those of one kind and state only what nothing else can stand for goes on. */
export class Reached<T extends Reachable> {
  private readonly bySignature = new Map<string, T[]>();
  /** Another that was reached later stands for them. */
  private readonly outdone = new Set<T>();
  private readonly prices: ReadonlyMap<string, number>;

  constructor(
    private readonly purse: Purse,
    parts: readonly Part[],
  ) {
    this.prices = new Map(parts.map((part) => [part.id, part.price]));
  }

  isOutdone(node: T): boolean {
    return this.outdone.has(node);
  }

  /** Whether another that was reached stands for it; those that it stands for need not go on. */
  isDominated(node: T): boolean {
    const { purse, prices } = this;
    const key = signatureOf(node);
    const others = this.bySignature.get(key) ?? [];
    if (others.some((other) => standsFor(other, node, purse, prices))) return true;
    const [worse, rest] = [[] as T[], [node]];
    for (const other of others) (standsFor(node, other, purse, prices) ? worse : rest).push(other);
    for (const other of worse) this.outdone.add(other);
    this.bySignature.set(key, rest);
    return false;
  }
}
