'use client';
import { drawerCsv, readDrawerCsv } from '../../core/files/drawer-csv';
import { putItems } from '../../store/drawer';
import { keeping } from '../shared/report-trouble';
import { saveFile } from '../shared/save-file';
import { toast } from '../shared/toast';
import type { DrawerEntry } from './drawer-row';

/** More than this is no drawer. */
const LARGEST_BYTES = 2_000_000;

/** Hands the drawer to the user as CSV. */
export function exportDrawer(entries: readonly DrawerEntry[]): void {
  const names = new Map(entries.map(({ part }) => [part.id, part.name]));
  saveFile(
    'drawer.csv',
    drawerCsv(
      entries.map(({ item }) => item),
      (id) => names.get(id) ?? id,
    ),
    'text/csv',
  );
}

/** Reads a chosen file into the drawer; a bad one changes nothing and gets one message. */
export async function importDrawer(file: File, known: (part: string) => boolean): Promise<void> {
  const result =
    file.size > LARGEST_BYTES
      ? ({
          ok: false,
          says: `The file has ${(file.size / 1e6).toFixed(1)} MB; a drawer has at most 2 MB.`,
        } as const)
      : readDrawerCsv(await file.text(), known);
  if (!result.ok) {
    toast.error(`${file.name}: ${result.says} Nothing was changed.`, { duration: 15_000 });
    return;
  }
  const items = result.rows.filter((row) => row.count > 0);
  await keeping(
    putItems(items).then(() => toast.success(`${items.length} kinds of thing are in the drawer.`)),
  );
}
