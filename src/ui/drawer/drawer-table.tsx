'use client';
import { Minus, Plus } from 'lucide-react';
import { CATALOGUE, type Part } from '../../core/parts';
import { database, type DrawerItem } from '../../store/database';
import { PartIcon } from '../bench/part-icon';
import { CURRENCY, money } from '../shared/money';
import { keeping } from '../shared/report-trouble';

export async function setCount(part: string, count: number): Promise<void> {
  await database.transaction('rw', database.drawer, async () => {
    const current = await database.drawer.get(part);
    if (count > 0) await database.drawer.put({ ...current, part, count });
    else await database.drawer.delete(part);
  });
}

function Row({ part, item }: { part: Part; item: DrawerItem | undefined }) {
  const count = item?.count ?? 0;
  const step = (by: number) => void keeping(setCount(part.id, count + by));
  return (
    <li className="border-line bg-card flex flex-wrap items-center gap-3 rounded-xl border p-3">
      <PartIcon family={part.family} />
      <div className="min-w-44 flex-1">
        <h3 className="leading-tight font-bold">{part.name}</h3>
        <p className="text-soft text-[0.9375rem]">
          {part.summary}
          {item?.note ? `. Note: ${item.note}` : ''}
        </p>
      </div>
      <span className="text-soft text-sm">about {money(part.price, CURRENCY)}</span>
      <div className="flex items-center gap-1" role="group" aria-label={`How many: ${part.name}`}>
        <button
          type="button"
          className="button"
          disabled={count === 0}
          aria-label={`One ${part.name} less`}
          onClick={() => step(-1)}
        >
          <Minus size={16} aria-hidden />
        </button>
        <output className="w-8 text-center font-mono text-sm">{count}</output>
        <button
          type="button"
          className="button"
          disabled={count >= 99}
          aria-label={`One ${part.name} more`}
          onClick={() => step(1)}
        >
          <Plus size={16} aria-hidden />
        </button>
      </div>
    </li>
  );
}

/** Owned parts first, then the rest of the catalogue at zero. */
export function DrawerTable({ items, own }: { items: readonly DrawerItem[]; own: readonly Part[] }) {
  const byPart = new Map(items.map((item) => [item.part, item]));
  const parts = [...own, ...CATALOGUE];
  const owned = parts.filter((part) => byPart.has(part.id));
  const others = parts.filter((part) => !byPart.has(part.id));
  const group = (title: string, parts: readonly Part[]) =>
    parts.length > 0 && (
      <section aria-label={title} className="mt-5">
        <h2 className="text-soft mb-2 text-sm font-semibold">{title}</h2>
        <ul className="space-y-2">
          {parts.map((part) => (
            <Row key={part.id} part={part} item={byPart.get(part.id)} />
          ))}
        </ul>
      </section>
    );
  return (
    <>
      {group('In the drawer', owned)}
      {group('Not in the drawer', others)}
    </>
  );
}
