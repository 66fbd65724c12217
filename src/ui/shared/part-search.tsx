'use client';
import { Command } from 'cmdk';
import { useState, type ReactNode } from 'react';
import { answersTo, searchRank, type Part } from '../../core/parts';
import { FAMILY_HEADING } from '../../core/words';
import { PartIcon } from '../bench/part-icon';
import { PortGlyphs } from './port-glyphs';

interface PartSearchProps {
  readonly label: string;
  readonly parts: readonly Part[];
  readonly choose: (part: Part) => void;
  /** The likelier a part is meant, the less; the groups stand in the order of their likeliest. */
  readonly rank?: (part: Part) => number;
  /** What stands under a part's name. */
  readonly about?: (part: Part) => ReactNode;
  /** Above the parts: other things that can be chosen here. */
  readonly children?: ReactNode;
  /** The same, where what was typed decides. */
  readonly above?: (query: string) => ReactNode;
}

interface Group {
  readonly heading: string;
  readonly parts: readonly Part[];
}

/** Parts by what they are, the likeliest group first, each in the order of the catalogue. */
function grouped(parts: readonly Part[], rank: (part: Part) => number): Group[] {
  const groups = new Map<string, Part[]>();
  for (const part of parts) {
    const heading = FAMILY_HEADING[part.family];
    groups.set(heading, [...(groups.get(heading) ?? []), part]);
  }
  const likeliest = (group: Group) => Math.min(...group.parts.map(rank));
  return [...groups]
    .map(([heading, members]) => ({ heading, parts: [...members].sort((a, b) => rank(a) - rank(b)) }))
    .sort((a, b) => likeliest(a) - likeliest(b));
}

const alike = () => 0;

/** A list of parts to look through by name, socket or counted bands; arrows and Enter, or a thumb. */
export function PartSearch({ label, parts, choose, rank = alike, about, children, above }: PartSearchProps) {
  const [query, setQuery] = useState('');
  const found = parts
    .filter((part) => answersTo(part, query))
    .sort((a, b) => searchRank(a, query) - searchRank(b, query));
  const item = (part: Part) => (
    <Command.Item
      key={part.id}
      value={part.id}
      onSelect={() => choose(part)}
      className="option"
      data-part={part.id}
    >
      <span className="flex items-start gap-3">
        <PartIcon family={part.family} size={24} />
        <span className="min-w-0 flex-1">
          <span className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1">
            <span className="font-semibold">{part.name}</span>
            <PortGlyphs part={part} />
          </span>
          <span className="text-soft block text-[0.9375rem] leading-snug">
            {about?.(part) ?? part.summary}
          </span>
        </span>
      </span>
    </Command.Item>
  );
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
        {query.trim() === ''
          ? grouped(found, rank).map((group) => (
              <Command.Group key={group.heading} heading={group.heading} className="picker-group">
                {group.parts.map(item)}
              </Command.Group>
            ))
          : found.map(item)}
      </Command.List>
    </Command>
  );
}
