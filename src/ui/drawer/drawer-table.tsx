'use client';
import { ChevronDown, ChevronUp, Minus, Plus } from 'lucide-react';
import Link from 'next/link';
import { Fragment, useState, type ReactNode } from 'react';
import { answersTo, type Part } from '../../core/parts';
import type { Rig } from '../../core/rig';
import { CONDITIONS, type Condition } from '../../store/conditions';
import type { DrawerItem } from '../../store/records';
import { changeCount } from '../../store/drawer';
import { MOST_OF_A_PART } from '../../store/stored';
import { PartIcon } from '../bench/part-icon';
import { money } from '../shared/money';
import { keeping } from '../shared/report-trouble';
import { ItemFields } from './item-fields';

/** What is owned, with its part and the rigs that use it. */
export interface DrawerEntry {
  readonly item: DrawerItem;
  readonly part: Part;
  readonly rigs: readonly Rig[];
}

type Column = 'name' | 'condition' | 'count' | 'price' | 'rigs';

const COLUMNS: readonly (readonly [Column, string, string])[] = [
  ['name', 'Thing', ''],
  ['condition', 'Condition', 'max-sm:hidden'],
  ['count', 'Count', ''],
  ['price', 'Price', 'max-sm:hidden text-right'],
  ['rigs', 'Used in', 'max-md:hidden'],
];

const valueIn = ({ item, part, rigs }: DrawerEntry, column: Column): string | number => {
  switch (column) {
    case 'name':
      return part.name.toLowerCase();
    case 'condition':
      return CONDITIONS.indexOf(item.condition ?? 'good');
    case 'count':
      return item.count;
    case 'price':
      return item.paid ?? part.price;
    case 'rigs':
      return rigs.length;
  }
};

function compare(a: string | number, b: string | number): number {
  return typeof a === 'string' ? a.localeCompare(String(b)) : a - Number(b);
}

function Count({ part, count }: { part: Part; count: number }) {
  const step = (by: number) => void keeping(changeCount(part.id, by));
  return (
    <div className="flex items-center gap-1" role="group" aria-label={`How many: ${part.name}`}>
      <button
        type="button"
        className="button px-2"
        aria-label={`One ${part.name} less`}
        onClick={() => step(-1)}
      >
        <Minus size={16} aria-hidden />
      </button>
      <output className="w-7 text-center font-mono text-sm">{count}</output>
      <button
        type="button"
        className="button px-2"
        disabled={count >= MOST_OF_A_PART}
        aria-label={`One ${part.name} more`}
        onClick={() => step(1)}
      >
        <Plus size={16} aria-hidden />
      </button>
    </div>
  );
}

function Row({ entry, currency, own }: { entry: DrawerEntry; currency: string; own: ReactNode }) {
  const { item, part, rigs } = entry;
  const [open, setOpen] = useState(false);
  return (
    <Fragment>
      <tr className="border-line border-t align-top">
        <td className="py-2 pr-3">
          <button
            type="button"
            className="flex w-full items-start gap-3 text-left"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            <PartIcon family={part.family} />
            <span className="min-w-0">
              <span className="block leading-tight font-bold">{part.name}</span>
              <span className="text-soft block text-[0.9375rem] leading-snug">
                {item.label ? `“${item.label}” · ` : ''}
                {part.summary}
                {item.note ? `. Note: ${item.note}` : ''}
              </span>
            </span>
            {open ? (
              <ChevronUp size={18} aria-hidden className="ml-auto flex-none" />
            ) : (
              <ChevronDown size={18} aria-hidden className="ml-auto flex-none" />
            )}
          </button>
        </td>
        <td className="py-2.5 pr-3 max-sm:hidden">
          <span className={item.condition === 'broken' ? 'text-vermilion font-semibold' : ''}>
            {item.condition ?? 'good'}
          </span>
        </td>
        <td className="py-2 pr-3">
          <Count part={part} count={item.count} />
        </td>
        <td className="py-2.5 pr-4 text-right whitespace-nowrap max-sm:hidden">
          {item.paid === undefined ? `about ${money(part.price, currency)}` : money(item.paid, currency)}
        </td>
        <td className="py-2.5 max-md:hidden">
          {rigs.length === 0 && <span className="text-soft">no rig</span>}
          {rigs.map((rig) => (
            <Link key={rig.id} className="block underline" href={`/?rig=${encodeURIComponent(rig.id)}`}>
              {rig.name}
            </Link>
          ))}
        </td>
      </tr>
      {open && (
        <tr>
          <td colSpan={5} className="pb-3 pl-10">
            <ItemFields item={item} part={part} rigs={rigs} currency={currency} />
            {own}
          </td>
        </tr>
      )}
    </Fragment>
  );
}

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
  const [sort, setSort] = useState<{ by: Column; down: boolean }>({ by: 'name', down: false });
  const shown = entries
    .filter(({ item, part }) => {
      const text = `${item.label ?? ''} ${item.note ?? ''}`.toLowerCase();
      return answersTo(part, query) || (query.trim() !== '' && text.includes(query.trim().toLowerCase()));
    })
    .filter(({ item }) => condition === '' || (item.condition ?? 'good') === condition)
    .sort((a, b) => compare(valueIn(a, sort.by), valueIn(b, sort.by)) * (sort.down ? -1 : 1));
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
          <tr className="text-left">
            {COLUMNS.map(([column, name, style]) => (
              <th
                key={column}
                scope="col"
                className={`pr-3 ${style}`}
                aria-sort={sort.by === column ? (sort.down ? 'descending' : 'ascending') : undefined}
              >
                <button
                  type="button"
                  className="text-soft inline-flex min-h-9 items-center gap-1 text-sm font-semibold"
                  onClick={() => setSort({ by: column, down: sort.by === column && !sort.down })}
                >
                  {name}
                  {sort.by === column &&
                    (sort.down ? <ChevronDown size={14} aria-hidden /> : <ChevronUp size={14} aria-hidden />)}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((entry) => (
            <Row key={entry.part.id} entry={entry} currency={currency} own={ownActions(entry.part)} />
          ))}
        </tbody>
      </table>
      {shown.length === 0 && <p className="text-soft p-3">Nothing in the drawer answers to that.</p>}
    </section>
  );
}
