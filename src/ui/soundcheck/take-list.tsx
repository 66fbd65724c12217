'use client';
import { takeTitle } from '../../core/words/say-take';
import type { TakeRecord } from '../../store/records';
import { findingsOf } from './read-kept';

const ORIGIN: Readonly<Record<TakeRecord['origin'], string>> = {
  recorded: 'recorded',
  file: 'file',
  'stand-in': 'stand-in',
  example: 'example',
};

function sayShort(take: TakeRecord): string {
  const { measures } = take;
  if (!measures) return take.bytes > 0 ? 'not read yet' : 'being read';
  const [first] = findingsOf({ ...take, measures }).filter(({ severity }) => severity !== 'note');
  return first ? takeTitle(first) : 'clean';
}

interface TakeListProps {
  readonly takes: readonly TakeRecord[];
  readonly shown: string | undefined;
  readonly open: (id: string) => void;
  /** Reads what a broken-off recording left; not while one runs. */
  readonly again: ((id: string) => void) | undefined;
}

/** Every kept take, the latest first. */
export function TakeList({ takes, shown, open, again }: TakeListProps) {
  if (takes.length === 0) {
    return (
      <p className="border-line bg-card mt-4 rounded-xl border p-4">
        No take yet. Record ten seconds with a pause before and after, drop a file here, or hear what the rig
        would give: the stand-in needs no gear.
      </p>
    );
  }
  return (
    <section aria-label="Takes" className="mt-4">
      <ul className="flex gap-2 overflow-x-auto p-1">
        {takes.map((take) => (
          <li key={take.id} className="flex-none">
            <button
              type="button"
              aria-pressed={take.id === shown}
              className="border-line bg-card aria-pressed:bg-ink aria-pressed:text-paper min-h-11 rounded-xl border px-3 py-1.5 text-left"
              onClick={() => open(take.id)}
            >
              <span className="block max-w-48 truncate font-semibold">{take.name}</span>
              <span className="block text-sm">
                {ORIGIN[take.origin]}: {sayShort(take)}
              </span>
            </button>
            {again && !take.measures && take.bytes > 0 && (
              <button type="button" className="button mt-1 w-full" onClick={() => again(take.id)}>
                Read it
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
