import { dbV, volts } from '../../units';
import {
  EIGHT_PIN_ROLES,
  hostVolume,
  MONO_ROLES,
  knob,
  microphoneInput,
  onOff,
  phonesOut,
  playbackInto,
  portWith,
  stereoOutput,
  usbPort,
  xlrIn,
} from '../model/builders';
import { headsetCapture, headsetCircuit, headsetJack } from '../model/headset-input';
import type { CircuitElement, Part, PartPort } from '../model/types.generated';

const headsetPlug: PartPort = portWith(['plug', 'plug with three dark bands', 'trrs-3.5'], 'plug', 'both', {
  T: 'left',
  R1: 'right',
  R2: 'ground',
  S: 'microphone',
});

/** Onto the microphone contact: about 1.5 kΩ, blocked, 40 dB under the stage. Typical. */
const ontoHeadset: CircuitElement[] = [
  { kind: 'drive', id: 'out', a: 'stage', b: 'plug.R2', ohms: 100, clip: 3 },
  { kind: 'capacitor', a: 'stage', b: 'blocked', farads: 10e-6 },
  { kind: 'resistor', a: 'blocked', b: 'plug.S', ohms: 100_000 },
  { kind: 'resistor', a: 'plug.S', b: 'plug.R2', ohms: 1500 },
];

/** Phone’s sound to the headphone socket; one’s own voice is left out. */
const throughPhones: CircuitElement[] = [
  { kind: 'wire', a: 'plug.T', b: 'phones.T' },
  { kind: 'wire', a: 'plug.R1', b: 'phones.R' },
  { kind: 'wire', a: 'plug.R2', b: 'phones.S' },
  { kind: 'wire', a: 'plug.R2', b: 'ground' },
];

const battery = onOff('battery', 'Battery good', 'on');
/** Alkaline, 9 V: about 500 mAh, 4.2 Wh in all; the preamplifier with phantom takes about 30 mA. Typical. */
const NINE_VOLTS = {
  cells: '9 V',
  wattHours: { typical: 4.2, least: 3.5, most: 4.8 },
  milliwatts: { setting: 'phantom', values: { on: 300, off: 150 } },
  on: { setting: 'battery', is: 'on' },
} as const;

/** A sound device at one end of a lead: stereo line in, converter, digital plug. */
const converterCable = (
  id: string,
  name: string,
  price: number,
  plug: PartPort,
  authenticated: boolean,
): Part => ({
  id,
  name,
  family: 'interface',
  summary: 'stereo 3.5 mm plug, a converter in the other end; weighs least on the port',
  price,
  length: 0.3,
  ports: [
    portWith(['in', '3.5 mm plug', 'trs-3.5'], 'plug', 'in', { T: 'left', R: 'right', S: 'ground' }),
    plug,
  ],
  circuit: (['T', 'R'] as const).flatMap((side): CircuitElement[] => [
    { kind: 'capacitor', a: `in.${side}`, b: `adc-${side}`, farads: 2.2e-6 },
    { kind: 'resistor', a: `adc-${side}`, b: 'in.S', ohms: 10_000 },
  ]),
  captures: [
    {
      id: 'line',
      name: 'line input',
      port: plug.id,
      channels: [
        { side: 'left', plus: 'adc-T', minus: 'in.S', socket: 'in' },
        { side: 'right', plus: 'adc-R', minus: 'in.S', socket: 'in' },
      ],
      // Made for receivers: full scale and noise typical.
      fullScale: dbV(-10),
      noise: dbV(-102),
    },
  ],
  bus: { port: plug.id, registersAs: 'audio', authenticated, draw: 50, captures: ['line'] },
});

/** A small USB sound device: a microphone input with bias rather than a line input. */
const smallDevice = (
  id: string,
  name: string,
  ports: readonly PartPort[],
  circuit: readonly CircuitElement[],
  rest: Pick<Part, 'captures'>,
): Part => ({
  id,
  name,
  family: 'interface',
  summary: 'microphone input with bias, headphone output; not made for line level',
  price: 12,
  ports: [...ports, usbPort('usb', 'USB-A plug', 'usb-a', 'plug')],
  settings: [hostVolume('System volume')],
  circuit,
  paths: circuit.some((e) => e.kind === 'drive')
    ? (['left', 'right'] as const).map((side) => ({
        from: `play-${side}`,
        to: `phones-${side}`,
        gain: [{ knob: 'volume' }],
      }))
    : [],
  ...rest,
  bus: {
    port: 'usb',
    registersAs: 'audio',
    authenticated: false,
    draw: 100,
    captures: (rest.captures ?? []).map((c) => c.id),
    plays: true,
  },
});

export const MOBILE_INTERFACES: readonly Part[] = [
  {
    id: 'mobile-guitar',
    name: 'Mobile guitar interface, headset plug',
    family: 'interface',
    summary: '6.35 mm high-impedance input onto the microphone contact, which feeds it; headphone socket',
    price: 20,
    ports: [
      portWith(['in', 'guitar input', 'ts-6.35'], 'jack', 'in', MONO_ROLES),
      phonesOut('trs-3.5'),
      headsetPlug,
    ],
    settings: [knob('level', 'Level', -40, 0, -10)],
    circuit: [
      { kind: 'sense', id: 'in', a: 'in.T', b: 'in.S', ohms: 500_000, noise: -105 },
      { kind: 'wire', a: 'in.S', b: 'ground' },
      ...ontoHeadset,
      ...throughPhones,
    ],
    paths: [{ from: 'in', to: 'out', gain: [{ knob: 'level' }] }],
    // It has no battery: a phone’s 2 V and more behind 2.2 kΩ leave this. Typical.
    stagesNeed: { plus: 'plug.S', minus: 'plug.R2', volts: volts(0.5) },
    noticedWith: 'phones',
  },
  {
    id: 'mobile-voice',
    name: 'Mobile voice interface, XLR, headset plug',
    family: 'interface',
    summary: 'microphone preamplifier with 48 V and a battery; headphone socket with the phone’s sound',
    price: 50,
    ports: [xlrIn('mic', 'XLR input'), phonesOut('trs-3.5'), headsetPlug],
    settings: [onOff('phantom', '48 V', 'off'), knob('gain', 'Gain', 0, 60, 30), battery],
    power: [{ setting: 'battery', is: 'on' }],
    battery: NINE_VOLTS,
    circuit: [
      ...microphoneInput('mic', 'phantom', 'in'),
      { kind: 'wire', a: 'mic.1', b: 'ground' },
      ...ontoHeadset,
      ...throughPhones,
    ],
    paths: [{ from: 'in', to: 'out', gain: [{ knob: 'gain' }] }],
    noticedWith: 'phones',
  },
  {
    id: 'mobile-preamp',
    name: 'Mobile microphone preamplifier, headset lead',
    family: 'interface',
    summary: 'XLR with 48 V from its battery; a level knob; noticed with or without headphones',
    price: 60,
    ports: [xlrIn('mic', 'XLR input'), phonesOut('trs-3.5'), headsetPlug],
    settings: [onOff('phantom', '48 V', 'off'), knob('gain', 'Gain', 0, 60, 36), battery],
    power: [{ setting: 'battery', is: 'on' }],
    battery: NINE_VOLTS,
    circuit: [
      ...microphoneInput('mic', 'phantom', 'in'),
      { kind: 'wire', a: 'mic.1', b: 'ground' },
      ...ontoHeadset,
      ...throughPhones,
    ],
    paths: [{ from: 'in', to: 'out', gain: [{ knob: 'gain' }] }],
  },
  {
    id: 'line-streamer',
    name: 'Line streamer, RCA to USB',
    family: 'interface',
    summary: 'a stereo line pair into a sound device, for mixers and players',
    price: 100,
    ports: [
      portWith(['left', 'RCA left', 'rca'], 'jack', 'in', { T: 'left', S: 'ground' }),
      portWith(['right', 'RCA right', 'rca'], 'jack', 'in', { T: 'right', S: 'ground' }),
      phonesOut('trs-3.5'),
      usbPort('usb', 'USB-C plug on its lead', 'usb-c', 'plug'),
    ],
    settings: [knob('level', 'Level', -20, 10, 0), knob('phones', 'Headphones', -60, 0, -10)],
    power: [{ port: 'usb' }],
    circuit: [
      { kind: 'sense', id: 'left', a: 'left.T', b: 'left.S', ohms: 10_000, noise: -105 },
      { kind: 'sense', id: 'right', a: 'right.T', b: 'right.S', ohms: 10_000, noise: -105 },
      { kind: 'wire', a: 'left.S', b: 'ground' },
      { kind: 'wire', a: 'right.S', b: 'ground' },
      { kind: 'wire', a: 'phones.S', b: 'ground' },
      { kind: 'drive', id: 'adc-left', a: 'adc-l', b: 'ground', ohms: 100, clip: 20 },
      { kind: 'drive', id: 'adc-right', a: 'adc-r', b: 'ground', ohms: 100, clip: 20 },
      ...playbackInto(0),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 22, 3),
    ],
    paths: (['left', 'right'] as const).flatMap((side) => [
      { from: side, to: `adc-${side}`, gain: [{ knob: 'level' }] },
      { from: side, to: `phones-${side}`, gain: [{ knob: 'phones' }] },
      { from: `play-${side}`, to: `phones-${side}`, gain: [{ knob: 'phones' }] },
    ]),
    captures: [
      {
        id: 'line',
        name: 'line input',
        port: 'usb',
        channels: [
          { side: 'left', plus: 'adc-l', minus: 'ground', socket: 'left' },
          { side: 'right', plus: 'adc-r', minus: 'ground', socket: 'right' },
        ],
        // Full scale +8 dBV, typical of a line input.
        fullScale: dbV(8),
        noise: dbV(-98),
      },
    ],
    bus: {
      port: 'usb',
      registersAs: 'audio',
      authenticated: false,
      draw: 100,
      captures: ['line'],
      plays: true,
    },
  },
  converterCable(
    'cable-converter-usb-c',
    'Converter cable, 3.5 mm to USB-C',
    45,
    usbPort('plug', 'USB-C plug', 'usb-c', 'plug'),
    false,
  ),
  converterCable(
    'cable-converter-8-pin',
    'Converter cable, 3.5 mm to 8-pin',
    70,
    portWith(['plug', '8-pin plug', '8-pin'], 'plug', 'both', EIGHT_PIN_ROLES),
    true,
  ),
  smallDevice(
    'usb-sound-trs',
    'Small USB sound device, TRS sockets',
    [
      portWith(
        ['mic', 'microphone socket', 'trs-3.5'],
        'jack',
        'in',
        {
          T: 'microphone',
          R: 'bias',
          S: 'ground',
        },
        'plug-in-input',
      ),
      phonesOut('trs-3.5'),
    ],
    [
      // Bias on the ring and, through 2.2 kΩ, on the tip: typical.
      { kind: 'supply', a: 'bias', b: 'mic.S', volts: 2.5, fedBy: 'usb' },
      { kind: 'resistor', a: 'bias', b: 'mic.T', ohms: 2200 },
      { kind: 'resistor', a: 'bias', b: 'mic.R', ohms: 2200 },
      { kind: 'capacitor', a: 'mic.T', b: 'adc', farads: 1e-6 },
      { kind: 'resistor', a: 'adc', b: 'mic.S', ohms: 10_000 },
      { kind: 'wire', a: 'mic.S', b: 'ground' },
      { kind: 'wire', a: 'phones.S', b: 'ground' },
      ...playbackInto(-3),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 10, -3),
    ],
    {
      captures: [
        {
          id: 'mic',
          name: 'microphone input',
          port: 'usb',
          channels: [{ side: 'mono', plus: 'adc', minus: 'mic.S', socket: 'mic' }],
          fullScale: dbV(-24),
          noise: dbV(-108),
        },
      ],
    },
  ),
  smallDevice(
    'usb-sound-trrs',
    'Small USB sound device, headset socket',
    [headsetJack('jack', 'ctia')],
    headsetCircuit('jack', 'ctia', 'usb', { knob: 'volume' }),
    { captures: [{ ...headsetCapture('jack', 'ctia') }] },
  ),
];
