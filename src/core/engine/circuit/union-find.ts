/** Disjoint sets of strings, with path halving (Tarjan and van Leeuwen 1984). */
export class UnionFind {
  private readonly parent = new Map<string, string>();

  /** The set's representative; an unseen member founds a set of its own. */
  find(member: string): string {
    let at = member;
    for (;;) {
      const up = this.parent.get(at);
      if (up === undefined || up === at) return at;
      const upper = this.parent.get(up) ?? up;
      this.parent.set(at, upper);
      at = upper;
    }
  }

  union(a: string, b: string): void {
    const rootA = this.find(a);
    const rootB = this.find(b);
    if (rootA !== rootB) this.parent.set(rootA, rootB);
  }
}

/** Disjoint sets of the numbers from 0, in the same way. */
export class NumberSets {
  private readonly parent: Int32Array;

  constructor(count: number) {
    this.parent = Int32Array.from({ length: count }, (_, number) => number);
  }

  find(member: number): number {
    let at = member;
    for (;;) {
      const up = this.parent[at] ?? at;
      if (up === at) return at;
      const upper = this.parent[up] ?? up;
      this.parent[at] = upper;
      at = upper;
    }
  }

  union(a: number, b: number): void {
    this.parent[this.find(a)] = this.find(b);
  }
}
