'use client';
import { useState } from 'react';
import { oneLine } from '../../core/schema';
import type { NoStorage } from '../../store/open';

const WHY: Record<NoStorage, string> = {
  absent: 'This browser has no storage for pages (IndexedDB).',
  refused: 'The browser does not let Symplex store anything here, perhaps in a private window.',
  silent: 'The browser’s storage does not answer.',
  newer:
    'A newer Symplex has stored things here; this one leaves them alone. Reload the page to get the newer one.',
  broken: 'What is stored here cannot be opened.',
};

/** Says that nothing is kept, why, and what to do about it. */
export function NoStorageNotice({ why, detail }: { why: NoStorage; detail: string | undefined }) {
  const [read, setRead] = useState(false);
  if (read) return null;
  return (
    <div role="alert" className="bg-card border-line flex flex-wrap items-center gap-3 border-b-2 px-4 py-3">
      <p className="mr-auto">
        <strong>Nothing is kept.</strong> {WHY[why]}
        {detail ? ` (${oneLine(detail).slice(0, 120)})` : ''} You can work all the same; it lasts until this
        page is closed. Export what you want to keep: <em>More, Export as a file</em>.
      </p>
      <button type="button" className="button" onClick={() => setRead(true)}>
        Understood
      </button>
    </div>
  );
}
