'use client';
import {
  columnFilteringFeature,
  createColumnHelper,
  createFilteredRowModel,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_text,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { ChevronDown, ChevronUp } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { answersTo, type Part } from '../../core/parts';
import { CONDITIONS, type Condition } from '../../store/conditions';
import { DrawerRow, type DrawerEntry } from './drawer-row';

const features = tableFeatures({
  columnFilteringFeature,
  filteredRowModel: createFilteredRowModel(),
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { text: sortFn_text },
});

const helper = createColumnHelper<typeof features, DrawerEntry>();

function isAskedFor({ item, part }: DrawerEntry, query: string): boolean {
  const noted = `${item.label ?? ''} ${item.note ?? ''}`.toLowerCase();
  return answersTo(part, query) || noted.includes(query.trim().toLowerCase());
}

const columns = helper.columns([
  helper.accessor(({ part }) => part.name.toLowerCase(), {
    id: 'name',
    header: 'Thing',
    sortFn: 'text',
    filterFn: (row, _column, query: string) => isAskedFor(row.original, query),
  }),
  helper.accessor(({ item }) => CONDITIONS.indexOf(item.condition ?? 'good'), {
    id: 'condition',
    header: 'Condition',
    filterFn: (row, _column, condition: Condition) => (row.original.item.condition ?? 'good') === condition,
  }),
  helper.accessor(({ item }) => item.count, { id: 'count', header: 'Count' }),
  helper.accessor(({ item, part }) => item.paid ?? part.price, { id: 'price', header: 'Price' }),
  helper.accessor(({ rigs }) => rigs.length, { id: 'rigs', header: 'Used in' }),
]);

/** How a column's head stands; the lesser ones go on narrow screens. */
const HEAD_STYLE: Readonly<Record<string, string>> = {
  condition: 'max-sm:hidden',
  price: 'max-sm:hidden text-right',
  rigs: 'max-md:hidden',
};

const SORTED = { asc: 'ascending', desc: 'descending' } as const;

interface DrawerTableProps {
  readonly entries: readonly DrawerEntry[];
  readonly currency: string;
  /** What can be done with a part of the user's own. */
  readonly ownActions: (part: Part) => ReactNode;
}

/** Everything owned: looked through, filtered, sorted by any column. */
export function DrawerTable({ entries, currency, ownActions }: DrawerTableProps) {
  const [query, setQuery] = useState('');
  const [condition, setCondition] = useState<Condition | ''>('');
  const columnFilters = [
    ...(query.trim() ? [{ id: 'name', value: query }] : []),
    ...(condition ? [{ id: 'condition', value: condition }] : []),
  ];
  const table = useTable({
    features,
    columns,
    data: entries,
    getRowId: ({ part }) => part.id,
    state: { columnFilters },
    initialState: { sorting: [{ id: 'name', desc: false }] },
    enableSortingRemoval: false,
    sortDescFirst: false,
  });
  const { rows } = table.getRowModel();
  return (
    <section aria-label="In the drawer" className="mt-4">
      <div className="mb-2 flex flex-wrap items-center gap-2">
        <input
          type="search"
          className="field min-w-0 flex-1"
          aria-label="Look through the drawer"
          placeholder="Name, socket, bands, label or note"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
        />
        <select
          className="field"
          aria-label="Condition"
          value={condition}
          onChange={(event) => setCondition(event.target.value as Condition | '')}
        >
          <option value="">any condition</option>
          {CONDITIONS.map((one) => (
            <option key={one} value={one}>
              {one}
            </option>
          ))}
        </select>
      </div>
      <table className="w-full">
        <caption className="sr-only">What is in the drawer</caption>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="text-left">
              {group.headers.map(({ id, column }) => {
                const sorted = column.getIsSorted();
                return (
                  <th
                    key={id}
                    scope="col"
                    className={`pr-3 ${HEAD_STYLE[id] ?? ''}`}
                    aria-sort={sorted ? SORTED[sorted] : undefined}
                  >
                    <button
                      type="button"
                      className="text-soft inline-flex min-h-9 items-center gap-1 text-sm font-semibold"
                      onClick={() => column.toggleSorting()}
                    >
                      {String(column.columnDef.header)}
                      {sorted === 'desc' && <ChevronDown size={14} aria-hidden />}
                      {sorted === 'asc' && <ChevronUp size={14} aria-hidden />}
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {rows.map(({ id, original }) => (
            <DrawerRow key={id} entry={original} currency={currency} own={ownActions(original.part)} />
          ))}
        </tbody>
      </table>
      {rows.length === 0 && <p className="text-soft p-3">Nothing in the drawer answers to that.</p>}
    </section>
  );
}
