import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawerCsv, readDrawerCsv, type DrawerRow } from './drawer-csv';
import { shoppingCsv } from './shopping-csv';
import { shoppingLines } from './shopping-lines';

const known = (part: string) => ['lead-trs-trs', 'patch-trs-trrs', 'own-pack'].includes(part);
const names = (part: string) => `Name of ${part}`;

describe('the drawer as CSV (RFC 4180)', () => {
  it('writes a heading and CRLF, and quotes what needs it', () => {
    const text = drawerCsv([{ part: 'lead-trs-trs', count: 2, note: 'blue, "the long one"' }], names);
    expect(text.split('\r\n')).toEqual([
      'part,name,count,condition,label,note,paid,lengths',
      'lead-trs-trs,Name of lead-trs-trs,2,,,"blue, ""the long one""",,',
      '',
    ]);
  });

  it('reads back whatever it wrote', () => {
    const text = fc
      .string({ minLength: 1, maxLength: 30 })
      .map((s) => s.trim())
      .filter((s) => s !== '' && !/^'[=+\-@\t\r]/.test(s));
    const row: fc.Arbitrary<DrawerRow> = fc
      .record(
        {
          part: fc.constantFrom('lead-trs-trs', 'patch-trs-trrs', 'own-pack'),
          count: fc.nat({ max: 999 }),
          condition: fc.constantFrom('good', 'worn', 'broken'),
          label: text,
          note: text,
          paid: fc.nat({ max: 999 }),
          lengths: fc.array(fc.constantFrom(0.2, 1.5, 3, 500), { minLength: 1, maxLength: 3 }),
        },
        { requiredKeys: ['part', 'count'] },
      )
      .map(({ lengths, ...r }) => {
        const known = (lengths ?? []).slice(0, r.count);
        return { ...r, ...(known.length > 0 && { lengths: known }) } as DrawerRow;
      });
    fc.assert(
      fc.property(fc.array(row, { maxLength: 8 }), (rows) => {
        expect(readDrawerCsv(drawerCsv(rows, names), known)).toEqual({ ok: true, rows });
      }),
      { seed: 20261124 },
    );
  });

  it('takes a heading in any case, a byte order mark and empty rows', () => {
    const text = '\uFEFFPart;x\r\n'.replace(';x', ',COUNT') + '\r\nlead-trs-trs,3\r\n\r\n';
    expect(readDrawerCsv(text, known)).toEqual({ ok: true, rows: [{ part: 'lead-trs-trs', count: 3 }] });
  });

  it.each([
    ['name,count\r\na,1', 'no heading “part”'],
    ['part,count\r\nno-such,1', 'Row 2: part is "no-such"'],
    ['part,count\r\nlead-trs-trs,many', 'Row 2: count is "many"'],
    ['part,count\r\nlead-trs-trs,-1', 'Row 2: count is "-1"'],
    ['part,count,condition\r\nlead-trs-trs,1,mouldy', 'Row 2: condition is "mouldy"'],
    ['part,count,paid\r\nlead-trs-trs,1,a lot', 'Row 2: paid is "a lot"'],
    [`part,count\r\n${'lead-trs-trs,1\r\n'.repeat(2001)}`, '2001 rows'],
    ['', 'no heading'],
  ])('refuses %j with one message', (text, says) => {
    const result = readDrawerCsv(text, known);
    expect(result.ok ? '' : result.says).toContain(says);
  });

  it('puts what a spreadsheet would run behind an apostrophe', () => {
    const text = drawerCsv([{ part: 'lead-trs-trs', count: 1, note: '=HYPERLINK("x")' }], names);
    expect(text).toContain(`"'=HYPERLINK(""x"")"`);
  });
});

describe('the shopping list', () => {
  const lead = { part: 'lead-rca', name: 'RCA lead', price: 6 };
  it('puts equal things on one line and sums them', () => {
    expect(shoppingLines([lead, { part: 'x', name: 'X', price: 5 }, lead])).toMatchObject([
      { part: 'lead-rca', count: 2, total: 12 },
      { part: 'x', count: 1, total: 5 },
    ]);
  });
  it('is CSV with the user’s currency', () => {
    expect(shoppingCsv([lead], 'SEK').split('\r\n')[1]).toBe('lead-rca,RCA lead,,1,6,6,SEK');
  });
});
