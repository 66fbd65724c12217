import type { Part } from '../core/parts';
import { database } from './database';
import type { DrawerItem } from './records';

/** Keeps a part of the user's own; one of the same id is exchanged. Rigs that use it keep their own figures. */
export async function keepOwnPart(part: Part): Promise<void> {
  await database.ownParts.put(part);
}

/** A forgotten part with what the drawer held of it. */
export interface DroppedPart {
  readonly part: Part;
  readonly item?: DrawerItem;
}

/** Takes an own part out of the drawer; rigs that use it carry it with them and lose nothing. */
export async function dropOwnPart(id: string): Promise<DroppedPart | undefined> {
  return database.transaction('rw', database.ownParts, database.drawer, async () => {
    const [part, item] = await Promise.all([database.ownParts.get(id), database.drawer.get(id)]);
    await Promise.all([database.ownParts.delete(id), database.drawer.delete(id)]);
    return part && { part, ...(item && { item }) };
  });
}

/** Brings a forgotten part back as it was; one that was kept under its id meanwhile stays. */
export async function restoreOwnPart({ part, item }: DroppedPart): Promise<void> {
  await database.transaction('rw', database.ownParts, database.drawer, async () => {
    if (!(await database.ownParts.get(part.id))) await database.ownParts.add(part);
    if (item && !(await database.drawer.get(part.id))) await database.drawer.add(item);
  });
}
