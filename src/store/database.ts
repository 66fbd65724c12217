import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Part } from '../core/parts';
import { migrateHistories } from './migrate-histories';
import type {
  DrawerItem,
  EditRecord,
  MetaRecord,
  RigRecord,
  StoredPolicy,
  TakePart,
  TakeRecord,
} from './records';

/** The version that this Symplex writes. What a newer one has stored is left alone. */
export const STORE_VERSION = 5;
export const STORE_NAME = 'symplex';

export class SymplexDatabase extends Dexie {
  readonly rigs!: EntityTable<RigRecord, 'id'>;
  readonly edits!: Table<EditRecord, [rig: string, n: number]>;
  readonly drawer!: EntityTable<DrawerItem, 'part'>;
  readonly takes!: EntityTable<TakeRecord, 'id'>;
  /** The sound of takes, a second or so to a record: what a killed tab had recorded is kept. */
  readonly takeParts!: Table<TakePart, [take: string, n: number]>;
  readonly meta!: EntityTable<MetaRecord, 'key'>;
  readonly policies!: EntityTable<StoredPolicy, 'id'>;
  /** Parts of the user's own, for every rig. */
  readonly ownParts!: EntityTable<Part, 'id'>;

  constructor(options: ConstructorParameters<typeof Dexie>[1] = {}) {
    super(STORE_NAME, options);
    this.version(1).stores({ rigs: '&id, updatedAt', drawer: '&part', meta: '&key' });
    this.version(2).stores({ policies: '++id, app' });
    this.version(3).stores({ ownParts: '&id' });
    this.version(4)
      .stores({ rigs: '&id, updatedAt, [doc.name+id]', edits: '&[rig+n]' })
      .upgrade(migrateHistories);
    this.version(STORE_VERSION).stores({ takes: '&id, rig, at', takeParts: '&[take+n], take' });
  }
}

/** The store that is in use: the browser's, or one in memory where the browser gives none (`openStore`). */
export let database = new SymplexDatabase();

/** Goes on with another store. */
export const switchDatabase = (next: SymplexDatabase): void => {
  database = next;
};
