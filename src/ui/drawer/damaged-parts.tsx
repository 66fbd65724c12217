'use client';
import { dropOwnPart } from '../../store/own-parts';
import { keeping } from '../shared/report-trouble';
import { saveFile } from '../shared/save-file';

/** Own parts that cannot be worked with: named, kept, and offered as files. */
export function DamagedParts({ parts }: { parts: readonly unknown[] }) {
  return parts.map((part) => {
    const { id, name } = (part ?? {}) as { readonly id?: unknown; readonly name?: unknown };
    const called = typeof name === 'string' ? name : String(id);
    return (
      <div
        key={String(id)}
        role="alert"
        className="border-line bg-card mt-3 flex flex-wrap items-center gap-3 rounded-xl border p-3"
      >
        <p className="mr-auto">What is stored of your part “{called}” is damaged; it is left out.</p>
        <button
          type="button"
          className="button"
          onClick={() => saveFile(`${String(id)}.symplex-part.json`, `${JSON.stringify(part, null, 2)}\n`)}
        >
          Export it as it is
        </button>
        <button
          type="button"
          className="button text-vermilion"
          onClick={() => void keeping(dropOwnPart(String(id)))}
        >
          Forget it
        </button>
      </div>
    );
  });
}
