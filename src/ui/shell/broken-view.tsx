'use client';
import Link from 'next/link';
import type { FallbackProps } from 'react-error-boundary';
import { database } from '../../store/database';
import { keeping } from '../shared/report-trouble';
import { saveFile } from '../shared/save-file';

/** Everything that is stored, as one file. */
async function exportAll(): Promise<void> {
  const tables = await Promise.all(
    database.tables.map(async (table) => [table.name, (await table.toArray()) as unknown] as const),
  );
  saveFile('symplex-store.json', `${JSON.stringify(Object.fromEntries(tables), null, 2)}\n`);
}

/** What stands in place of a view that broke: nothing stored is touched, and all of it can be saved. */
export function BrokenView({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <div className="mx-auto max-w-xl p-6 pt-16" role="alert">
      <h1 className="text-3xl font-bold">This view broke</h1>
      <p className="mt-3">
        It is our fault, and nothing that you have stored was changed. What went wrong:{' '}
        <span className="figure">{error instanceof Error ? error.message : String(error)}</span>
      </p>
      <div className="mt-6 flex flex-wrap gap-3">
        <button type="button" className="button button-main" onClick={resetErrorBoundary}>
          Try again
        </button>
        <Link className="button" href="/">
          To the Bench
        </Link>
        <button type="button" className="button" onClick={() => void keeping(exportAll())}>
          Save everything stored as a file
        </button>
      </div>
    </div>
  );
}
