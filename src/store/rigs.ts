import {
  applyEdit,
  copyName,
  freshId,
  withOwnParts,
  withUsedParts,
  type Rig,
  type RigEdit,
} from '../core/rig';
import type { Part } from '../core/parts';
import { database } from './database';
import type { EditRecord, RigRecord } from './records';
import { loadWalker, type Walker } from './history';
import { isPart } from './stored';

/** How many states can be undone. */
const DEEPEST_HISTORY = 200;

/** The rig that was to be changed is not there any more: another tab has deleted it. */
export class RigGone extends Error {
  override readonly name = 'RigGone';
  constructor(readonly rig: string) {
    super(`rig "${rig}" is deleted`);
  }
}

/** A step of a rig's history is damaged: it cannot be walked, and nothing was changed. */
export class StepDamaged extends Error {
  override readonly name = 'StepDamaged';
  constructor(
    readonly rig: string,
    readonly n: number,
  ) {
    super(`step ${n} of the history of rig "${rig}" is damaged`);
  }
}

/**
 * When a rig was changed: after every other one's time, so that the last one changed is always known, though two fall
 * within a millisecond or the clock was set back. In a transaction over the rigs.
 */
async function stamp(): Promise<number> {
  const [last] = await database.rigs.orderBy('updatedAt').reverse().limit(1).keys();
  return typeof last === 'number' ? Math.max(Date.now(), last + 1) : Date.now();
}

const record = (doc: Rig, updatedAt: number): RigRecord => ({
  id: doc.id,
  doc,
  updatedAt,
  cursor: 0,
  oldest: 0,
  newest: 0,
});

type Stored = Omit<RigRecord, 'updatedAt'>;

/** Changes a stored rig in one transaction, so that two tabs never overwrite one another's edit. Rejects with `RigGone`. */
async function change(
  id: string,
  next: (current: RigRecord, walker: Walker) => Promise<Stored | undefined> | Stored | undefined,
): Promise<void> {
  const walker = await loadWalker();
  await database.transaction('rw', database.rigs, database.edits, database.ownParts, async () => {
    const current = await database.rigs.get(id);
    if (!current) throw new RigGone(id);
    const changed = await next(current, walker);
    if (changed) await database.rigs.put({ ...changed, updatedAt: await stamp() });
  });
}

const allEdits = (rig: string) => database.edits.where('[rig+n]').between([rig, -Infinity], [rig, Infinity]);

/** One edit, or several that are one step in the history. */
export type Edits = RigEdit | readonly RigEdit[];

const isOne = (edits: Edits): edits is RigEdit => 'kind' in edits;

/** All of some edits, or none where one of them no longer suits the rig. */
function applyAll(rig: Rig, edits: readonly RigEdit[]): Rig {
  let after = rig;
  for (const edit of edits) {
    const next = applyEdit(after, edit);
    if (next === after) return rig;
    after = next;
  }
  return after;
}

/** The rig as it would be after an edit, with those of the user's own parts that it then uses. */
export const edited = (rig: Rig, edits: Edits, own: readonly Part[]): Rig => {
  const before = withOwnParts(rig, own);
  const after = applyAll(before, isOne(edits) ? [edits] : edits);
  return after === before ? rig : withUsedParts(after);
};

/** Applies edits to the rig as it now stands; what changes nothing leaves no trace in the history. */
export const editRig = (id: string, edits: Edits): Promise<void> =>
  change(id, async (current, walker) => {
    const doc = edited(current.doc, edits, (await database.ownParts.toArray()).filter(isPart));
    const delta = doc === current.doc ? undefined : walker.between(current.doc, doc);
    if (delta === undefined) return undefined;
    const n = current.cursor + 1;
    const oldest = Math.max(current.oldest, n - DEEPEST_HISTORY);
    const { edits: history } = database;
    await history.where('[rig+n]').between([id, n], [id, Infinity]).delete();
    await history.where('[rig+n]').between([id, -Infinity], [id, oldest], true, true).delete();
    await history.put({ rig: id, n, delta });
    return { ...current, doc, cursor: n, oldest, newest: n };
  });

/** Walks to the next step that is kept, one that was left out is passed by. Rejects with `StepDamaged`. */
async function walked(
  current: RigRecord,
  walker: Walker,
  way: 'back' | 'forward',
): Promise<Stored | undefined> {
  const [from, to] =
    way === 'back' ? [current.oldest + 1, current.cursor] : [current.cursor + 1, current.newest];
  if (from > to) return undefined;
  const kept = database.edits.where('[rig+n]').between([current.id, from], [current.id, to], true, true);
  const step = await (way === 'back' ? kept.last() : kept.first());
  if (!step) return { ...current, cursor: way === 'back' ? current.oldest : current.newest };
  const doc = walker.walk(current.doc, step.delta, way);
  if (!doc) throw new StepDamaged(current.id, step.n);
  return { ...current, doc, cursor: way === 'back' ? step.n - 1 : step.n };
}

/** Takes the last edit back. Rejects with `StepDamaged` where its step cannot be walked. */
export const undoRig = (id: string): Promise<void> =>
  change(id, (current, walker) => walked(current, walker, 'back'));

/** Does again what was taken back. Rejects with `StepDamaged`. */
export const redoRig = (id: string): Promise<void> =>
  change(id, (current, walker) => walked(current, walker, 'forward'));

/** Leaves a step out of a history: what it did stays as it is, and those before and behind it can be walked. */
export async function leaveStepOut(id: string, n: number): Promise<void> {
  await database.edits.delete([id, n]);
}

export const canUndo = ({ cursor, oldest }: RigRecord): boolean => cursor > oldest;
export const canRedo = ({ cursor, newest }: RigRecord): boolean => cursor < newest;

/** Its own id, or one like it where that is taken. */
async function freeId(id: string): Promise<string> {
  const taken = new Set(await database.rigs.toCollection().primaryKeys());
  return freshId(id, taken);
}

const underId = (doc: Rig, id: string): Rig => (id === doc.id ? doc : { ...doc, id });

/** Stores a rig under its own id, or under a fresh one if that is taken; gives back the id. */
export async function addRig(doc: Rig): Promise<string> {
  return database.transaction('rw', database.rigs, async () => {
    const id = await freeId(doc.id);
    await database.rigs.add(record(underId(doc, id), await stamp()));
    deletedHere.delete(id);
    return id;
  });
}

/** A copy beside the original; gives back its id. */
export async function duplicateRig(doc: Rig): Promise<string> {
  return addRig({ ...doc, name: copyName(doc.name) });
}

/** A deleted rig with its history: what `restoreRig` needs to bring it back whole. */
export interface DeletedRig {
  readonly record: RigRecord;
  readonly edits: readonly EditRecord[];
}

const deletedHere = new Set<string>();

/** Whether it was this page that deleted a rig, and not another one. */
export const wasDeletedHere = (id: string): boolean => deletedHere.has(id);

/** Removes a rig with its history and gives back what brings it back. */
export async function deleteRig(id: string): Promise<DeletedRig | undefined> {
  return database.transaction('rw', database.rigs, database.edits, async () => {
    const found = await database.rigs.get(id);
    const edits = await allEdits(id).toArray();
    await Promise.all([database.rigs.delete(id), allEdits(id).delete()]);
    deletedHere.add(id);
    return found && { record: found, edits };
  });
}

/** Brings a deleted rig back, under a fresh id where its own has been taken meanwhile; gives back the id. */
export async function restoreRig({ record: gone, edits }: DeletedRig): Promise<string> {
  return database.transaction('rw', database.rigs, database.edits, async () => {
    const id = await freeId(gone.id);
    await database.rigs.add({ ...gone, id, doc: underId(gone.doc, id) });
    await database.edits.bulkPut(edits.map((edit) => ({ ...edit, rig: id })));
    deletedHere.delete(id);
    return id;
  });
}
