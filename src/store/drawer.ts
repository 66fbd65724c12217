import { database } from './database';
import type { DrawerItem } from './records';
import { MOST_OF_A_PART } from './stored';

/**
 * So many more of a part, or fewer where negative; none left takes it out of the drawer, with what was written of it. Relative,
 * within the transaction: clicks that come faster than the page redraws, and other tabs, all count.
 */
export async function changeCount(part: string, by: number): Promise<void> {
  await database.transaction('rw', database.drawer, async () => {
    const current = await database.drawer.get(part);
    const count = Math.min(MOST_OF_A_PART, (current?.count ?? 0) + by);
    // The lengths of leads that are gone go with them.
    const lengths = current?.lengths?.slice(0, count);
    if (count > 0) await database.drawer.put({ ...current, part, count, ...(lengths && { lengths }) });
    else await database.drawer.delete(part);
  });
}

/** One more of a part. */
export const addOne = (part: string): Promise<void> => changeCount(part, 1);

/** What may be written of an item; undefined takes it away. */
export type ItemDetails = Partial<{
  [K in 'condition' | 'label' | 'note' | 'paid' | 'lengths']: DrawerItem[K] | undefined;
}>;

/** Writes what is known of an item and leaves its count and all else as it stands; one that is gone is not brought back. */
export async function describeItem(part: string, details: ItemDetails): Promise<void> {
  await database.drawer.update(part, details as Partial<DrawerItem>);
}

/** Puts a whole list into the drawer in one go: items of the same part are exchanged, others stay. */
export async function putItems(items: readonly DrawerItem[]): Promise<void> {
  await database.drawer.bulkPut([...items]);
}
