import { dbV } from '../../units';
import {
  MONO_ROLES,
  STEREO_ROLES,
  jackInput,
  knob,
  microphoneInput,
  onOff,
  phonesOut,
  portWith,
  stereoOutput,
  xlrIn,
} from '../model/builders';
import { ownMicrophone } from './hosts';
import type { CircuitElement, Part, PartPort } from '../model/types.generated';

const SIDES = ['left', 'right'] as const;
const micJack = portWith(['mic', 'mic jack', 'trs-3.5'], 'jack', 'in', STEREO_ROLES, 'plug-in-input');

/** A stereo microphone jack with plug-in power, 2–5 V through 2.2 kΩ: typical. */
const micJackCircuit = (impedance: number): CircuitElement[] => [
  { kind: 'supply', a: 'bias', b: 'mic.S', volts: 3 },
  { kind: 'resistor', a: 'bias', b: 'mic.T', ohms: 2200 },
  { kind: 'resistor', a: 'bias', b: 'mic.R', ohms: 2200 },
  { kind: 'capacitor', a: 'mic.T', b: 'adc-left', farads: 2.2e-6 },
  { kind: 'capacitor', a: 'mic.R', b: 'adc-right', farads: 2.2e-6 },
  { kind: 'resistor', a: 'adc-left', b: 'mic.S', ohms: impedance },
  { kind: 'resistor', a: 'adc-right', b: 'mic.S', ohms: impedance },
];

/** A camera's headphone jack: what it records, played. */
const headphoneJack: CircuitElement[] = [
  { kind: 'wire', a: 'mic.S', b: 'phones.S' },
  ...SIDES.flatMap((side): CircuitElement[] => [
    {
      kind: 'signal',
      id: `playback-${side}`,
      hears: 'playback',
      a: `out-${side}`,
      b: 'mic.S',
      sensitivity: -6,
    },
    { kind: 'resistor', a: `out-${side}`, b: side === 'left' ? 'phones.T' : 'phones.R', ohms: 16 },
  ]),
];

interface CameraPlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly phones: boolean;
}

/** From one notch of a camera's microphone level to the next, dB. Typical, from memory. */
const NOTCH = 3;

/** A camera with a stereo microphone jack. At its usual first notch: full-scale sine and noise typical. */
const camera = ({ phones, ...plan }: CameraPlan): Part => ({
  ...plan,
  family: 'camera',
  ports: [micJack, ...(phones ? [phonesOut('trs-3.5')].map(named('headphone jack')) : [])],
  settings: [{ ...knob('gain', 'Microphone level', 0, 30, 0), notch: NOTCH }],
  // Filming on its battery: typical.
  battery: { hours: { typical: 2, least: 1.5, most: 3 } },
  circuit: [...micJackCircuit(10_000), ...(phones ? headphoneJack : [])],
  captures: [
    {
      id: 'mic',
      name: 'mic jack',
      port: 'mic',
      channels: SIDES.map((side) => ({ side, plus: `adc-${side}`, minus: 'mic.S' })),
      fullScale: dbV(-24),
      noise: dbV(-110),
      gain: { knob: 'gain' },
    },
  ],
  host: {
    word: 'camera',
    ownMicrophone: ownMicrophone('the camera’s own microphone'),
    selects: 'when-plugged',
    busPorts: [],
    runsApps: false,
  },
});

const named =
  (name: string) =>
  (port: PartPort): PartPort => ({ ...port, name });

export const CAMERAS: readonly Part[] = [
  camera({
    id: 'camera-trs',
    name: 'Camera, TRS mic jack',
    summary: 'stereo microphone jack with plug-in power, and a headphone jack beside it',
    price: 600,
    phones: true,
  }),
  camera({
    id: 'camera-trs-plain',
    name: 'Camera, TRS mic jack, no headphone jack',
    summary: 'stereo microphone jack with plug-in power; nothing to listen on',
    price: 350,
    phones: false,
  }),
];

const XLRS = [1, 2] as const;

/** Recorders: a backup that costs little and proves a source. */
export const RECORDERS: readonly Part[] = [
  {
    id: 'recorder-xlr',
    name: 'Portable recorder, two XLR inputs',
    family: 'recorder',
    summary: 'two microphone inputs with 48 V onto its card; headphones',
    price: 180,
    ports: [
      xlrIn('mic-1', 'XLR input 1'),
      xlrIn('mic-2', 'XLR input 2'),
      phonesOut('trs-3.5'),
      portWith(['out', 'line output', 'trs-3.5'], 'jack', 'out', STEREO_ROLES),
    ],
    settings: [
      onOff('phantom', '48 V', 'off'),
      knob('gain-1', 'Gain 1', 0, 60, 30),
      knob('gain-2', 'Gain 2', 0, 60, 30),
      knob('phones', 'Headphones', -40, 0, 0),
      onOff('battery', 'Battery good', 'on'),
    ],
    power: [{ setting: 'battery', is: 'on' }],
    battery: { hours: { typical: 8, least: 5, most: 12 }, on: { setting: 'battery', is: 'on' } },
    circuit: [
      ...XLRS.flatMap((n): CircuitElement[] => [
        ...microphoneInput(`mic-${n}`, 'phantom', `in-${n}`),
        { kind: 'wire', a: `mic-${n}.1`, b: 'ground' },
        { kind: 'drive', id: `adc-${n}`, a: `adc-${n}`, b: 'ground', ohms: 100, clip: 30 },
      ]),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 22, 0),
      ...stereoOutput('out', ['out-left', 'out-right'], 470, 3),
      { kind: 'wire', a: 'phones.S', b: 'ground' },
      { kind: 'wire', a: 'out.S', b: 'ground' },
    ],
    paths: XLRS.flatMap((n) => {
      const side = n === 1 ? 'left' : 'right';
      const gain = [{ knob: `gain-${n}` }];
      return [
        ...[`adc-${n}`, `out-${side}`].map((to) => ({ from: `in-${n}`, to, gain })),
        { from: `in-${n}`, to: `phones-${side}`, gain: [...gain, { knob: 'phones' }] },
      ];
    }),
    captures: [
      {
        id: 'xlr',
        name: 'XLR inputs',
        port: 'mic-1',
        channels: XLRS.map((n) => ({
          side: n === 1 ? ('left' as const) : ('right' as const),
          plus: `adc-${n}`,
          minus: 'ground',
          socket: `mic-${n}`,
        })),
        fullScale: dbV(4),
        noise: dbV(-102),
      },
    ],
    host: {
      word: 'recorder',
      ownMicrophone: ownMicrophone('the recorder’s own microphones'),
      selects: 'when-plugged',
      busPorts: [],
      runsApps: false,
    },
  },
  {
    id: 'recorder-small',
    name: 'Pocket recorder, line and microphone jack',
    family: 'recorder',
    summary: 'one 3.5 mm jack; a menu says microphone or line',
    price: 80,
    ports: [portWith(['mic', '3.5 mm jack', 'trs-3.5'], 'jack', 'in', STEREO_ROLES, 'plug-in-input')],
    settings: [
      {
        kind: 'switch',
        id: 'kind',
        name: 'Jack takes',
        options: [
          { id: 'microphone', name: 'microphone' },
          { id: 'line', name: 'line' },
        ],
        initial: 'microphone',
      },
      knob('level', 'recording level', 0, 30, 0),
    ],
    circuit: micJackCircuit(10_000),
    captures: [
      {
        id: 'mic',
        name: 'jack',
        port: 'mic',
        // Its level goes so far up: typical.
        channels: SIDES.map((side) => ({
          side,
          plus: `adc-${side}`,
          minus: 'mic.S',
          gain: { knob: 'level' },
        })),
        fullScale: dbV(-24),
        noise: dbV(-110),
        // Line is 30 dB less sensitive: typical.
        gain: { setting: 'kind', values: { microphone: 0, line: -30 } },
      },
    ],
    host: {
      word: 'recorder',
      ownMicrophone: ownMicrophone('the recorder’s own microphones'),
      selects: 'when-plugged',
      busPorts: [],
      runsApps: false,
    },
  },
  {
    id: 'recorder-line',
    name: 'Rack recorder, line inputs',
    family: 'recorder',
    summary: 'balanced stereo line inputs onto its card',
    price: 300,
    ports: SIDES.map((side) =>
      portWith([`line-${side}`, `line input ${side}`, 'trs-6.35'], 'jack', 'in', {
        ...MONO_ROLES,
        R: 'cold',
      }),
    ),
    circuit: SIDES.flatMap((side): CircuitElement[] => [
      ...jackInput(`line-${side}`, `in-${side}`),
      { kind: 'drive', id: `adc-${side}`, a: `adc-${side}`, b: 'ground', ohms: 100, clip: 30 },
    ]),
    paths: SIDES.map((side) => ({ from: `in-${side}`, to: `adc-${side}`, gain: [0] })),
    captures: [
      {
        id: 'line',
        name: 'line inputs',
        port: 'line-left',
        channels: SIDES.map((side) => ({
          side,
          plus: `adc-${side}`,
          minus: 'ground',
          socket: `line-${side}`,
        })),
        // +18 dBu full scale (EBU R 68: 0 dBu is −18 dBFS).
        fullScale: dbV(15.8),
        noise: dbV(-92),
      },
    ],
    host: {
      word: 'recorder',
      ownMicrophone: ownMicrophone('no microphone of its own'),
      selects: 'when-plugged',
      busPorts: [],
      runsApps: false,
    },
  },
];
