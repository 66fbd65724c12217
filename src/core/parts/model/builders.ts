import type { Connector, Contact, Gender } from '../../plugs';
import { audioTaper } from '../../units';
import { usualMaximum } from './maximums';
import type {
  CircuitElement,
  GainPath,
  KnobSetting,
  MaximumKind,
  NodeName,
  Part,
  PartPort,
  PartSetting,
  Quantity,
  SwitchSetting,
} from './types.generated';

/**
 * Resistance of one lead conductor per metre: 28 AWG copper, 0.213 Ω/m at 20 °C (ASTM B258 wire table; from memory).
 */
export const CONDUCTOR_OHMS_PER_METRE = 0.213;
/** Resistance of a lead's shield per metre, 20 to 50 mΩ: typical. */
export const SHIELD_OHMS_PER_METRE = 0.035;
/** Capacitance between signal conductor and return, per metre. Typical. */
export const LEAD_FARADS_PER_METRE = 100e-12;

/** A lead's conductor between a contact of end a and a contact of end b. */
export const strand = (a: NodeName, b: NodeName): CircuitElement => ({
  kind: 'conductor',
  a,
  b,
  ohms: { perMetre: CONDUCTOR_OHMS_PER_METRE },
});

/** The contact on which the shield of an audio lead lies; of two headset plugs ring 2, as on current phones. */
const SHIELD: Partial<Record<Connector, Contact>> = {
  'ts-3.5': 'S',
  'ts-6.35': 'S',
  'trs-3.5': 'S',
  'trs-6.35': 'S',
  rca: 'S',
  'xlr-3': '1',
};

/** Whether a conductor between two contacts is the lead's shield: one of its ends says so. */
function isShield(ends: readonly PartPort[], [a, b]: readonly [NodeName, NodeName]): boolean {
  const said = [a, b].map((node) => {
    const [id, contact] = node.split('.');
    const connector = ends.find((port) => port.id === id)?.connector;
    const shield = connector && SHIELD[connector];
    return shield === undefined ? undefined : shield === contact;
  });
  if (said.includes(false)) return false;
  if (said.includes(true)) return true;
  const isHeadset = ends.every((port) => port.connector === 'trrs-3.5');
  return isHeadset && a.endsWith('.R2') && b.endsWith('.R2');
}

/** A lead's shield between a contact of end a and a contact of end b. */
export const shield = (a: NodeName, b: NodeName): CircuitElement => ({
  kind: 'conductor',
  a,
  b,
  ohms: { perMetre: SHIELD_OHMS_PER_METRE },
});

/** Capacitance between two conductors of a lead, half of it at either end; each end as [conductor, conductor]. */
export const leadCapacitance = (
  one: readonly [NodeName, NodeName],
  other: readonly [NodeName, NodeName],
): CircuitElement[] =>
  [one, other].map(([a, b]) => ({
    kind: 'capacitor',
    a,
    b,
    farads: { perMetre: LEAD_FARADS_PER_METRE / 2 },
  }));

/** A port whose contacts bring whatever the far end of the lead or adapter has. */
export const through = (id: string, name: string, connector: Connector, gender: Gender): PartPort => ({
  id,
  name,
  connector,
  gender,
  direction: 'through',
  bears: 'passes',
});

/** Solder joints between equally named contacts of two ports. */
export const wired = (
  a: string,
  b: string,
  pairs: readonly (readonly [Contact, Contact])[],
): CircuitElement[] => pairs.map(([from, to]) => ({ kind: 'wire', a: `${a}.${from}`, b: `${b}.${to}` }));

/** An on/off switch. */
export const onOff = (id: string, name: string, initial: 'on' | 'off'): SwitchSetting => ({
  kind: 'switch',
  id,
  name,
  options: [
    { id: 'off', name: 'off' },
    { id: 'on', name: 'on' },
  ],
  initial,
});

/** A knob that goes down to here is a level or a fader, which has an audio taper; a gain stops far above, and is about even in dB. */
const LEVEL_FROM = -40;

export const knob = (id: string, name: string, from: number, to: number, initial: number): KnobSetting => ({
  kind: 'knob',
  id,
  name,
  from,
  to,
  step: 1,
  initial,
  ...(from <= LEVEL_FROM && { taper: audioTaper(from, to) }),
});

/** How loud a phone or computer plays, by its own volume keys, into a jack or what is plugged into its port. */
export const hostVolume = (name: string): KnobSetting => knob('volume', name, -60, 0, 0);

/** One of several settings that stand together: its name in full says of what it is. */
export const inGroup = <T extends PartSetting>(group: string, setting: T): T => ({
  ...setting,
  name: `${group}: ${setting.name}`,
  within: { group, name: setting.name },
});

/** Gain of a path that a switch opens and closes. */
export const when = (setting: string): Quantity => ({ setting, values: { on: 0, off: -Infinity } });

/** XLR pins of a balanced line: shield, hot, cold (IEC 61076-2-103, AES14). */
export const XLR_ROLES = { '1': 'ground', '2': 'hot', '3': 'cold' } as const;
export const USB_ROLES = { V: 'supply', G: 'ground', D: 'data' } as const;
export const EIGHT_PIN_ROLES = { ...USB_ROLES, A: 'authentication' } as const;
export const STEREO_ROLES = { T: 'left', R: 'right', S: 'ground' } as const;

/** A microphone preamplifier's XLR socket: bridging input, and switched phantom power that dies with `fedBy`. */
export function microphoneInput(port: string, phantom: string, id: string, fedBy?: string): CircuitElement[] {
  return [
    // P48: 48 V through 6.81 kΩ a leg (IEC 61938).
    {
      kind: 'supply',
      a: `${port}-p48`,
      b: `${port}.1`,
      volts: { setting: phantom, values: { on: 48, off: 0 } },
      ...(fedBy !== undefined && { fedBy }),
    },
    { kind: 'resistor', a: `${port}-p48`, b: `${port}.2`, ohms: 6810 },
    { kind: 'resistor', a: `${port}-p48`, b: `${port}.3`, ohms: 6810 },
    { kind: 'capacitor', a: `${port}.2`, b: `${port}-hot`, farads: 47e-6 },
    { kind: 'capacitor', a: `${port}.3`, b: `${port}-cold`, farads: 47e-6 },
    // Input impedance 3 kΩ, equivalent input noise −128 dBu: typical of a good preamplifier.
    { kind: 'sense', id, a: `${port}-hot`, b: `${port}-cold`, ohms: 3000, noise: -130.2 },
    { kind: 'resistor', a: `${port}-hot`, b: `${port}.1`, ohms: 1e6 },
    { kind: 'resistor', a: `${port}-cold`, b: `${port}.1`, ohms: 1e6 },
  ];
}

/** A stereo output of stages: two drives behind `ohms` on tip and ring of a jack. */
export const stereoOutput = (
  port: string,
  ids: readonly [string, string],
  ohms: number,
  clip: number,
): CircuitElement[] => [
  { kind: 'drive', id: ids[0], a: `${port}.T`, b: `${port}.S`, ohms, clip },
  { kind: 'drive', id: ids[1], a: `${port}.R`, b: `${port}.S`, ohms, clip },
];

/** What a lead or adapter is, in a line each. `joins`: contact of one end to contact of another. */
interface LinkPlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly ends: readonly PartPort[];
  readonly joins: readonly (readonly [NodeName, NodeName])[];
  readonly more?: readonly CircuitElement[];
}

/** A lead: conductors between its ends, and the capacitance given in `more`. */
export const leadPart = ({ ends, joins, more = [], ...plan }: LinkPlan & { length: number }): Part => ({
  ...plan,
  family: 'lead',
  ports: ends,
  circuit: [...joins.map(([a, b]) => (isShield(ends, [a, b]) ? shield(a, b) : strand(a, b))), ...more],
});

/** An adapter: solder joints, no length to speak of. */
export const adapterPart = ({ ends, joins, more = [], ...plan }: LinkPlan): Part => ({
  ...plan,
  family: 'adapter',
  ports: ends,
  circuit: [...joins.map(([a, b]) => ({ kind: 'wire', a, b }) as const), ...more],
});

/** Equally named contacts of two ends. */
export const straight = (a: string, b: string, contacts: readonly Contact[]): [NodeName, NodeName][] =>
  contacts.map((c) => [`${a}.${c}`, `${b}.${c}`]);

type PortPlan = readonly [id: string, name: string, connector: Connector];

/** A socket or plug that gives sound out or takes it in. */
export const portWith = (
  [id, name, connector]: PortPlan,
  gender: Gender,
  direction: PartPort['direction'],
  roles: PartPort['roles'],
  bears: MaximumKind = usualMaximum({ id, name, connector, gender, direction }),
): PartPort => ({ id, name, connector, gender, direction, ...(roles && { roles }), bears });

/** A port that is as good as others of its part. */
export const oneOf = (alike: string, port: PartPort): PartPort => ({ ...port, alike });

/** Sockets by which a part may be fed from outside, beside the plug of its host: its own, and those that it passes on. */
export const supplySockets = (part: Part): string[] => {
  const named = [...(part.power ?? []), ...(part.hub?.supplied ?? [])].flatMap((source) =>
    'port' in source ? [source.port] : [],
  );
  return [...new Set([...named, ...(part.passesCharge ?? [])])];
};

export const BALANCED_ROLES = { T: 'hot', R: 'cold', S: 'ground' } as const;
export const MONO_ROLES = { T: 'hot', S: 'ground' } as const;

export const xlrIn = (id: string, name: string): PartPort =>
  portWith([id, name, 'xlr-3'], 'jack', 'in', XLR_ROLES);
export const jackIn = (id: string, name: string): PartPort =>
  portWith([id, name, 'trs-6.35'], 'jack', 'in', BALANCED_ROLES);
export const phonesOut = (connector: 'trs-3.5' | 'trs-6.35', id = 'phones'): PartPort =>
  portWith([id, 'headphone socket', connector], 'jack', 'out', STEREO_ROLES);
export const usbPort = (id: string, name: string, connector: Connector, gender: Gender): PartPort =>
  portWith([id, name, connector], gender, 'both', USB_ROLES);

/** A line or instrument input on a 6.35 mm socket; its switch says which. Typical impedances. */
export const jackInput = (port: string, id: string, kind?: string): CircuitElement[] => {
  const ohms: Quantity =
    kind === undefined ? LINE_LEG : { setting: kind, values: { line: LINE_LEG, instrument: 1e6 } };
  return [
    { kind: 'sense', id, a: `${port}.T`, b: `${port}.R`, ohms, noise: -110 },
    // A balanced input: each leg to ground alike. A plug with one band grounds the ring itself.
    { kind: 'resistor', a: `${port}.T`, b: `${port}.S`, ohms },
    { kind: 'resistor', a: `${port}.R`, b: `${port}.S`, ohms },
    { kind: 'wire', a: `${port}.S`, b: 'ground' },
  ];
};

/** Between the legs of a line input, and from each to ground: with the ring grounded 10 kΩ, the usual figure. */
const LINE_LEG = 20_000;

/** Line or instrument, as a combo socket's switch has it. */
export const lineOrInstrument = (id: string, name: string): SwitchSetting => ({
  kind: 'switch',
  id,
  name,
  options: [
    { id: 'line', name: 'line' },
    { id: 'instrument', name: 'instrument' },
  ],
  initial: 'line',
});

/** A balanced line output: two drives of opposite polarity, 75 Ω a leg, +22 dBu at most. Typical. */
export const balancedOutput = (port: string, id: string): CircuitElement[] => [
  { kind: 'drive', id: `${id}-hot`, a: `${port}.T`, b: `${port}.S`, ohms: 75, clip: 13.8 },
  { kind: 'drive', id: `${id}-cold`, a: `${port}.R`, b: `${port}.S`, ohms: 75, clip: 13.8 },
  { kind: 'wire', a: `${port}.S`, b: 'ground' },
];

/** Half the voltage on each leg, one of them inverted: hot to cold is the whole. */
export const ontoBalanced = (from: string, id: string, gain: readonly Quantity[]): GainPath[] => [
  { from, to: `${id}-hot`, gain: [...gain, -6.02] },
  { from, to: `${id}-cold`, gain: [...gain, -6.02], inverts: true },
];

/** Two sides that a host plays into a device, as signals that its paths can take up. Full scale in dBV. */
export const playbackInto = (fullScale: number): CircuitElement[] =>
  (['left', 'right'] as const).flatMap((side): CircuitElement[] => [
    {
      kind: 'signal',
      id: `playback-${side}`,
      hears: 'playback',
      a: `play-${side}`,
      b: 'ground',
      sensitivity: fullScale,
    },
    { kind: 'sense', id: `play-${side}`, a: `play-${side}`, b: 'ground', ohms: 100_000, noise: -120 },
  ]);
