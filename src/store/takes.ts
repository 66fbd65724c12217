import { database } from './database';
import type { TakeRecord } from './records';

/** Begins a take: what is recorded from here on survives the tab. */
export async function beginTake(take: Omit<TakeRecord, 'bytes' | 'measures'>): Promise<void> {
  await database.takes.put({ ...take, bytes: 0 });
}

/** Keeps a further part of its sound. Rejects where there is no room: what came before stays. */
export async function keepPart(take: string, n: number, samples: ArrayBuffer): Promise<void> {
  await database.transaction('rw', database.takes, database.takeParts, async () => {
    const known = await database.takes.get(take);
    if (!known) return;
    await database.takeParts.put({ take, n, samples });
    await database.takes.update(take, { bytes: known.bytes + samples.byteLength });
  });
}

/** Changes what is known of a take; nothing where it was deleted meanwhile. */
export async function changeTake(id: string, change: Partial<Omit<TakeRecord, 'id'>>): Promise<void> {
  await database.takes.update(id, change);
}

/** The sound of a take, in the order in which it came. */
export const partsOf = (take: string): Promise<ArrayBuffer[]> =>
  database.takeParts
    .where('[take+n]')
    .between([take, 0], [take, Infinity])
    .toArray()
    .then((parts) => parts.map(({ samples }) => samples));

export async function deleteTake(id: string): Promise<void> {
  await database.transaction('rw', database.takes, database.takeParts, async () => {
    await database.takes.delete(id);
    await database.takeParts.where('take').equals(id).delete();
  });
}

/** Forgets the sound of a take and keeps what was measured. */
export async function dropSound(id: string): Promise<void> {
  await database.transaction('rw', database.takes, database.takeParts, async () => {
    await database.takeParts.where('take').equals(id).delete();
    await database.takes.update(id, { bytes: 0 });
  });
}
