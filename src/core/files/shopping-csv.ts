import Papa from 'papaparse';
import type { Item } from '../search/route';

interface Line {
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

/** A shopping list as CSV (RFC 4180). A cell that a spreadsheet might take for a formula is put behind an apostrophe. */
export const shoppingCsv = (buy: readonly Item[], currency: string): string =>
  Papa.unparse(
    {
      fields: ['part', 'name', 'metres', 'count', 'each', 'total', 'currency'],
      data: shoppingLines(buy).map((l) => [
        l.part,
        l.name,
        l.length ?? '',
        l.count,
        l.each,
        l.total,
        currency,
      ]),
    },
    { newline: '\r\n', escapeFormulae: true },
  ) + '\r\n';
