// Made by scripts/generate.mjs from the schema symplex-part-1; not for editing.
import type { Connector, Contact } from '../../plugs';
import type { DbSpl, DbV, DbVPerPa, Milliamps, Ohms, Volts } from '../../units';

/** A node of a part's circuit: "port.contact" for a contact of one of its ports, any other word for an inner node. */
export type NodeName = string;

export interface PartPort {
  readonly id: string;
  readonly name: string;
  readonly connector: Connector;
  readonly gender: 'plug' | 'jack';
  /** Which way sound goes: `through` for leads and adapters. */
  readonly direction: 'in' | 'out' | 'both' | 'through';
  /** What each contact is for on this part; leads have none, they bring what their far end has. */
  readonly roles?: Readonly<Partial<Record<Contact, ContactRole>>>;
  /** It is a plug on a lead of its own, metres long. */
  readonly ownLead?: number;
  /** The absolute maximum of its contacts, by kind; that of its direction and connector where absent. */
  readonly bears?: MaximumKind;
  /** Ports of one part with the same word here are as good as one another: the channels of a mixer, the sockets of a hub. */
  readonly alike?: string;
  /** Ports of one part with the same word here lie in one opening, which takes one plug at a time: the XLR and the 6.35 mm side of a combo socket. */
  readonly opening?: string;
}

export type PartSetting = SwitchSetting | KnobSetting;

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
  /** Milliseconds that a digital path takes; 0 where absent. */
  readonly delay?: number;
  /** It works only while this port's supply line is live. */
  readonly fedBy?: string;
}

export interface DirectVoltage {
  readonly plus: NodeName;
  readonly minus: NodeName;
  readonly volts: Volts;
}

/** A switch at a place: how something is turned on. */
export interface SwitchedBy {
  readonly setting: string;
  readonly is: string;
}

/** How a part comes by its power: a switch or battery, or a supply line at one of its ports. */
export type PowerSource =
  | SwitchedBy
  | {
      readonly port: string;
    };

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
  /** The host takes it only while this switch stands so, such as the answer to "what did you plug in?". */
  readonly on?: SwitchedBy;
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
  /** `headset`: a communications device, `audio`: class-compliant USB audio, `analogue`: a USB-C plug that wants the audio accessory mode of the port, `power`: a socket that only charges, `other`: keys, mice, storage, MIDI. */
  readonly registersAs: 'headset' | 'audio' | 'analogue' | 'power' | 'other';
  /** Has the chip that the 8-pin port asks for. */
  readonly authenticated: boolean;
  /** Current that it declares, mA: on this the host decides. */
  readonly draw: Quantity;
  /** Current that it really takes at its busiest, mA; what it declares where absent. */
  readonly takes?: Quantity;
  readonly captures: readonly string[];
  readonly format?: StreamFormat;
  /** Has outputs of its own: the host's playback moves to it. */
  readonly plays?: boolean;
  /** Without the chip it works in these apps all the same. */
  readonly worksIn?: readonly string[];
}

/** What a socket gives, mA: always the same, or more while its hub or adapter is supplied. */
export type Feeds =
  | {
      readonly supplied: Quantity;
      readonly bare: Quantity;
    }
  | Quantity;

/** A socket that feeds what is plugged in. `data: false` for one that only charges. */
export interface BusSocket {
  readonly port: string;
  readonly feeds: Feeds;
  readonly data: boolean;
}

/** A hub or host adapter: `upstream` is the plug toward the host. Supplied (by a mains unit of its own, or by whatever is in its power socket) its sockets give what they can; without it they share what the host gives, less `ownDraw`. */
export interface BusHub {
  readonly upstream: string;
  readonly sockets: readonly BusSocket[];
  readonly authenticated: boolean;
  /** The switches and sockets that its supply may come by. Absent: it has none. */
  readonly supplied?: readonly PowerSource[];
  readonly ownDraw: Milliamps;
}

/** A device that records. `selects`: when an external input displaces the built-in microphone. */
export interface Host {
  readonly word: string;
  readonly selects: 'when-detected' | 'when-plugged';
  /** Runs apps of the classes in apps.ts; a camera or recorder records by itself. */
  readonly runsApps: boolean;
  /** Takes several sound devices at once, as computers do. */
  readonly manyDevices?: boolean;
  readonly ownMicrophone: OwnMicrophone;
  readonly busPorts: readonly HostPort[];
}

/** What a charger, a power bank or a computer's port gives at one of its sockets or plugs, mA. */
export interface PowerOutlet {
  readonly port: string;
  readonly gives: Quantity;
  /** Under so many mA it may take it that nothing is there and turn itself off. */
  readonly sleepsUnder?: Quantity;
}

/** A figure of a part: fixed, chosen by one of the part's settings, read off one of its knobs, or growing with the part's length (`perMetre` times the length in metres). `typical` with `least` and `most`: what parts of the kind have, from one to the other. `null` is what a file makes of −Infinity: switched off. */
export type Quantity =
  | number
  | {
      readonly knob: string;
    }
  | {
      readonly perMetre: number;
    }
  | {
      readonly typical: number;
      readonly least: number;
      readonly most: number;
    }
  | {
      readonly setting: string;
      readonly values: Readonly<Record<string, number | null>>;
    };

/** Ideal joint of two nodes: a solder point, a common ground. */
export interface Wire {
  readonly kind: 'wire';
  readonly a: NodeName;
  readonly b: NodeName;
}

/** One conductor of a lead. Resistance in ohms. */
export interface Conductor {
  readonly kind: 'conductor';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly ohms: Quantity;
}

export interface Resistor {
  readonly kind: 'resistor';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly ohms: Quantity;
}

export interface Capacitor {
  readonly kind: 'capacitor';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly farads: Quantity;
}

export interface Inductor {
  readonly kind: 'inductor';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly henries: Quantity;
}

/** Ideal transformer: the voltage from d to c is `ratio` times that from b to a. Losses stand beside it as elements. */
export interface Transformer {
  readonly kind: 'transformer';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly c: NodeName;
  readonly d: NodeName;
  readonly ratio: number;
}

/** Input of an amplifier or converter stage: `ohms` from a to b, and the voltage across it is passed on by the part's paths. Equivalent input noise in dBV (20 Hz–20 kHz). */
export interface Sense {
  readonly kind: 'sense';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly id: string;
  readonly ohms: Quantity;
  readonly noise: Quantity;
}

/** Output of a stage: what the part's paths bring, behind `ohms`, from a to b. `clip`: RMS dBV of its largest sine. */
export interface Drive {
  readonly kind: 'drive';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly id: string;
  readonly ohms: Quantity;
  readonly clip: Quantity;
}

/** Direct-voltage supply, `a` positive, in volts. `fedBy` names the port whose supply line must be live. */
export interface Supply {
  readonly kind: 'supply';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly volts: Quantity;
  readonly fedBy?: string;
}

/** A voltage that carries sound, `a` positive. `hears: 'voice'`: an acoustic source with a sensitivity in dBV/Pa and its own noise in dBV (20 Hz–20 kHz). `'played'`: an instrument or player, whose sensitivity is its usual RMS output in dBV. `'playback'`: what the host plays, full scale in dBV. */
export interface SignalSource {
  readonly kind: 'signal';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly id: string;
  readonly hears: 'voice' | 'played' | 'playback';
  readonly sensitivity: Quantity;
  readonly noise?: Quantity;
  /** Silent while any of these switches stands so: muted, not linked. */
  readonly mutedBy?: readonly SwitchedBy[];
  /** Hz, from and to: what it gives of its own. That of speech, or of an instrument, where absent. */
  readonly band?: readonly [number, number];
  /** Sounds only while the direct voltage from `minus` to `plus` is at least `volts` (phantom, plug-in power). */
  readonly needs?: DirectVoltage;
}

/** Electret capsule with its field-effect transistor between `a` (drain) and `b` (source): a sound-driven current sink that works only while the direct voltage from a to b is at least `minimumBias`. Sensitivity is rated across `ratedLoad`; the noise is its output noise there. */
export interface Electret {
  readonly kind: 'electret';
  readonly a: NodeName;
  readonly b: NodeName;
  readonly id: string;
  readonly sensitivity: DbVPerPa;
  readonly noise: DbV;
  readonly ratedLoad: Ohms;
  readonly dcResistance: Ohms;
  readonly acResistance: Ohms;
  readonly minimumBias: Volts;
}

/** Of many settings, those that stand together: the group, such as a channel, and what the setting is called there. */
export interface SettingGroup {
  readonly group: string;
  readonly name: string;
}

/** A switch with named places. */
export interface SwitchSetting {
  readonly kind: 'switch';
  readonly id: string;
  readonly name: string;
  readonly within?: SettingGroup;
  readonly options: readonly {
    readonly id: string;
    readonly name: string;
  }[];
  readonly initial: string;
}

/** A knob or fader with a scale in dB. */
export interface KnobSetting {
  readonly kind: 'knob';
  readonly id: string;
  readonly name: string;
  readonly within?: SettingGroup;
  readonly from: number;
  readonly to: number;
  readonly step: number;
  readonly initial: number;
  /** Share of the travel, 0 to 1, and the dB there, from one end to the other; even in dB where absent. */
  readonly taper?: readonly (readonly [number, number])[];
  /** dB from one of its notches to the next: it is read as a number of notches, the first at the least. */
  readonly notch?: number;
}

/** One converter channel: the circuit voltage from `minus` to `plus`. Its place in the capture's list is its input number, from 1; `further`: only apps that record by input number reach it. */
export interface CaptureChannel {
  readonly side: 'left' | 'right' | 'mono' | 'further';
  readonly plus: NodeName;
  readonly minus: NodeName;
  /** Gain of this channel ahead of the converter, dB, beside the capture's own. */
  readonly gain?: Quantity;
  /** The socket whose sound contacts feed it, where that is not the capture's port. */
  readonly socket?: string;
}

/** Headset detection by direct current: what the host reads at `microphone` against `ground`. */
export interface HeadsetDetection {
  readonly microphone: NodeName;
  readonly ground: NodeName;
  readonly biasVolts: Volts;
  readonly biasResistance: Ohms;
}

/** What a sound device streams: channels each way, bits a sample, samples a second. */
export interface StreamFormat {
  readonly inputs: number;
  readonly outputs: number;
  readonly bits: Quantity;
  readonly rate: number;
  readonly speed: 'full' | 'high';
}

/** The built-in microphone. `calibration`: the sound pressure that gives RMS `calibrationDbfs`. */
export interface OwnMicrophone {
  readonly name: string;
  readonly calibration: DbSpl;
  readonly calibrationDbfs: number;
  readonly noiseDbfs: number;
}

/** A digital port of a host. */
export interface HostPort {
  readonly port: string;
  readonly feeds: Feeds;
  readonly data: boolean;
  readonly wantsAuthentication: boolean;
  /** Has the audio accessory mode of USB Type-C, for dongles without a converter. */
  readonly analogue?: boolean;
}

/** The letter that a contact bears in the drawing, filled where it brings, outlined where it expects. */
export type ContactRole =
  'left' | 'right' | 'microphone' | 'ground' | 'hot' | 'cold' | 'bias' | 'data' | 'supply' | 'authentication';

/** What stands behind a contact; what each bears is in absolute-maxima.ts. */
export type MaximumKind =
  | 'passes'
  | 'digital'
  | 'output'
  | 'headset'
  | 'plug-in-input'
  | 'line-input'
  | 'phantom-input'
  | 'phantom-microphone'
  | 'moving-coil'
  | 'ribbon'
  | 'electret'
  | 'earpiece'
  | 'winding'
  | 'pick-up';
export const MAXIMUM_KINDS = [
  'passes',
  'digital',
  'output',
  'headset',
  'plug-in-input',
  'line-input',
  'phantom-input',
  'phantom-microphone',
  'moving-coil',
  'ribbon',
  'electret',
  'earpiece',
  'winding',
  'pick-up',
] as const satisfies readonly MaximumKind[];

/** What parts are called for what they are. */
export type PartFamily =
  | 'receiver'
  | 'pack'
  | 'microphone'
  | 'instrument'
  | 'player'
  | 'headphones'
  | 'loudspeaker'
  | 'lead'
  | 'splitter'
  | 'dongle'
  | 'adapter'
  | 'box'
  | 'interface'
  | 'mixer'
  | 'hub'
  | 'supply'
  | 'phone'
  | 'computer'
  | 'camera'
  | 'recorder';
export const PART_FAMILIES = [
  'receiver',
  'pack',
  'microphone',
  'instrument',
  'player',
  'headphones',
  'loudspeaker',
  'lead',
  'splitter',
  'dongle',
  'adapter',
  'box',
  'interface',
  'mixer',
  'hub',
  'supply',
  'phone',
  'computer',
  'camera',
  'recorder',
] as const satisfies readonly PartFamily[];

/** How microphones hear round about. */
export type PolarPattern = 'omni' | 'cardioid' | 'supercardioid' | 'hypercardioid' | 'figure-8' | 'shotgun';
export const POLAR_PATTERNS = [
  'omni',
  'cardioid',
  'supercardioid',
  'hypercardioid',
  'figure-8',
  'shotgun',
] as const satisfies readonly PolarPattern[];

/** How a part hangs on the mains while `on` stands so (always, where absent): `earthed`, its ground lies on the protective conductor (class I); `insulated`, only a Y capacitor in its unit joins the two (class II; IEC 61140). */
export interface Mains {
  readonly class: 'earthed' | 'insulated';
  readonly on?: SwitchedBy;
}

/** What a part runs on by itself, while `on` stands so. Typical: by what it holds, or by how long it lasts. */
export interface Battery {
  readonly on?: SwitchedBy;
  /** Watt-hours when full. */
  readonly wattHours?: Quantity;
  /** Hours that it lasts in use, where it is not known by what it holds. */
  readonly hours?: Quantity;
  /** Cells that are exchanged, where it is not charged. */
  readonly cells?: string;
  /** mA that it takes in while it is charged. */
  readonly charging?: Quantity;
  /** What its part takes of it, milliwatts. */
  readonly milliwatts?: Quantity;
}

/** A loudspeaker. `spl`: sound pressure 1 m before it for 1 V RMS between its terminals at no gain; `directivity`: Q at 1 kHz. */
export interface Loudspeaker {
  readonly plus: NodeName;
  readonly minus: NodeName;
  readonly spl: DbSpl;
  readonly gain?: Quantity;
  readonly directivity: number;
}

/** A part of the user's own: ports, a circuit between their contacts, settings. Figures are in V, ohm, F, H, mA, m and dB. Unknown fields are kept. */
export interface Part {
  readonly id: string;
  readonly name: string;
  readonly family: PartFamily;
  readonly summary: string;
  /** In the user's currency, typical. */
  readonly price: number;
  /** Metres, for leads. */
  readonly length?: number;
  readonly ports: readonly PartPort[];
  readonly settings?: readonly PartSetting[];
  readonly circuit: readonly CircuitElement[];
  readonly paths?: readonly GainPath[];
  /** Absolute maxima of its own, direct voltage from `minus` to `plus`; its ports state theirs. */
  readonly bears?: readonly DirectVoltage[];
  /** Direct voltage from `minus` to `plus` that its stages want, such as phantom power. */
  readonly stagesNeed?: DirectVoltage;
  readonly captures?: readonly Capture[];
  readonly ears?: readonly Ear[];
  readonly bus?: BusDevice;
  readonly hub?: BusHub;
  readonly host?: Host;
  /** Where it gives power to others. */
  readonly outlets?: readonly PowerOutlet[];
  /** Any one of these powers its stages; absent: it needs none. */
  readonly power?: readonly PowerSource[];
  /** A phone takes no notice of it while this port is empty. */
  readonly noticedWith?: string;
  /** Where it stands when it is used; `inline` where absent: it hangs in the lead. */
  readonly stands?: 'worn' | 'held' | 'carried' | 'inline' | 'table' | 'wall';
  /** Comes with the place and is not bought, such as a computer's port. */
  readonly notForSale?: boolean;
  /** Sockets from which it passes a charge on to its host. */
  readonly passesCharge?: readonly string[];
  readonly mains?: Mains;
  readonly battery?: Battery;
  /** Ports whose ground is not joined to that of its other ports, where its circuit does not join them. */
  readonly isolated?: readonly string[];
  /** What it gives into the room. */
  readonly speaker?: Loudspeaker;
  /** How a microphone hears round about; to all sides alike where absent. */
  readonly pattern?: PolarPattern;
}
