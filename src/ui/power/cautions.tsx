'use client';
import { TriangleAlert, X } from 'lucide-react';
import { useState } from 'react';

/** What can hurt, once; a reader who has it closes it. It stays on what is printed. */
export function Cautions({ says }: { says: readonly string[] }) {
  const [closed, setClosed] = useState(false);
  if (says.length === 0) return null;
  return (
    <section
      aria-label="With care"
      className={`border-brass mt-4 rounded-xl border p-3 ${closed ? 'hidden print:block' : ''}`}
    >
      <div className="flex items-start justify-between gap-2">
        <h3 className="inline-flex items-center gap-1.5 font-bold">
          <TriangleAlert size={17} aria-hidden className="text-brass" /> With care
        </h3>
        <button
          type="button"
          className="button button-quiet inline-flex min-h-11 min-w-11 items-center justify-center print:hidden lg:min-h-8 lg:min-w-8"
          aria-label="Close: with care"
          onClick={() => setClosed(true)}
        >
          <X size={17} aria-hidden />
        </button>
      </div>
      <ul className="mt-1 list-disc space-y-1 pl-5">
        {says.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}
