import { partsIn, type Layout } from './layout';

/** After so many answers over the same parts those over other sockets wait until what weighs as much was looked at. Ours. */
const MOST_ALIKE = 3;

/** What answers over the same parts weighed. */
export class Alike {
  private readonly byParts = new Map<string, number[]>();

  answered(layout: Layout, weight: number): void {
    const parts = partsIn(layout);
    this.byParts.set(parts, [...(this.byParts.get(parts) ?? []), weight]);
  }

  /** What a layout of so much weight is likely to weigh as an answer: that, until several like it were. */
  likely(layout: Layout, weight: number): number {
    const alike = this.byParts.get(partsIn(layout)) ?? [];
    return alike.length < MOST_ALIKE ? weight : Math.max(weight, Math.min(...alike));
  }
}
