import type { AppId } from '../parts';

export const RIG_FORMAT = 'symplex-rig';
export const RIG_VERSION = 1;

/** How loud the talker speaks; see flow/voice.ts for the sound pressures. */
export type VoiceEffort = 'normal' | 'raised' | 'loud' | 'shout';

/** The place of a switch, or the dB of a knob. */
export type SettingValue = string | number;

/** A part laid out in a rig. `part` is a catalogue id; `settings` hold only what was turned from its initial place. */
export interface PlacedPart {
  readonly id: string;
  readonly part: string;
  readonly label?: string;
  readonly settings?: Readonly<Record<string, SettingValue>>;
  /** Metres; leads only; the catalogue's length where absent. */
  readonly length?: number;
  /** The app that records on this host. */
  readonly app?: AppId;
}

export interface PortRef {
  readonly part: string;
  readonly port: string;
}

/** A plug pushed home in a jack. */
export interface Joint {
  readonly id: string;
  readonly plug: PortRef;
  readonly jack: PortRef;
}

/** The document. Unknown fields, at any depth, are kept as they came. */
export interface Rig {
  readonly format: typeof RIG_FORMAT;
  readonly version: typeof RIG_VERSION;
  readonly id: string;
  readonly name: string;
  readonly note?: string;
  readonly parts: readonly PlacedPart[];
  readonly joints: readonly Joint[];
  readonly surroundings: {
    readonly voice: VoiceEffort;
    /** Mouth to microphone, metres, by placed part. */
    readonly distances?: Readonly<Record<string, number>>;
  };
  /** What the user means to happen: these sources, recorded on these recorders. */
  readonly purpose: { readonly sources: readonly string[]; readonly recorders: readonly string[] };
}
