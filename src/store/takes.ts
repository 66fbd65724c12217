import { database } from './database';
import type { TakeRecord } from './records';

/** Begins a take: what is recorded from here on survives the tab. */
export async function beginTake(take: Omit<TakeRecord, 'bytes' | 'measures'>): Promise<void> {
  await database.takes.put({ ...take, bytes: 0 });
}

/**
 * Keeps a further part of its sound. Rejects where there is no room: what came before stays. The take itself is written with the first part
 * alone: whoever watches all takes would read them all anew every half second. What it came to is written when it is read.
 */
export async function keepPart(take: string, n: number, samples: ArrayBuffer): Promise<void> {
  await database.transaction('rw', database.takes, database.takeParts, async () => {
    const known = await database.takes.get(take);
    if (!known) return;
    await database.takeParts.put({ take, n, samples });
    if (n === 0) await database.takes.update(take, { bytes: samples.byteLength });
  });
}

/** Keeps a part of a take that is put only when it has been read to its end; see `sweepParts`. */
export async function keepLoosePart(take: string, n: number, samples: ArrayBuffer): Promise<void> {
  await database.takeParts.put({ take, n, samples });
}

/** Takes a file’s take in, with all that was measured. */
export async function putTake(take: TakeRecord): Promise<void> {
  await database.takes.put(take);
}

/** Forgets parts whose take never came: the tab that read them was closed. To be called while nobody reads. */
export async function sweepParts(): Promise<void> {
  await database.transaction('rw', database.takes, database.takeParts, async () => {
    const have = new Set(await database.takes.toCollection().primaryKeys());
    const owners = (await database.takeParts.orderBy('take').uniqueKeys()) as string[];
    for (const take of owners)
      if (!have.has(take)) await database.takeParts.where('take').equals(take).delete();
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
