/** Answers that depend on nothing but their key; the ones not asked for longest are forgotten first. */
export class Memo<T> {
  private readonly known = new Map<string, T>();
  constructor(private readonly most: number) {}

  get(key: string, make: () => T): T {
    const found = this.known.get(key);
    const value = found ?? make();
    if (found !== undefined) this.known.delete(key);
    this.known.set(key, value);
    if (this.known.size > this.most) {
      const [oldest] = this.known.keys();
      if (oldest !== undefined) this.known.delete(oldest);
    }
    return value;
  }

  clear(): void {
    this.known.clear();
  }
}
