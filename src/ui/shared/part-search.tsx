'use client';
import { Command } from 'cmdk';
import { useState, type ReactNode } from 'react';
import { answersTo, searchRank, type Part } from '../../core/parts';

interface PartSearchProps {
  readonly label: string;
  readonly parts: readonly Part[];
  readonly choose: (part: Part) => void;
  /** What stands under a part's name. */
  readonly about?: (part: Part) => ReactNode;
  /** Above the parts: other things that can be chosen here. */
  readonly children?: ReactNode;
  /** The same, where what was typed decides. */
  readonly above?: (query: string) => ReactNode;
}

/** A list of parts to look through by name, socket or counted bands; arrows and Enter, or a thumb. */
export function PartSearch({ label, parts, choose, about, children, above }: PartSearchProps) {
  const [query, setQuery] = useState('');
  const found = parts
    .filter((part) => answersTo(part, query))
    .sort((a, b) => searchRank(a, query) - searchRank(b, query));
  return (
    <Command shouldFilter={false} label={label} className="flex min-h-0 flex-1 flex-col">
      <Command.Input
        autoFocus
        value={query}
        onValueChange={setQuery}
        placeholder="Name, socket, or bands: “two bands one end, three the other”"
        className="field w-full"
      />
      <Command.List className="mt-2 min-h-0 flex-1 overflow-y-auto">
        {children}
        {above?.(query)}
        {found.length === 0 && (
          <p className="text-soft p-3">Nothing in the catalogue answers to that here.</p>
        )}
        {found.map((part) => (
          <Command.Item
            key={part.id}
            value={part.id}
            onSelect={() => choose(part)}
            className="option"
            data-part={part.id}
          >
            <span className="block font-semibold">{part.name}</span>
            <span className="text-soft block text-[0.9375rem] leading-snug">
              {about?.(part) ?? part.summary}
            </span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}
