import type { Part } from '../core/parts';
import { database } from './database';

/** Keeps a part of the user's own; one of the same id is exchanged. Rigs that use it keep their own figures. */
export async function keepOwnPart(part: Part): Promise<void> {
  await database.ownParts.put(part);
}

/** Takes an own part out of the drawer; rigs that use it carry it with them and lose nothing. */
export async function dropOwnPart(id: string): Promise<Part | undefined> {
  return database.transaction('rw', database.ownParts, database.drawer, async () => {
    const gone = await database.ownParts.get(id);
    await Promise.all([database.ownParts.delete(id), database.drawer.delete(id)]);
    return gone;
  });
}
