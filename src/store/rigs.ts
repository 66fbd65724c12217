import { applyEdit, freshId, withOwnParts, withUsedParts, type Rig, type RigEdit } from '../core/rig';
import type { Part } from '../core/parts';
import { database, type RigRecord } from './database';

/** How many states can be undone. */
const DEEPEST_HISTORY = 200;

const record = (doc: Rig): RigRecord => ({ id: doc.id, doc, past: [], future: [], updatedAt: Date.now() });

/** Changes a stored rig in one transaction, so that two tabs never overwrite one another's edit. */
async function change(
  id: string,
  next: (current: RigRecord, own: readonly Part[]) => RigRecord | undefined,
): Promise<void> {
  await database.transaction('rw', database.rigs, database.ownParts, async () => {
    const current = await database.rigs.get(id);
    const changed = current && next(current, await database.ownParts.toArray());
    if (changed) await database.rigs.put({ ...changed, updatedAt: Date.now() });
  });
}

/** Applies an edit to the rig as it now stands; an edit that changes nothing leaves no trace in the history. */
export const editRig = (id: string, edit: RigEdit): Promise<void> =>
  change(id, (current, own) => {
    const before = withOwnParts(current.doc, own);
    const edited = applyEdit(before, edit);
    if (edited === before) return undefined;
    const doc = withUsedParts(edited);
    return { ...current, doc, past: [...current.past, current.doc].slice(-DEEPEST_HISTORY), future: [] };
  });

export const undoRig = (id: string): Promise<void> =>
  change(id, (current) => {
    const doc = current.past.at(-1);
    return (
      doc && { ...current, doc, past: current.past.slice(0, -1), future: [current.doc, ...current.future] }
    );
  });

export const redoRig = (id: string): Promise<void> =>
  change(id, (current) => {
    const [doc, ...future] = current.future;
    return doc && { ...current, doc, past: [...current.past, current.doc], future };
  });

/** Stores a rig under its own id, or under a fresh one if that is taken; gives back the id. */
export async function addRig(doc: Rig): Promise<string> {
  return database.transaction('rw', database.rigs, async () => {
    const taken = new Set(await database.rigs.toCollection().primaryKeys());
    const id = freshId(doc.id, taken);
    await database.rigs.add(record(id === doc.id ? doc : { ...doc, id }));
    return id;
  });
}

/** A copy beside the original; gives back its id. */
export async function duplicateRig(doc: Rig): Promise<string> {
  return addRig({ ...doc, name: `${doc.name}, copy` });
}

/** Removes a rig and gives back what `restoreRig` needs to bring it back, history and all. */
export async function deleteRig(id: string): Promise<RigRecord | undefined> {
  return database.transaction('rw', database.rigs, async () => {
    const gone = await database.rigs.get(id);
    await database.rigs.delete(id);
    return gone;
  });
}

export const restoreRig = async (gone: RigRecord): Promise<void> => {
  await database.rigs.put(gone);
};
