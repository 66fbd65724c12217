'use client';
import Link from 'next/link';
import { useState } from 'react';
import type { Part } from '../../core/parts';
import type { Rig } from '../../core/rig';
import { growsLong } from '../../core/search/route/lengths';
import { readLengths, sayLengths } from '../../core/files/lead-lengths';
import { CONDITIONS, type Condition } from '../../store/conditions';
import type { DrawerItem } from '../../store/records';
import { describeItem, type ItemDetails } from '../../store/drawer';
import { money } from '../shared/money';
import { keeping } from '../shared/report-trouble';

interface ItemFieldsProps {
  readonly item: DrawerItem;
  readonly part: Part;
  readonly rigs: readonly Rig[];
  readonly currency: string;
}

/** A text that is kept when the field is left. */
function Text(props: { label: string; value: string; keep: (text: string) => void }) {
  const [text, setText] = useState(props.value);
  return (
    <label className="grid gap-1">
      {props.label}
      <input
        className="field"
        maxLength={400}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => text !== props.value && props.keep(text.trim())}
      />
    </label>
  );
}

/** What is known of a thing beside how many there are. */
export function ItemFields({ item, part, rigs, currency }: ItemFieldsProps) {
  const [trouble, setTrouble] = useState<string>();
  const write = (details: ItemDetails) => void keeping(describeItem(part.id, details));
  const pay = (text: string) => {
    const sum = Number(text.replace(',', '.'));
    const bad = text !== '' && !(sum >= 0 && sum < 1e6);
    setTrouble(bad ? `“${text}” is no sum; write a number, or nothing.` : undefined);
    if (!bad) write({ paid: text === '' ? undefined : sum });
  };
  const measure = (text: string) => {
    const found = readLengths(text, item.count);
    setTrouble(found.ok ? undefined : `${found.says}.`);
    if (found.ok) write({ lengths: found.metres.length > 0 ? found.metres : undefined });
  };
  return (
    <div className="grid gap-3 sm:grid-cols-2">
      <label className="grid gap-1">
        Condition
        <select
          className="field"
          value={item.condition ?? 'good'}
          onChange={(event) => write({ condition: event.target.value as Condition })}
        >
          {CONDITIONS.map((one) => (
            <option key={one} value={one}>
              {one === 'broken' ? 'broken: not counted on' : one}
            </option>
          ))}
        </select>
      </label>
      <Text
        label={`Paid for one, ${currency} (typical: ${money(part.price, currency)})`}
        value={item.paid === undefined ? '' : String(item.paid)}
        keep={pay}
      />
      <Text
        label="Label on it"
        value={item.label ?? ''}
        keep={(text) => write({ label: text || undefined })}
      />
      {growsLong(part) && (
        <Text
          label={`Lengths, m, where not ${part.length}`}
          value={sayLengths(item.lengths ?? [])}
          keep={measure}
        />
      )}
      <Text label="Note" value={item.note ?? ''} keep={(text) => write({ note: text || undefined })} />
      {trouble && (
        <p role="alert" className="text-vermilion sm:col-span-2">
          {trouble}
        </p>
      )}
      <p className="sm:col-span-2 md:hidden">
        Used in:{' '}
        {rigs.length === 0
          ? 'no rig'
          : rigs.map((rig) => (
              <Link key={rig.id} className="mr-2 underline" href={`/?rig=${encodeURIComponent(rig.id)}`}>
                {rig.name}
              </Link>
            ))}
      </p>
    </div>
  );
}
