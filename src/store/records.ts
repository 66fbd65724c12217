import type { PolicyNote, Rig } from '../core/rig';
import type { Measures, StretchKind } from '../core/signal/measure';
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
  /** Metres of each lead whose length is known; the others are as long as their kind is by itself. */
  readonly lengths?: readonly number[];
}

/** What the user knows of an app, for all rigs. */
export interface StoredPolicy extends PolicyNote {
  readonly id: number;
}

export interface MetaRecord {
  readonly key: string;
  readonly value: string;
}

/** How a take came: recorded here, from a file, made from a rig’s figures by the stand-in, or as an example of a fault, of no rig. */
export type TakeOrigin = 'recorded' | 'file' | 'stand-in' | 'example';

/** A stretch of a guided take: what was asked for in it. */
export interface Stretch {
  readonly asked: string;
  /** Absent in takes of before it was kept. */
  readonly is?: StretchKind;
  /** Placed part that it is about. */
  readonly part?: string;
  /** Seconds. */
  readonly from: number;
  readonly to: number;
}

/** What a take is about: the rig that it tests, and the recorder there. */
export interface TakeAbout {
  readonly rig?: string;
  readonly recorder?: string;
}

/** A test take as kept. Its sound, where it is kept, lies in parts: 16 bits, channels woven. */
export interface TakeRecord extends TakeAbout {
  readonly id: string;
  readonly name: string;
  readonly at: number;
  readonly origin: TakeOrigin;
  readonly sampleRate: number;
  readonly channels: number;
  /** Absent while it is being recorded, and of one that was broken off until it is read again. */
  readonly measures?: Measures;
  /** Bytes of sound that are kept. */
  readonly bytes: number;
  readonly stretches?: readonly Stretch[];
  /** Seconds that went by while it was recorded and brought no sound; absent where there were none. */
  readonly lostSeconds?: number;
}

export interface TakePart {
  readonly take: string;
  readonly n: number;
  readonly samples: ArrayBuffer;
}
