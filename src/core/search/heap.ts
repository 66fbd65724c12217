/** A binary heap: the least of what was pushed comes out first; equals in the order in which they came. */
export class Heap<T> {
  private readonly items: { readonly value: T; readonly turn: number }[] = [];
  private turn = 0;
  constructor(private readonly compare: (a: T, b: T) => number) {}

  get size(): number {
    return this.items.length;
  }

  /** All that waits, in no order. */
  get values(): readonly T[] {
    return this.items.map(({ value }) => value);
  }

  peek(): T | undefined {
    return this.items[0]?.value;
  }

  push(value: T): void {
    this.items.push({ value, turn: this.turn });
    this.turn += 1;
    for (let at = this.items.length - 1; at > 0;) {
      const above = (at - 1) >> 1;
      if (!this.swapIfLess(at, above)) return;
      at = above;
    }
  }

  pop(): T | undefined {
    const top = this.items[0];
    const last = this.items.pop();
    if (!top || !last) return undefined;
    if (this.items.length === 0) return top.value;
    this.items[0] = last;
    for (let at = 0; ;) {
      const [left, right] = [2 * at + 1, 2 * at + 2];
      const least = right < this.items.length && this.isLess(right, left) ? right : left;
      if (least >= this.items.length || !this.swapIfLess(least, at)) break;
      at = least;
    }
    return top.value;
  }

  private isLess(a: number, b: number): boolean {
    const [one, other] = [this.items[a], this.items[b]];
    if (!one || !other) return false;
    const order = this.compare(one.value, other.value);
    return order < 0 || (order === 0 && one.turn < other.turn);
  }

  private swapIfLess(a: number, b: number): boolean {
    if (!this.isLess(a, b)) return false;
    const [one, other] = [this.items[a], this.items[b]];
    if (one && other) [this.items[a], this.items[b]] = [other, one];
    return true;
  }
}
