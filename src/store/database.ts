import Dexie, { type EntityTable } from 'dexie';
import type { Part } from '../core/parts';
import type { PolicyNote, Rig } from '../core/rig';

/** A rig as stored, with its history; undo and redo outlive the page. */
export interface RigRecord {
  readonly id: string;
  readonly doc: Rig;
  readonly past: readonly Rig[];
  readonly future: readonly Rig[];
  readonly updatedAt: number;
}

/** How a thing is; what is broken is not counted on. */
export const CONDITIONS = ['good', 'worn', 'broken'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** What the user owns of a catalogue or own part. */
export interface DrawerItem {
  readonly part: string;
  readonly count: number;
  readonly condition?: Condition;
  /** What is written on it, or its colour. */
  readonly label?: string;
  readonly note?: string;
  /** What was paid for one. */
  readonly paid?: number;
}

/** What the user knows of an app, for all rigs. */
export interface StoredPolicy extends PolicyNote {
  readonly id: number;
}

export interface MetaRecord {
  readonly key: string;
  readonly value: string;
}

class SymplexDatabase extends Dexie {
  readonly rigs!: EntityTable<RigRecord, 'id'>;
  readonly drawer!: EntityTable<DrawerItem, 'part'>;
  readonly meta!: EntityTable<MetaRecord, 'key'>;
  readonly policies!: EntityTable<StoredPolicy, 'id'>;
  /** Parts of the user's own, for every rig. */
  readonly ownParts!: EntityTable<Part, 'id'>;

  constructor() {
    super('symplex');
    this.version(1).stores({ rigs: '&id, updatedAt', drawer: '&part', meta: '&key' });
    this.version(2).stores({ policies: '++id, app' });
    this.version(3).stores({ ownParts: '&id' });
  }
}

export const database = new SymplexDatabase();
