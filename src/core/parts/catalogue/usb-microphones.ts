import { dbV } from '../../units';
import {
  XLR_ROLES,
  knob,
  onOff,
  phonesOut,
  playbackInto,
  portWith,
  stereoOutput,
  usbPort,
  when,
} from '../model/builders';
import type { CircuitElement, Part } from '../model/types.generated';

interface UsbMicPlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly draw: number;
  /** What it really takes with its lights on and off, mA. */
  readonly lights?: { readonly on: number; readonly off: number };
  readonly phones: boolean;
  readonly connector: 'usb-c' | 'usb-b' | 'usb-micro';
  readonly mute?: boolean;
}

const SOCKET = { 'usb-c': 'USB-C socket', 'usb-b': 'USB-B socket', 'usb-micro': 'micro USB socket' };
const SIDES = ['left', 'right'] as const;

/** Headphones with direct monitoring and the host's playback. */
const phonesCircuit: CircuitElement[] = [
  ...stereoOutput('phones', ['phones-left', 'phones-right'], 22, 0),
  { kind: 'wire', a: 'phones.S', b: 'ground' },
  ...playbackInto(-3),
];

/** A microphone that is its own sound device: −34 dBV/Pa, full scale at 120 dB SPL without gain. Typical. */
const usbMicrophone = ({ connector, phones, draw, lights, mute, ...plan }: UsbMicPlan): Part => ({
  ...plan,
  family: 'microphone',
  pattern: 'cardioid',
  ports: [usbPort('usb', SOCKET[connector], connector, 'jack'), ...(phones ? [phonesOut('trs-3.5')] : [])],
  settings: [
    knob('gain', 'Gain', 0, 40, 20),
    ...(phones ? [knob('phones', 'Headphones', -60, 0, -10), onOff('direct', 'Direct', 'on')] : []),
    ...(mute ? [onOff('live', 'Microphone live', 'on')] : []),
    ...(lights ? [onOff('lights', 'Lights', 'on')] : []),
  ],
  power: [{ port: 'usb' }],
  circuit: [
    {
      kind: 'signal',
      id: 'capsule',
      hears: 'voice',
      a: 'amp',
      b: 'ground',
      sensitivity: mute ? { setting: 'live', values: { on: -34, off: -Infinity } } : -34,
      noise: -112,
    },
    { kind: 'sense', id: 'capsule', a: 'amp', b: 'ground', ohms: 10_000, noise: -125 },
    ...(phones ? phonesCircuit : []),
  ],
  paths: phones
    ? SIDES.flatMap((side) => [
        {
          from: 'capsule',
          to: `phones-${side}`,
          gain: [{ knob: 'gain' }, when('direct'), { knob: 'phones' }],
        },
        { from: `play-${side}`, to: `phones-${side}`, gain: [{ knob: 'phones' }] },
      ])
    : [],
  captures: [
    {
      id: 'capsule',
      name: 'microphone',
      port: 'usb',
      channels: SIDES.map((side) => ({ side, plus: 'amp', minus: 'ground' })),
      fullScale: dbV(-8),
      noise: dbV(-114),
      gain: { knob: 'gain' },
    },
  ],
  bus: {
    port: 'usb',
    registersAs: 'audio',
    authenticated: false,
    draw,
    ...(lights && { takes: { setting: 'lights', values: lights } }),
    captures: ['capsule'],
    plays: phones,
  },
});

/** The capsule works without USB; its headphone amplifier does not, which is said where it is made whole. */
const { power: _none, ...dual } = usbMicrophone({
  id: 'dual-mic',
  name: 'Dynamic microphone, USB and XLR',
  summary: 'a sound device and an XLR output in one',
  price: 80,
  draw: 100,
  phones: true,
  connector: 'usb-c',
});

export const USB_MICROPHONES: readonly Part[] = [
  usbMicrophone({
    id: 'usb-mic-low',
    name: 'USB microphone, low draw',
    summary: 'asks for little current; no headphone socket',
    price: 50,
    draw: 70,
    phones: false,
    connector: 'usb-c',
  }),
  usbMicrophone({
    id: 'usb-mic-low-phones',
    name: 'USB microphone, low draw, headphone socket',
    summary: 'asks for little current; direct monitoring',
    price: 70,
    draw: 100,
    phones: true,
    connector: 'usb-c',
    mute: true,
  }),
  usbMicrophone({
    id: 'usb-mic-big',
    name: 'USB desk microphone, hungry',
    summary: 'asks for 350 mA; headphone socket with direct monitoring',
    price: 110,
    draw: 350,
    phones: true,
    connector: 'usb-b',
    mute: true,
  }),
  usbMicrophone({
    id: 'usb-mic-big-plain',
    name: 'USB desk microphone, no headphone socket',
    summary: 'asks for 200 mA',
    price: 60,
    draw: 200,
    phones: false,
    connector: 'usb-micro',
  }),
  usbMicrophone({
    id: 'usb-mic-lights',
    name: 'USB microphone with lights',
    summary: 'declares 100 mA and takes 260 when its lights are on',
    price: 45,
    draw: 100,
    lights: { on: 260, off: 100 },
    phones: true,
    connector: 'usb-c',
  }),
  {
    ...dual,
    ports: [
      usbPort('usb', 'USB-C socket', 'usb-c', 'jack'),
      phonesOut('trs-3.5'),
      portWith(['out', 'XLR output', 'xlr-3'], 'plug', 'out', XLR_ROLES, 'moving-coil'),
    ],
    circuit: [
      // −57 dBV/Pa behind 150 Ω: typical.
      { kind: 'signal', id: 'coil', hears: 'voice', a: 'coil', b: 'out.3', sensitivity: -57 },
      { kind: 'resistor', a: 'coil', b: 'out.2', ohms: 150 },
      { kind: 'resistor', a: 'out.3', b: 'ground', ohms: 1e6 },
      { kind: 'sense', id: 'capsule', a: 'coil', b: 'out.3', ohms: 10_000, noise: -128 },
      { kind: 'drive', id: 'amp', a: 'amp', b: 'ground', ohms: 100, clip: 10 },
      ...phonesCircuit,
    ],
    paths: [
      { from: 'capsule', to: 'amp', gain: [23] },
      ...SIDES.flatMap((side) => [
        {
          from: 'capsule',
          to: `phones-${side}`,
          gain: [23, { knob: 'gain' }, when('direct'), { knob: 'phones' }],
          fedBy: 'usb',
        },
        { from: `play-${side}`, to: `phones-${side}`, gain: [{ knob: 'phones' }], fedBy: 'usb' },
      ]),
    ],
  },
];
