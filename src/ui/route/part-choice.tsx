'use client';
import { ChevronDown } from 'lucide-react';
import { useState } from 'react';
import type { Part } from '../../core/parts';
import { PartSearch } from '../shared/part-search';
import { Sheet } from '../shared/sheet';

interface PartChoiceProps {
  /** The question that the list answers. */
  readonly title: string;
  readonly parts: readonly Part[];
  readonly chosen: string | undefined;
  readonly choose: (part: string) => void;
  /** What stands on the button while nothing is chosen. */
  readonly empty: string;
}

/** A gap in the sentence: shows what was chosen, and opens the list. */
export function PartChoice({ title, parts, chosen, choose, empty }: PartChoiceProps) {
  const [open, setOpen] = useState(false);
  const part = parts.find((p) => p.id === chosen);
  return (
    <>
      <button
        type="button"
        className={`button max-w-full ${part ? 'border-[var(--sea)] font-semibold' : 'border-dashed'}`}
        aria-label={`${title} ${part?.name ?? empty}`}
        onClick={() => setOpen(true)}
      >
        <span className="truncate">{part?.name ?? empty}</span>
        <ChevronDown size={16} aria-hidden className="flex-none" />
      </button>
      {open && (
        <Sheet title={title} open onOpenChange={setOpen}>
          <PartSearch
            label={title}
            parts={parts}
            choose={(p) => {
              setOpen(false);
              choose(p.id);
            }}
          />
        </Sheet>
      )}
    </>
  );
}
