'use client';
import { ChevronDown, ChevronUp, Minus, Plus } from 'lucide-react';
import Link from 'next/link';
import { Fragment, useState, type ReactNode } from 'react';
import type { Part } from '../../core/parts';
import type { Rig } from '../../core/rig';
import { changeCount } from '../../store/drawer';
import type { DrawerItem } from '../../store/records';
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

interface DrawerRowProps {
  readonly entry: DrawerEntry;
  readonly currency: string;
  /** What can be done with a part of the user's own. */
  readonly own: ReactNode;
}

/** One owned thing; pressed, it opens to be changed. */
export function DrawerRow({ entry, currency, own }: DrawerRowProps) {
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
