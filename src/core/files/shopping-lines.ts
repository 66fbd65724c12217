import type { Item } from '../search/route';

/** Equal things to buy. */
export interface Line {
  readonly part: string;
  readonly name: string;
  /** Metres of a lead. */
  readonly length?: number;
  readonly count: number;
  readonly each: number;
  readonly total: number;
}

/** The things to buy, equal ones on one line. */
export function shoppingLines(buy: readonly Item[]): Line[] {
  const lines = new Map<string, Line>();
  for (const { part, name, price, length } of buy) {
    const key = `${part} ${length ?? ''}`;
    const count = (lines.get(key)?.count ?? 0) + 1;
    lines.set(key, {
      part,
      name,
      ...(length !== undefined && { length }),
      count,
      each: price,
      total: count * price,
    });
  }
  return [...lines.values()];
}
