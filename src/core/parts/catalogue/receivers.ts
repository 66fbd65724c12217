import { dbV } from '../../units';
import {
  EIGHT_PIN_ROLES,
  USB_ROLES,
  microphoneInput,
  onOff,
  portWith,
  usbPort,
  when,
  xlrIn,
} from '../model/builders';
import type { CircuitElement, Part, PartPort, Quantity, SwitchSetting } from '../model/types.generated';

/** Two steps of the output switch, 12 dB apart (typical). */
const OUTPUT_LEVEL: SwitchSetting = {
  kind: 'switch',
  id: 'output',
  name: 'Output',
  options: [
    { id: 'low', name: 'low' },
    { id: 'high', name: 'high' },
  ],
  initial: 'low',
};

/** Pack and receiver together, dBV at the output for 1 Pa at the pack. Typical. */
const SENSITIVITY = { setting: 'output', values: { low: -32, high: -20 } } as const;
/** Noise at the output, 70 dB under 1 Pa. Typical. */
const NOISE = { setting: 'output', values: { low: -102, high: -90 } } as const;

/** A digital radio link takes this long, ms. Typical. */
const RADIO_DELAY = 5;

const outPort = (roles: PartPort['roles']): PartPort =>
  portWith(['out', 'output', 'trs-3.5'], 'jack', 'out', roles);
const STEREO = { T: 'left', R: 'right', S: 'ground' } as const;

/** Output stage made to feed phones and cameras: blocked, about 470 Ω, with a bleeder of 4.7 kΩ. Typical. */
const outputLeg = (contact: string, from = 'amp'): CircuitElement[] => [
  { kind: 'capacitor', a: from, b: `leg-${contact}`, farads: 22e-6 },
  { kind: 'resistor', a: `leg-${contact}`, b: `out.${contact}`, ohms: 470 },
  { kind: 'resistor', a: `out.${contact}`, b: 'out.S', ohms: 4700 },
];

/** What may be wrong with a receiver and its pack before any lead is looked at. */
const LINK: NonNullable<Part['settings']> = [
  onOff('power', 'Receiver on', 'on'),
  onOff('linked', 'Linked to its pack', 'on'),
  onOff('live', 'Pack live, not muted', 'on'),
];
const NO_LINK = LINK.map(({ id }) => ({ setting: id, is: 'off' }));

const packSignal = (reference: string, sensitivity: Quantity, noise: Quantity): CircuitElement => ({
  kind: 'signal',
  id: 'pack',
  hears: 'voice',
  a: 'amp',
  b: reference,
  sensitivity,
  noise,
  mutedBy: NO_LINK,
});
const pack = packSignal('out.S', SENSITIVITY, NOISE);

/** Hours that packs and receivers last: typical. */
const LASTS = { typical: 6, least: 5, most: 8 } as const;

/** Pack and receiver as a sound device on a digital plug. */
const digitalReceiver = (
  id: string,
  name: string,
  summary: string,
  price: number,
  plug: PartPort,
  authenticated: boolean,
): Part => ({
  id,
  name,
  family: 'receiver',
  summary,
  price,
  ports: [plug],
  settings: LINK,
  circuit: [packSignal('ground', -32, -102), { kind: 'resistor', a: 'amp', b: 'ground', ohms: 10_000 }],
  captures: [
    {
      id: 'pack',
      name: 'pack',
      port: plug.id,
      channels: [
        { side: 'left', plus: 'amp', minus: 'ground' },
        { side: 'right', plus: 'amp', minus: 'ground' },
      ],
      fullScale: dbV(-20),
      noise: dbV(-110),
    },
  ],
  bus: { port: plug.id, registersAs: 'audio', authenticated, draw: 100, captures: ['pack'] },
});

const usbPlug = usbPort('usb', 'USB-C plug on its lead', 'usb-c', 'plug');
const radioIn = (id: string, name: string): PartPort =>
  portWith([id, name, 'radio'], 'jack', 'in', { T: 'microphone', S: 'ground' });

/** One side of the two-channel receiver: its pack on it alone, or both packs on both, as the mode says. */
const modeGain = (own: boolean): Quantity => ({
  setting: 'mode',
  values: { stereo: own ? 0 : -Infinity, mono: -3 },
});

const twoChannelSettings: Part['settings'] = [
  OUTPUT_LEVEL,
  {
    kind: 'switch',
    id: 'mode',
    name: 'Mode',
    options: [
      { id: 'mono', name: 'mono: both packs on both sides' },
      { id: 'stereo', name: 'stereo: one pack a side' },
    ],
    initial: 'mono',
  },
  onOff('power', 'Receiver on', 'on'),
  onOff('linked-a', 'Pack A linked', 'on'),
  onOff('linked-b', 'Pack B linked', 'on'),
];

const twoChannelPaths: Part['paths'] = (['a', 'b'] as const).flatMap((channel) =>
  (['left', 'right'] as const).map((side) => ({
    from: channel,
    to: side,
    gain: [
      { setting: 'output', values: { low: -20, high: -8 } },
      modeGain((channel === 'a') === (side === 'left')),
      when(`linked-${channel}`),
      when('power'),
    ],
    delay: RADIO_DELAY,
  })),
);

const twoChannelCircuit = (reference: string): CircuitElement[] => [
  { kind: 'sense', id: 'a', a: 'a.T', b: 'a.S', ohms: 10_000, noise: -112 },
  { kind: 'sense', id: 'b', a: 'b.T', b: 'b.S', ohms: 10_000, noise: -112 },
  { kind: 'drive', id: 'left', a: 'amp-left', b: reference, ohms: 10, clip: 0 },
  { kind: 'drive', id: 'right', a: 'amp-right', b: reference, ohms: 10, clip: 0 },
];

const twoChannelPorts = [radioIn('a', 'radio link A'), radioIn('b', 'radio link B')];

export const RECEIVERS: readonly Part[] = [
  {
    id: 'receiver-trs',
    battery: { hours: LASTS },
    name: 'Receiver, TRS output',
    family: 'receiver',
    summary: 'takes one clip-on pack; the same sound on tip and ring',
    price: 180,
    ports: [outPort(STEREO)],
    settings: [OUTPUT_LEVEL, ...LINK],
    circuit: [pack, ...outputLeg('T'), ...outputLeg('R')],
  },
  {
    id: 'receiver-tip-only',
    battery: { hours: LASTS },
    name: 'Receiver, tip-only output',
    family: 'receiver',
    summary: 'takes one clip-on pack; sound on the tip alone, ring not connected',
    price: 150,
    ports: [outPort({ T: 'left', S: 'ground' })],
    settings: [OUTPUT_LEVEL, ...LINK],
    circuit: [pack, ...outputLeg('T')],
  },
  {
    id: 'receiver-charge-only',
    battery: { hours: LASTS },
    name: 'Receiver, TRS output, USB socket that only charges',
    family: 'receiver',
    summary: 'takes one clip-on pack; its USB-C socket looks like an output and is none',
    price: 160,
    ports: [outPort(STEREO), usbPort('usb', 'USB-C socket', 'usb-c', 'jack')],
    settings: [OUTPUT_LEVEL, ...LINK],
    circuit: [pack, ...outputLeg('T'), ...outputLeg('R')],
    bus: { port: 'usb', registersAs: 'power', authenticated: false, draw: 300, captures: [] },
  },
  {
    id: 'receiver-both',
    battery: { hours: LASTS },
    name: 'Receiver, TRS and USB outputs',
    family: 'receiver',
    summary: 'takes one clip-on pack; analogue and a sound device: serves longest as ports change',
    price: 220,
    ports: [outPort(STEREO), usbPort('usb', 'USB-C socket', 'usb-c', 'jack')],
    settings: [OUTPUT_LEVEL, ...LINK],
    circuit: [pack, ...outputLeg('T'), ...outputLeg('R')],
    captures: [
      {
        id: 'pack',
        name: 'pack',
        port: 'usb',
        channels: [
          { side: 'left', plus: 'amp', minus: 'out.S' },
          { side: 'right', plus: 'amp', minus: 'out.S' },
        ],
        fullScale: dbV(-14),
        noise: dbV(-106),
      },
    ],
    bus: { port: 'usb', registersAs: 'audio', authenticated: false, draw: 120, captures: ['pack'] },
  },
  {
    id: 'receiver-two-channel',
    battery: { hours: LASTS },
    name: 'Receiver, two packs, TRS output',
    family: 'receiver',
    summary: 'mono: both packs on both sides; stereo: one pack a side',
    price: 240,
    ports: [...twoChannelPorts, outPort(STEREO)],
    settings: twoChannelSettings,
    circuit: [
      ...twoChannelCircuit('out.S'),
      { kind: 'wire', a: 'a.S', b: 'out.S' },
      { kind: 'wire', a: 'b.S', b: 'out.S' },
      ...outputLeg('T', 'amp-left'),
      ...outputLeg('R', 'amp-right'),
    ],
    paths: twoChannelPaths,
  },
  {
    id: 'receiver-two-channel-usb',
    name: 'Receiver, two packs, USB-C plug',
    family: 'receiver',
    summary: 'a plug-on sound device for two packs; mono or one pack a side',
    price: 230,
    ports: [...twoChannelPorts, usbPlug],
    settings: twoChannelSettings,
    power: [{ port: 'usb' }],
    circuit: [
      ...twoChannelCircuit('ground'),
      { kind: 'wire', a: 'a.S', b: 'ground' },
      { kind: 'wire', a: 'b.S', b: 'ground' },
    ],
    paths: twoChannelPaths,
    captures: [
      {
        id: 'packs',
        name: 'packs',
        port: 'usb',
        channels: [
          { side: 'left', plus: 'amp-left', minus: 'ground' },
          { side: 'right', plus: 'amp-right', minus: 'ground' },
        ],
        fullScale: dbV(-20),
        noise: dbV(-108),
      },
    ],
    bus: { port: 'usb', registersAs: 'audio', authenticated: false, draw: 100, captures: ['packs'] },
  },
  digitalReceiver(
    'receiver-usb',
    'Receiver, USB-C output',
    'takes one clip-on pack; a sound device on its own USB-C plug',
    190,
    usbPlug,
    false,
  ),
  digitalReceiver(
    'receiver-8-pin',
    'Receiver, 8-pin plug',
    'a plug-on receiver for one clip-on pack; authenticated',
    200,
    portWith(['plug', '8-pin plug', '8-pin'], 'plug', 'both', EIGHT_PIN_ROLES),
    true,
  ),
];

const radioOut = portWith(['radio', 'radio link', 'radio'], 'plug', 'out', { T: 'microphone', S: 'ground' });

/** Packs and plug-on transmitters; frequencies and power by the local rules. */
export const PACKS: readonly Part[] = [
  {
    id: 'pack-clip-on',
    name: 'Clip-on pack',
    family: 'pack',
    stands: 'worn',
    summary: 'own microphone, or a clip-on microphone in its socket; battery inside',
    price: 90,
    ports: [
      radioOut,
      portWith(
        ['mic', 'microphone socket', 'trs-3.5'],
        'jack',
        'in',
        { T: 'microphone', S: 'ground' },
        'plug-in-input',
      ),
      portWith(['charge', 'charging socket', 'usb-c'], 'jack', 'in', USB_ROLES),
    ],
    settings: [
      {
        kind: 'switch',
        id: 'microphone',
        name: 'Microphone',
        options: [
          { id: 'own', name: 'its own' },
          { id: 'socket', name: 'in its socket' },
        ],
        initial: 'own',
      },
      onOff('live', 'Live, not muted', 'on'),
      onOff('battery', 'Battery good', 'on'),
    ],
    power: [{ setting: 'battery', is: 'on' }],
    battery: { hours: LASTS, on: { setting: 'battery', is: 'on' } },
    circuit: [
      {
        kind: 'signal',
        id: 'own',
        hears: 'voice',
        a: 'own',
        b: 'radio.S',
        sensitivity: { setting: 'microphone', values: { own: -38, socket: -Infinity } },
        noise: -108,
      },
      { kind: 'sense', id: 'own', a: 'own', b: 'radio.S', ohms: 10_000, noise: -120 },
      { kind: 'supply', a: 'bias', b: 'mic.S', volts: 3 },
      { kind: 'resistor', a: 'bias', b: 'mic.T', ohms: 2200 },
      { kind: 'capacitor', a: 'mic.T', b: 'ac', farads: 2.2e-6 },
      { kind: 'sense', id: 'socket', a: 'ac', b: 'mic.S', ohms: 20_000, noise: -116 },
      { kind: 'wire', a: 'mic.S', b: 'radio.S' },
      { kind: 'drive', id: 'sent', a: 'radio.T', b: 'radio.S', ohms: 10, clip: 10 },
    ],
    paths: [
      { from: 'own', to: 'sent', gain: [26, { setting: 'live', values: { on: 0, off: -Infinity } }] },
      {
        from: 'socket',
        to: 'sent',
        gain: [
          28,
          { setting: 'live', values: { on: 0, off: -Infinity } },
          { setting: 'microphone', values: { own: -Infinity, socket: 0 } },
        ],
      },
    ],
  },
  {
    id: 'pack-plug-on',
    name: 'Plug-on transmitter, XLR',
    family: 'pack',
    stands: 'inline',
    summary: 'makes any XLR microphone wireless; phantom from its battery',
    price: 180,
    ports: [radioOut, xlrIn('mic', 'XLR holes')],
    settings: [
      onOff('phantom', '48 V', 'off'),
      onOff('live', 'Live, not muted', 'on'),
      onOff('battery', 'Battery good', 'on'),
    ],
    power: [{ setting: 'battery', is: 'on' }],
    battery: { hours: LASTS, on: { setting: 'battery', is: 'on' } },
    circuit: [
      ...microphoneInput('mic', 'phantom', 'in'),
      { kind: 'wire', a: 'mic.1', b: 'radio.S' },
      { kind: 'drive', id: 'sent', a: 'radio.T', b: 'radio.S', ohms: 10, clip: 10 },
    ],
    paths: [{ from: 'in', to: 'sent', gain: [40, { setting: 'live', values: { on: 0, off: -Infinity } }] }],
  },
];
