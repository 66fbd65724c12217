// Made by scripts/generate.mjs from the schema symplex-rig-1; not for editing.
import type { AppId, Evidence, Way } from '../apps';
import type { Part } from '../parts';

/** What the user knows of an app: whether it takes what comes one way, on one kind of host (a catalogue id) or, without `host`, on any. It stands before the shipped policy; of several the latest counts, one for this host before others. */
export interface PolicyNote {
  readonly app: AppId;
  /** Catalogue id; absent: on any host. */
  readonly host?: string;
  readonly way: Way;
  readonly takes: boolean;
  readonly kind: Evidence['kind'];
  /** YYYY-MM-DD. */
  readonly date: string;
  readonly note?: string;
}

/** A part laid out in a rig. `part` is the id of a catalogue part or of one of the rig's own; `settings` hold only what was turned from its initial place. */
export interface PlacedPart {
  readonly id: string;
  /** Catalogue id. */
  readonly part: string;
  readonly label?: string;
  /** The place of a switch, or the dB of a knob. */
  readonly settings?: Readonly<Record<string, SettingValue>>;
  /** Metres; leads only; the catalogue's length where absent. */
  readonly length?: number;
  /** The app that records on this host, and what was chosen in it where that is not its usual. */
  readonly app?: AppId;
  /** What was chosen in the app. */
  readonly choices?: Readonly<Record<string, SettingValue>>;
  readonly note?: string;
  /** The strip or outlet that it is plugged into; somewhere where absent. */
  readonly mains?: string;
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

/** Somebody in the room: what they speak into, what they wear to listen, and where they are to microphones of others and to loudspeakers. */
export interface Person {
  readonly id: string;
  readonly name: string;
  /** Their own; how far it is from their mouth stands in `distances`. */
  readonly microphone?: string;
  /** What they listen with; loudspeakers of the room where absent. */
  readonly wears?: string;
  /** How far from a microphone of somebody else or from a loudspeaker; 1.5 m and at its side where nothing is said. */
  readonly places?: readonly Stand[];
}

/** Where a person is to a microphone or loudspeaker. */
export interface Stand {
  readonly part: string;
  readonly metres?: number;
  /** Off the axis of the microphone. */
  readonly degrees?: number;
}

/** Where a loudspeaker stands to a microphone: how far, and how far off the microphone’s axis. */
export interface Placing {
  readonly speaker: string;
  readonly microphone: string;
  readonly metres?: number;
  /** Off the axis of the microphone. */
  readonly degrees?: number;
}

/** A room: its volume, m³, and reverberation time, s. A furnished one of 60 m³ where absent. */
export interface Room {
  readonly cubicMetres?: number;
  readonly seconds?: number;
}

/** A planned session. `charge`: how full each battery is at the start, 0 to 1, by placed part; full where absent. */
export interface Session {
  readonly minutes: number;
  readonly load?: SessionLoad;
  /** How full each battery is at the start, 0 to 1, by placed part; full where absent. */
  readonly charge?: Readonly<Record<string, number>>;
}

/** How loud the talker speaks: vocal effort of ANSI S3.5-1997. */
export type VoiceEffort = 'normal' | 'raised' | 'loud' | 'shout';

/** What a host does for the whole of a session. */
export type SessionLoad = 'sound' | 'film' | 'stream';

/** The place of a switch, or the dB of a knob. */
export type SettingValue = string | number;

/** Parts, the joints between their ports, settings and surroundings. Unknown fields are kept. */
export interface Rig {
  readonly format: 'symplex-rig';
  readonly version: 1;
  readonly id: string;
  readonly name: string;
  readonly note?: string;
  readonly parts: readonly PlacedPart[];
  readonly joints: readonly Joint[];
  readonly surroundings: {
    readonly voice: VoiceEffort;
    /** Mouth to microphone, metres, by placed part. */
    readonly distances?: Readonly<Record<string, number>>;
    /** The supply of the place: 50 Hz and indoors where absent. */
    readonly mains?: {
      readonly hertz?: 50 | 60;
      /** Outdoors or in the wet. */
      readonly wet?: boolean;
    };
    readonly session?: Session;
    /** Who is in the room. Absent: a talker at every microphone, and somebody in every pair of headphones. */
    readonly people?: readonly Person[];
    /** Where loudspeakers stand to microphones; 2 m away and at the side where nothing is said. */
    readonly air?: readonly Placing[];
    readonly room?: Room;
  };
  /** What the user means to happen: these sources, recorded on these recorders. */
  readonly purpose: {
    readonly sources: readonly string[];
    readonly recorders: readonly string[];
    /** `apart`: each source on a side or track of its own. `side`: one side of two is enough. Absent: every source on every side. */
    readonly tracks?: 'apart' | 'side';
  };
  readonly policies?: readonly PolicyNote[];
  /** Parts of the user's own that are laid out here; their ids begin with "own-". */
  readonly ownParts?: readonly Part[];
}
