import type { Connector, Contact, Gender } from '../plugs';
import type { DbSpl, DbV, DbVPerPa, Milliamps, Ohms, Volts } from '../units';

/**
 * A figure of a part: fixed, chosen by one of the part's settings, read off one of its knobs, or growing with the
 * part's length (`perMetre` times the length in metres).
 */
export type Quantity =
  | number
  | { readonly setting: string; readonly values: Readonly<Record<string, number>> }
  | { readonly knob: string }
  | { readonly perMetre: number };

/**
 * A node of a part's circuit: "port.contact" for a contact of one of its ports, any other word for an inner node.
 */
export type NodeName = string;

interface TwoNodes {
  readonly a: NodeName;
  readonly b: NodeName;
}

/** Ideal joint of two nodes: a solder point, a common ground. */
export interface Wire extends TwoNodes {
  readonly kind: 'wire';
}
/** One conductor of a lead. Resistance in ohms. */
export interface Conductor extends TwoNodes {
  readonly kind: 'conductor';
  readonly ohms: Quantity;
}
export interface Resistor extends TwoNodes {
  readonly kind: 'resistor';
  readonly ohms: Quantity;
}
export interface Capacitor extends TwoNodes {
  readonly kind: 'capacitor';
  readonly farads: Quantity;
}
export interface Inductor extends TwoNodes {
  readonly kind: 'inductor';
  readonly henries: Quantity;
}
/** Ideal transformer: the voltage from d to c is `ratio` times that from b to a. Losses stand beside it as elements. */
export interface Transformer extends TwoNodes {
  readonly kind: 'transformer';
  readonly c: NodeName;
  readonly d: NodeName;
  readonly ratio: number;
}
/**
 * Input of an amplifier or converter stage: `ohms` from a to b, and the voltage across it is passed on by the part's
 * paths. Equivalent input noise in dBV (20 Hz–20 kHz).
 */
export interface Sense extends TwoNodes {
  readonly kind: 'sense';
  readonly id: string;
  readonly ohms: Quantity;
  readonly noise: Quantity;
}
/** Output of a stage: what the part's paths bring, behind `ohms`, from a to b. `clip`: RMS dBV of its largest sine. */
export interface Drive extends TwoNodes {
  readonly kind: 'drive';
  readonly id: string;
  readonly ohms: Quantity;
  readonly clip: Quantity;
}
/** Direct-voltage supply, `a` positive, in volts. `fedBy` names the port whose supply line must be live. */
export interface Supply extends TwoNodes {
  readonly kind: 'supply';
  readonly volts: Quantity;
  readonly fedBy?: string;
}
/**
 * A voltage that carries sound, `a` positive. `hears: 'voice'`: an acoustic source with a sensitivity in dBV/Pa and
 * its own noise in dBV (20 Hz–20 kHz). `hears: 'playback'`: what the host plays, full scale in dBV.
 */
export interface SignalSource extends TwoNodes {
  readonly kind: 'signal';
  readonly id: string;
  readonly hears: 'voice' | 'playback';
  readonly sensitivity: Quantity;
  readonly noise?: Quantity;
  /** Sounds only while the direct voltage from `minus` to `plus` is at least `volts` (phantom, plug-in power). */
  readonly needs?: { readonly plus: NodeName; readonly minus: NodeName; readonly volts: Volts };
}
/**
 * Electret capsule with its field-effect transistor between `a` (drain) and `b` (source): a sound-driven current
 * sink that works only while the direct voltage from a to b is at least `minimumBias`. Sensitivity is rated across
 * `ratedLoad`; the noise is its output noise there.
 */
export interface Electret extends TwoNodes {
  readonly kind: 'electret';
  readonly id: string;
  readonly sensitivity: DbVPerPa;
  readonly noise: DbV;
  readonly ratedLoad: Ohms;
  readonly dcResistance: Ohms;
  readonly acResistance: Ohms;
  readonly minimumBias: Volts;
}
export type CircuitElement =
  | Wire
  | Conductor
  | Resistor
  | Capacitor
  | Inductor
  | Transformer
  | Sense
  | Drive
  | Supply
  | SignalSource
  | Electret;

/** From one of the part's senses to one of its drives: the sum of `gain` in dB; inverting where `inverts`. */
export interface GainPath {
  readonly from: string;
  readonly to: string;
  readonly gain: readonly Quantity[];
  readonly inverts?: boolean;
}

/** The letter that a contact bears in the drawing, filled where it brings, outlined where it expects. */
export type ContactRole =
  'left' | 'right' | 'microphone' | 'ground' | 'hot' | 'cold' | 'bias' | 'data' | 'supply' | 'authentication';

export interface PartPort {
  readonly id: string;
  readonly name: string;
  readonly connector: Connector;
  readonly gender: Gender;
  /** Which way sound goes: `through` for leads and adapters. */
  readonly direction: 'in' | 'out' | 'both' | 'through';
  /** What each contact is for on this part; leads have none, they bring what their far end has. */
  readonly roles?: Readonly<Partial<Record<Contact, ContactRole>>>;
}

/** A switch with named places. */
export interface SwitchSetting {
  readonly kind: 'switch';
  readonly id: string;
  readonly name: string;
  readonly options: readonly { readonly id: string; readonly name: string }[];
  readonly initial: string;
}

/** A knob or fader with a scale in dB. */
export interface KnobSetting {
  readonly kind: 'knob';
  readonly id: string;
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly step: number;
  readonly initial: number;
}

export type PartSetting = SwitchSetting | KnobSetting;

/** One converter channel: the circuit voltage from `minus` to `plus`. */
export interface CaptureChannel {
  readonly side: 'left' | 'right' | 'mono';
  readonly plus: NodeName;
  readonly minus: NodeName;
}

/** Headset detection by direct current: what the host reads at `microphone` against `ground`. */
export interface HeadsetDetection {
  readonly microphone: NodeName;
  readonly ground: NodeName;
  readonly biasVolts: Volts;
  readonly biasResistance: Ohms;
}

/** Where sound is turned into numbers. `fullScale`: RMS of the sine that just reaches full scale. */
export interface Capture {
  readonly id: string;
  readonly name: string;
  readonly port: string;
  readonly channels: readonly CaptureChannel[];
  readonly fullScale: DbV;
  readonly noise: DbV;
  /** Gain ahead of the converter, dB: full scale and noise are given for none. */
  readonly gain?: Quantity;
  readonly detection?: HeadsetDetection;
}

/** A pair of earpieces or a speaker: the circuit voltage from `minus` to `plus` is heard. */
export interface Ear {
  readonly side: 'left' | 'right';
  readonly plus: NodeName;
  readonly minus: NodeName;
}

/** What a device with a digital plug is to its host. */
export interface BusDevice {
  readonly port: string;
  /** `headset`: a communications device, `audio`: class-compliant USB audio, `other`: keys, mice, storage, MIDI. */
  readonly registersAs: 'headset' | 'audio' | 'other';
  /** Has the chip that the 8-pin port asks for. */
  readonly authenticated: boolean;
  /** Current that it declares, mA. */
  readonly draw: Quantity;
  readonly captures: readonly string[];
}

/** A socket that feeds what is plugged in, mA. `data: false` for one that only charges. */
export interface BusSocket {
  readonly port: string;
  readonly feeds: Quantity;
  readonly data: boolean;
}

/**
 * A hub or host adapter: `upstream` is the plug toward the host. With `supply` (a mains unit of its own, or a charger in
 * its power socket) its sockets give `feeds`; without it they share what the host gives, less `ownDraw`.
 */
export interface BusHub {
  readonly upstream: string;
  readonly sockets: readonly BusSocket[];
  readonly authenticated: boolean;
  /** A setting that says whether its supply is in. Absent: it has none. */
  readonly supplied?: { readonly setting: string; readonly is: string };
  readonly ownDraw: Milliamps;
}

/** A digital port of a host. */
export interface HostPort extends BusSocket {
  readonly wantsAuthentication: boolean;
}

/** The built-in microphone. `calibration`: the sound pressure that gives RMS `calibrationDbfs`. */
export interface OwnMicrophone {
  readonly name: string;
  readonly calibration: DbSpl;
  readonly calibrationDbfs: number;
  readonly noiseDbfs: number;
}

/** A device that records. `selects`: when an external input displaces the built-in microphone. */
export interface Host {
  readonly word: string;
  readonly ownMicrophone: OwnMicrophone;
  readonly selects: 'when-detected' | 'when-plugged';
  readonly busPorts: readonly HostPort[];
}

export type PartFamily =
  | 'receiver'
  | 'microphone'
  | 'headphones'
  | 'lead'
  | 'splitter'
  | 'dongle'
  | 'adapter'
  | 'interface'
  | 'mixer'
  | 'hub'
  | 'phone'
  | 'camera';

/** A part as data. Every figure is typical unless its comment says otherwise, and may be edited by the user. */
export interface Part {
  readonly id: string;
  readonly name: string;
  readonly family: PartFamily;
  readonly summary: string;
  /** In the user's currency, typical. */
  readonly price: number;
  readonly ports: readonly PartPort[];
  readonly settings?: readonly PartSetting[];
  /** Metres, for leads. */
  readonly length?: number;
  readonly circuit: readonly CircuitElement[];
  readonly paths?: readonly GainPath[];
  /** Direct voltages from `minus` to `plus` that it bears; more does harm. */
  readonly bears?: readonly { readonly plus: NodeName; readonly minus: NodeName; readonly volts: Volts }[];
  readonly captures?: readonly Capture[];
  readonly ears?: readonly Ear[];
  readonly bus?: BusDevice;
  readonly hub?: BusHub;
  readonly host?: Host;
}
