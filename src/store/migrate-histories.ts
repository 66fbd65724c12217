import Dexie, { type Transaction } from 'dexie';
import type { Rig } from '../core/rig';
import type { EditRecord } from './records';
import { loadWalker } from './history';

/** A rig with its history as versions 1 to 3 stored them: whole documents, oldest first; of what was undone the next first. */
interface OldRecord {
  readonly id: string;
  readonly doc: Rig;
  readonly past: readonly Rig[];
  readonly future: readonly Rig[];
  readonly updatedAt: number;
}

const isOld = (record: unknown): record is OldRecord => {
  const { id, doc, past, future } = (record ?? {}) as Partial<Record<keyof OldRecord, unknown>>;
  return typeof id === 'string' && typeof doc === 'object' && Array.isArray(past) && Array.isArray(future);
};

/** Version 4: histories become steps in a table of their own. A record that is no such thing stays as it is. */
export async function migrateHistories(transaction: Transaction): Promise<void> {
  const walker = await Dexie.waitFor(loadWalker());
  const records: unknown[] = await transaction.table('rigs').toArray();
  for (const record of records) {
    if (!isOld(record)) continue;
    const { past, future, doc, ...rest } = record;
    const states = [...past, doc, ...future];
    const steps = states.slice(1).map((after, index): EditRecord => {
      const delta = walker.between(states[index] ?? after, after);
      return { rig: record.id, n: index + 1, delta };
    });
    await transaction.table('edits').bulkPut(steps);
    await transaction
      .table('rigs')
      .put({ ...rest, doc, cursor: past.length, oldest: 0, newest: states.length - 1 });
  }
}
