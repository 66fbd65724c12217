import { isHeadphones, type Part, type PartPort } from '../../parts';
import { socketKind } from './chain-kinds';
import { partFor } from './extras';
import { boxOf } from './gear';
import { between } from './layout';
import { boxesOf, couldLeave, hasAll, isPlain, leavesHeadphones, weightOf, type Found } from './rank';
import type { RouteRequest } from './request';
import { ANY, type Spent } from './rest';
import { passesCharge } from './vias';

/** What cannot be a better way any more beside those that were found. */
export class Padding {
  constructor(
    private readonly request: RouteRequest,
    /** Grows. */
    private readonly found: readonly Found[],
    /** What is put in besides all chains weighs at the least. */
    private readonly leastAdded: () => number = () => 0,
  ) {}

  /**
   * Whether a chain has all the boxes of a way that was found, by whichever socket of the recorder it may come, and more: that way is
   * clear and whole and lacks nothing, so what is more in it is padding (rank.ts). Beside bare leads a box that follows may be another way.
   * A box that passes a charge on may be wanted for that.
   */
  isNeedless(from: PartPort, chain: readonly Part[], middle?: Part): boolean {
    if (chain.some((one) => passesCharge(one))) return false;
    const given = boxOf(this.request);
    const boxes = boxesOf(middle && middle !== given ? [middle, ...chain] : chain);
    const begins = middle ? this.beginsInto(middle) : `${socketKind(from)}>`;
    const last = this.request.destinations.at(-1);
    if (begins === undefined || !last) return false;
    const sockets = partFor(this.request, last.part).ports.filter(({ direction }) => direction !== 'out');
    const plain = this.found.filter(
      (one) => isPlain(one, this.request.prefer) && boxesOf(between(one.layout)).length > 0,
    );
    return sockets.map(socketKind).every((socket) =>
      plain.some((one) => {
        const known = boxesOf(between(one.layout).filter((part) => !this.isAddedAnyway(part)));
        const hasEnds = one.kind.trim().startsWith(begins) && one.kind.endsWith(`>${socket}`);
        return hasEnds && boxes.length > known.length && hasAll(boxes, known);
      }),
    );
  }

  private readonly spent = new Map<string, readonly Spent[]>();

  /** Ways that were found and weigh no more: whatever else is of their kind, and gives as much, is no better. */
  spentAt(weight: number): readonly Spent[] {
    return this.spentOf('', (one) => {
      const [way, ...others] = one.layout.ways ?? [];
      if (!way || others.length > 0 || this.weigh(one) > weight) return [];
      const isAll = boxesOf(between(one.layout)).length === way.boxes.length;
      return [{ ...way, leaves: this.leavesAll(one), isPlain: isAll && isPlain(one, this.request.prefer) }];
    });
  }

  /**
   * The same of a chain into or out of a part in the middle, in the order in which they are laid. What is found with the lead that a way has is not
   * found with dearer ones of its kind as well: where another way into that part makes no answer with the one, it is taken to make none with
   * the others (ours). By which sockets of what is bought a way leads makes it no other.
   */
  spentOn(middle: Part, leg: number, weight: number): readonly Spent[] {
    const isThere = boxOf(this.request) === middle;
    const any = leg < this.request.sources.length ? { to: ANY } : { from: ANY };
    return this.spentOf(`${middle.id} ${leg}`, (one) => {
      const way = one.layout.middle === middle.id ? one.layout.ways?.[leg] : undefined;
      if (!way || way.weight + this.addedFor(one) + this.weigh(one) - one.cost.weight > weight) return [];
      return [{ ...way, ...(isThere ? {} : any), leaves: this.leavesAll(one), isPlain: false }];
    });
  }

  /**
   * By how much more had to be put in beside the chains of a way than might have to be with another: a caller who comes back by a lead that has a
   * socket for it needs no splitter, and the dearer lead may make the lighter whole.
   */
  private addedFor({ layout, cost }: Found): number {
    if (this.request.wishes?.callers !== true) return 0;
    const chains = (layout.ways ?? []).reduce((sum, { weight }) => sum + weight, 0);
    return Math.max(0, cost.weight - chains - this.leastAdded());
  }

  /** It leaves a socket for headphones, or nothing like it could; who has callers at a box hears at the box. */
  private leavesAll({ layout }: Found): boolean {
    return this.request.wishes?.callers === true || leavesHeadphones(layout) || !couldLeave(layout);
  }

  /** The list of before while it is as long: it only grows. */
  private spentOf(of: string, by: (one: Found) => readonly Spent[]): readonly Spent[] {
    const now = this.found.flatMap(by);
    const known = this.spent.get(of);
    if (known && known.length === now.length) return known;
    this.spent.set(of, now);
    return now;
  }

  private weigh(one: Found): number {
    return weightOf(one, this.request.prefer);
  }

  /** Ears at a box, which every call-in gets. */
  private isAddedAnyway(part: Part): boolean {
    return this.request.wishes?.callers === true && isHeadphones(part);
  }

  /** What the kinds of all ways over a part in the middle begin with, where the first source has one kind of output. */
  private beginsInto(middle: Part): string | undefined {
    const [source] = this.request.sources;
    const ports = source ? partFor(this.request, source.part).ports : [];
    const [kind, ...others] = new Set(ports.filter(({ direction }) => direction !== 'in').map(socketKind));
    return kind !== undefined && others.length === 0 ? `${middle.id} ${kind}>` : undefined;
  }
}
