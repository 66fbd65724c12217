// Made by scripts/generate.mjs from the schema symplex-request-1; not for editing.
import type { AppId } from '../../apps';
import type { Part } from '../../parts';
import type { PolicyNote, SettingValue, VoiceEffort } from '../../rig';

/** What is to be recorded: a catalogue or own part, with what was set on it where that is not its usual. */
export interface RequestSource {
  readonly part: string;
  readonly label?: string;
  readonly settings?: Readonly<Record<string, SettingValue>>;
  /** Mouth to microphone, metres. */
  readonly distance?: number;
  /** Where it stands: a word that the distances name. */
  readonly place?: string;
  readonly unusable?: readonly string[];
}

/** What is to record it: a host and, where it runs apps, the app class. */
export interface RequestDestination {
  readonly part: string;
  readonly app?: AppId;
  readonly place?: string;
  readonly unusable?: readonly string[];
  /** Of a further destination: it is wanted only where it costs no more than so much more. */
  readonly under?: number;
}

/** Metres between two places. */
export interface Distance {
  readonly from: string;
  readonly to: string;
  readonly metres: number;
}

/** What else the user wants. Absent: no matter. */
export interface Wishes {
  /** `mono`, `stereo` (both sides carry the source), `apart` (a side or track a source), `mixed` (every source on every side). Where absent: on both sides, or on an input of several that is its own, which can be copied over afterwards; of a live stream on both sides. */
  readonly channels?: 'mono' | 'stereo' | 'apart' | 'mixed';
  /** The host charges while it records. */
  readonly charge?: boolean;
  /** Somebody hears what the first destination plays back. */
  readonly hear?: boolean;
  /** The same, because guests speak there. */
  readonly guests?: boolean;
  /** Every device at whose far end somebody speaks comes back into the box that is there (`through`): everyone hears everyone but themself, and somebody at the box hears them. */
  readonly callers?: boolean;
  /** Metres from each source to the recorder, or to the box that is there. */
  readonly length?: number;
  /** On a gimbal or on the body: nothing that stands on a table. */
  readonly worn?: boolean;
  /** The most that may be spent, in the user's currency. */
  readonly budget?: number;
  /** `proven`: only what was tested or is common practice, and no accessory without its chip. */
  readonly risk?: 'proven' | 'any';
  readonly buyNothing?: boolean;
  /** Must work with this one too, with the same source and as little more as can be. */
  readonly also?: RequestDestination;
}

/** What answers are ranked by, beside evidence. */
export type Preference = 'money' | 'pieces' | 'sound';
export const PREFERENCES = ['money', 'pieces', 'sound'] as const satisfies readonly Preference[];

/** What is to be recorded, by what, and what else is wished: the question that `symplex plan` answers. Unknown fields are kept. */
export interface RouteRequest {
  readonly format: 'symplex-request';
  readonly version: 1;
  readonly name?: string;
  readonly sources: readonly RequestSource[];
  /** A mixer or box that is there already and that every source goes into. */
  readonly through?: string;
  readonly throughPlace?: string;
  readonly throughUnusable?: readonly string[];
  /** What brings no sound and is to stay plugged into the first destination: a MIDI keyboard, a mouse, storage. It is there already. */
  readonly carried?: readonly string[];
  /** How far places lie apart; those of which nothing is said are one. */
  readonly distances?: readonly Distance[];
  /** `money` where absent. */
  readonly prefer?: Preference;
  /** What a thing more to buy, and a joint more to make, is worth in money: 5 and 1 where absent. */
  readonly bother?: {
    readonly piece?: number;
    readonly joint?: number;
  };
  /** Metres of owned leads, where they are not as long as their kind is by itself. */
  readonly leadLengths?: Readonly<Record<string, readonly number[]>>;
  readonly destinations: readonly RequestDestination[];
  readonly wishes?: Wishes;
  /** How many of each part the user owns. */
  readonly drawer?: Readonly<Record<string, number>>;
  readonly voice?: VoiceEffort;
  readonly policies?: readonly PolicyNote[];
  readonly ownParts?: readonly Part[];
  /** Only these parts may be used, besides sources and destinations. Absent: the whole catalogue. */
  readonly catalogue?: readonly string[];
}
