import Papa from 'papaparse';
import type { Item } from '../search/route';
import { shoppingLines } from './shopping-lines';

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
