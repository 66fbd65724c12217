'use client';
import { Command } from 'cmdk';
import { ChevronRight } from 'lucide-react';
import { useEffect, useState } from 'react';
import { ladder } from '../../core/views';
import { nameOf } from '../../core/words';
import { partOf, type Rig } from '../../core/rig';
import { PartIcon } from './part-icon';

/** A rig drawn folded: its parts in the order in which the lead is followed, what branches off in brackets. */
function Folded({ rig }: { rig: Rig }) {
  return (
    <span className="text-soft mt-1 flex flex-wrap items-center gap-x-1 gap-y-0.5 text-sm">
      {ladder(rig).map(({ placed, depth }, index) => {
        const part = partOf(rig, placed);
        if (!part) return null;
        return (
          <span key={placed} className="inline-flex items-center gap-1">
            {index > 0 && (depth === 0 ? <ChevronRight size={14} aria-hidden /> : <span aria-hidden>+</span>)}
            <PartIcon family={part.family} size={16} />
            {nameOf(rig, placed)}
          </span>
        );
      })}
    </span>
  );
}

const wordsOf = (rig: Rig): string =>
  [rig.name, rig.note ?? '', ...rig.parts.map(({ id }) => nameOf(rig, id))].join(' ').toLowerCase();

const answers = (rig: Rig, query: string): boolean => {
  const words = wordsOf(rig);
  return query
    .toLowerCase()
    .split(/\s+/)
    .every((word) => words.includes(word));
};

/** The shelf of usual rigs, to take one from. They come when they are asked for. */
export function UsualShelf({ choose }: { choose: (rig: Rig) => void }) {
  const [rigs, setRigs] = useState<readonly Rig[]>();
  const [query, setQuery] = useState('');
  useEffect(() => {
    let current = true;
    void import('../../store/usual').then(({ usualRigs }) => current && setRigs(usualRigs()));
    return () => {
      current = false;
    };
  }, []);
  const found = (rigs ?? []).filter((rig) => answers(rig, query));
  return (
    <Command shouldFilter={false} label="Usual rigs" className="flex min-h-0 flex-1 flex-col">
      <Command.Input
        value={query}
        onValueChange={setQuery}
        placeholder="What you have, or where it goes: “pack tablet”"
        className="field w-full"
      />
      <Command.List className="mt-2 min-h-0 flex-1 overflow-y-auto">
        {rigs && found.length === 0 && <p className="text-soft p-3">No usual rig answers to that.</p>}
        {found.map((rig) => (
          <Command.Item
            key={rig.id}
            value={rig.id}
            onSelect={() => choose(rig)}
            className="option"
            data-usual={rig.id}
          >
            <span className="block">
              <span className="block font-semibold">{rig.name}</span>
              <span className="block text-[0.9375rem] leading-snug">{rig.note}</span>
              <Folded rig={rig} />
            </span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}
