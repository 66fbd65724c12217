'use client';
import { Diamond } from 'lucide-react';
import { LENSES, type LensId } from './use-lens';

interface LensChoiceProps {
  readonly lens: LensId;
  readonly choose: (lens: LensId) => void;
  /** Lenses in which something is found. */
  readonly marked: readonly LensId[];
}

/** The segmented row under a rig's name. A lens with a finding bears its mark. */
export function LensChoice({ lens, choose, marked }: LensChoiceProps) {
  return (
    <div
      role="group"
      aria-label="Look at"
      className="border-line bg-card mt-3 inline-flex overflow-hidden rounded-lg border max-sm:flex"
    >
      {LENSES.map(({ id, name }) => (
        <button
          key={id}
          type="button"
          aria-pressed={lens === id}
          onClick={() => choose(id)}
          className="not-first:border-line hover:bg-panel aria-pressed:bg-sea aria-pressed:text-on-sea inline-flex min-h-11 flex-1 items-center justify-center gap-1.5 px-4 not-first:border-l aria-pressed:font-semibold lg:min-h-10"
        >
          {name}
          {marked.includes(id) && (
            <>
              <Diamond
                size={12}
                aria-hidden
                className={lens === id ? 'fill-current' : 'text-vermilion fill-current'}
              />
              <span className="sr-only">, something is found here</span>
            </>
          )}
        </button>
      ))}
    </div>
  );
}
