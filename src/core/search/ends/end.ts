import { isDigitalConnector, type Contact } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import type { Grid } from './grid';

/** A source's sound on an open end: its columns in the grid are volts RMS, with every knob at the most and at the least. */
export interface Sound {
  readonly id: string;
  /** How far its peaks lie over its RMS, dB. */
  readonly crest: number;
  /** It comes of a microphone with no power of its own, and no stage has sensed it yet. */
  readonly bare?: boolean;
}

/** Direct voltage that must come from what is still to be joined. */
export interface Wanted {
  readonly volts: number;
  /** More than this harms. */
  readonly most: number;
}

/** Figures of direct current are off by less. */
const HAIR = 1e-6;

const inOneWay = new WeakMap<Part, boolean>();

/** Its supplies are there or not, and never less. */
function suppliesInOneWay(part: Part): boolean {
  const known = inOneWay.get(part);
  if (known !== undefined) return known;
  const found = part.circuit.every((e) => {
    if (e.kind !== 'supply' || typeof e.volts !== 'object') return true;
    return 'values' in e.volts && new Set(Object.values(e.volts.values).filter(Boolean)).size < 2;
  });
  inOneWay.set(part, found);
  return found;
}

/** Whether what stands there with every supply on, that of a part among them, feeds and does not harm: too much can only be turned off. */
export const feeds = ({ volts, most }: Wanted, standing: number, part: Part): boolean =>
  standing >= volts - HAIR && (standing <= most + HAIR || !suppliesInOneWay(part));

/**
 * The state of contacts that stand open: what the rest of the world can learn of everything behind them. `place`: on which
 * unknown a contact lies. `alternating`: at 1 kHz, two columns a sound. `direct`: one column, the supplies; a form a want.
 */
export interface Analogue {
  readonly place: ReadonlyMap<Contact, number>;
  readonly size: number;
  readonly alternating: Grid;
  readonly direct: Grid;
  readonly sounds: readonly Sound[];
  /** Pairs of contacts between which a sound stands. */
  readonly pairs: readonly (readonly [Contact, Contact])[];
  readonly wants: readonly Wanted[];
  readonly sides: Sides;
  /** Of a source that a coil gives, until something listens: the same at the upper end of its band. */
  readonly edge?: Edge;
}

/** What stands open at another frequency than 1 kHz. */
export interface Edge {
  readonly hertz: number;
  readonly analogue: Analogue;
  /** So much more of the source stands there than at 1 kHz with nothing plugged in, dB: its coil resonates. */
  readonly own: number;
}

/**
 * To what sides of a converter the sound has to come: `any`; `both` of one that has two, unless each is an input of its own; `each` of
 * one that has two; `two` sides and no less. `pair`: the same, where another output of the source brings the other side. `split`: sounds
 * that share one plug, and have to stay apart, each on a side.
 */
export type Sides = 'any' | 'both' | 'each' | 'two' | 'pair' | 'two by pair' | 'split';

/** What may be asked of a source. */
export type SidesAsked = Exclude<Sides, 'pair' | 'split'>;

/** Numbers instead of voltages: the sound device that made them, and the lines that are still whole. */
export interface Digital {
  readonly device: Part;
  readonly lines: ReadonlySet<Contact>;
  /** Something on the way has the chip that an 8-pin port asks for. */
  readonly authenticated: boolean;
  /** Hubs and adapters on the way. */
  readonly hubs: number;
  /** What the socket that it goes into has to give at the least, mA. */
  readonly draws: number;
  /** Peaks of what its converter made, dBFS with every knob at the most: nothing that follows brings them up. */
  readonly peak: number;
  /** The state of what came to its converter. */
  readonly from: string;
}

/** A part that is entered by one port and left by another. */
export interface Passed {
  readonly part: Part;
  readonly entry: PartPort;
  readonly exit: PartPort;
}

/** What stands before an open end at which a way begins: the port of the source itself, and what hangs in it. */
export interface Beginning {
  readonly from: PartPort;
  readonly links: readonly Passed[];
}

/** An open end of a growing chain: the port that waits for its other half. */
export interface OpenEnd {
  readonly part: Part;
  readonly port: PartPort;
  /** Where the source gives its sound by another thing alone, as a phone without a jack does. */
  readonly begins?: Beginning;
  readonly analogue?: Analogue;
  readonly digital?: Digital;
  /** A bare microphone is in a socket for line somewhere on the way. */
  readonly inLine?: boolean;
  /** Equal states go on alike. */
  readonly state: string;
}

/** A microphone with no power of its own is heard there, and no stage has sensed it yet. */
export const isBare = ({ analogue, inLine }: OpenEnd): boolean =>
  inLine !== true && (analogue?.sounds.some(({ bare }) => bare) ?? false);

/** A port by which numbers and supply go, and no sound. */
export const isDigital = (port: PartPort): boolean => isDigitalConnector(port.connector);
