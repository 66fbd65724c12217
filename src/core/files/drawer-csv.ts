import Papa from 'papaparse';
import { quoteValue } from '../schema';
import { readLengths, sayLengths } from './lead-lengths';

/** A drawer item as a row; empty cells are absent. */
export interface DrawerRow {
  readonly part: string;
  readonly count: number;
  readonly condition?: 'good' | 'worn' | 'broken';
  readonly label?: string;
  readonly note?: string;
  readonly paid?: number;
  /** Metres of leads whose length is known. */
  readonly lengths?: readonly number[];
}

const FIELDS = ['part', 'name', 'count', 'condition', 'label', 'note', 'paid', 'lengths'] as const;
const CONDITIONS: readonly string[] = ['good', 'worn', 'broken'];
const MOST_ROWS = 2000;
const LONGEST_TEXT = 4000;

/** The drawer as CSV (RFC 4180). A cell that a spreadsheet might take for a formula is put behind an apostrophe. */
export const drawerCsv = (rows: readonly DrawerRow[], nameOf: (part: string) => string): string =>
  Papa.unparse(
    {
      fields: [...FIELDS],
      data: rows.map((r) => [
        r.part,
        nameOf(r.part),
        r.count,
        r.condition,
        r.label,
        r.note,
        r.paid,
        r.lengths && sayLengths(r.lengths),
      ]),
    },
    { newline: '\r\n', escapeFormulae: true },
  ) + '\r\n';

export type DrawerCsvResult =
  { readonly ok: true; readonly rows: readonly DrawerRow[] } | { readonly ok: false; readonly says: string };

type Cells = Readonly<Record<string, string | undefined>>;

/** What was put behind an apostrophe by `drawerCsv` comes out again as it was. */
const bare = (cell: string | undefined): string => (cell ?? '').trim().replace(/^'(?=[=+\-@\t\r])/, '');

function rowOf(cells: Cells, known: (part: string) => boolean): DrawerRow | string {
  const [part, count, condition, paid] = [
    cells['part'],
    cells['count'],
    cells['condition'],
    cells['paid'],
  ].map(bare);
  if (!part || !known(part))
    return `part is ${quoteValue(part)}; neither the catalogue nor your own parts have it`;
  if (!/^\d{1,3}$/.test(count ?? ''))
    return `count is ${quoteValue(count)}; it must be a whole number from 0 to 999`;
  if (condition && !CONDITIONS.includes(condition)) {
    return `condition is ${quoteValue(condition)}; it must be ${CONDITIONS.join(', ')} or empty`;
  }
  if (paid && !(Number(paid) >= 0 && Number(paid) < 1e6))
    return `paid is ${quoteValue(paid)}; it must be a sum or empty`;
  const lengths = readLengths(bare(cells['lengths']), Number(count));
  if (!lengths.ok) return `lengths: ${lengths.says}`;
  const [label, note] = [bare(cells['label']), bare(cells['note'])].map((text) =>
    text.slice(0, LONGEST_TEXT),
  );
  return {
    part,
    count: Number(count),
    ...(condition && { condition: condition as NonNullable<DrawerRow['condition']> }),
    ...(label && { label }),
    ...(note && { note }),
    ...(paid && { paid: Number(paid) }),
    ...(lengths.metres.length > 0 && { lengths: lengths.metres }),
  };
}

/** Reads a drawer from CSV with a heading row. Never throws; a bad row refuses the whole, so that nothing is half taken. */
export function readDrawerCsv(text: string, known: (part: string) => boolean): DrawerCsvResult {
  const { data, meta } = Papa.parse<Cells>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim().toLowerCase(),
  });
  for (const field of ['part', 'count']) {
    if (!(meta.fields ?? []).includes(field)) {
      return { ok: false, says: `The first row has no heading “${field}”; a drawer has part and count.` };
    }
  }
  if (data.length > MOST_ROWS) {
    return { ok: false, says: `The file has ${data.length} rows; a drawer has at most ${MOST_ROWS}.` };
  }
  const rows: DrawerRow[] = [];
  for (const [index, cells] of data.entries()) {
    const row = rowOf(cells, known);
    if (typeof row === 'string') return { ok: false, says: `Row ${index + 2}: ${row}.` };
    rows.push(row);
  }
  return { ok: true, rows };
}
