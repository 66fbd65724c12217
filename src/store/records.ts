import type { PolicyNote, Rig } from '../core/rig';
import type { Condition } from './conditions';

/** A rig as stored. `cursor` counts the edits that are applied; those from `oldest` to `newest` can be walked. */
export interface RigRecord {
  readonly id: string;
  readonly doc: Rig;
  readonly updatedAt: number;
  readonly cursor: number;
  readonly oldest: number;
  readonly newest: number;
}

/** One step of a rig's history: what turns the state before edit `n` into the one after it, and back. */
export interface EditRecord {
  readonly rig: string;
  readonly n: number;
  readonly delta: unknown;
}

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
