import { database, type DrawerItem } from './database';

/** How many of a part are owned; none takes it out of the drawer, with what was written of it. */
export async function setCount(part: string, count: number): Promise<void> {
  await database.transaction('rw', database.drawer, async () => {
    const current = await database.drawer.get(part);
    if (count > 0) await database.drawer.put({ ...current, part, count });
    else await database.drawer.delete(part);
  });
}

/** One more of a part. */
export async function addOne(part: string): Promise<void> {
  await database.transaction('rw', database.drawer, async () => {
    const current = await database.drawer.get(part);
    await database.drawer.put({ ...current, part, count: (current?.count ?? 0) + 1 });
  });
}

/** Writes what is known of an item; one that has been taken out meanwhile comes back. */
export async function putItem(item: DrawerItem): Promise<void> {
  await database.drawer.put(item);
}

/** Puts a whole list into the drawer in one go: items of the same part are exchanged, others stay. */
export async function putItems(items: readonly DrawerItem[]): Promise<void> {
  await database.drawer.bulkPut([...items]);
}
