import { dbV } from '../../units';
import {
  balancedOutput,
  jackIn,
  jackInput,
  knob,
  lineOrInstrument,
  oneOf,
  microphoneInput,
  onOff,
  ontoBalanced,
  phonesOut,
  playbackInto,
  portWith,
  stereoOutput,
  usbPort,
  when,
  xlrIn,
  BALANCED_ROLES,
  USB_ROLES,
} from '../model/builders';
import type {
  CaptureChannel,
  CircuitElement,
  GainPath,
  Part,
  PartPort,
  PowerSource,
  Quantity,
} from '../model/types.generated';

const gain: Quantity = { knob: 'gain' };
const SIDES = ['left', 'right'] as const;

/** Full scale at no gain, +10 dBu, and the converter's share of the noise: typical. */
const FULL_SCALE = dbV(7.8);
const CONVERTER_NOISE = dbV(-105);

/** Full-scale playback, 0 dBV inside, leaves at +4 dBV; what fills the converter leaves as loud. Typical. */
const PLAYBACK_OUT = 4;
const DIRECT_OUT = PLAYBACK_OUT - FULL_SCALE;

interface InterfacePlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  /** How many inputs have a microphone preamplifier; `lines`: further line inputs. */
  readonly inputs: number;
  readonly lines?: number;
  readonly usb: PartPort;
  readonly draw: { readonly on: number; readonly off: number };
  /** Feeds itself by these; from the bus where absent. */
  readonly power?: readonly PowerSource[];
  readonly powerPort?: PartPort;
  readonly powerSwitch?: NonNullable<Part['settings']>[number];
  readonly speed?: 'full' | 'high';
  readonly outputs?: boolean;
}

const numbers = (count: number, from = 1) => Array.from({ length: count }, (_, i) => from + i);

/** Ports, settings, circuit and paths of one input with XLR and 6.35 mm sockets. */
function comboInput(n: number, phantomFedBy: string) {
  const settings = [
    knob(`gain-${n}`, `Gain ${n}`, 0, 56, 30),
    lineOrInstrument(`kind-${n}`, `Input ${n}, 6.35 mm socket`),
  ];
  const ports = [
    { ...oneOf('microphone', xlrIn(`mic-${n}`, `XLR input ${n}`)), opening: `combo-${n}` },
    { ...oneOf('jack', jackIn(`line-${n}`, `6.35 mm input ${n}`)), opening: `combo-${n}` },
  ];
  const circuit: CircuitElement[] = [
    ...microphoneInput(`mic-${n}`, 'phantom', `xlr-${n}`, phantomFedBy),
    ...jackInput(`line-${n}`, `jack-${n}`, `kind-${n}`),
    { kind: 'wire', a: `mic-${n}.1`, b: 'ground' },
    { kind: 'drive', id: `adc-${n}`, a: `adc-${n}`, b: 'ground', ohms: 100, clip: 30 },
  ];
  const paths: GainPath[] = [
    { from: `xlr-${n}`, to: `adc-${n}`, gain: [{ knob: `gain-${n}` }] },
    {
      from: `jack-${n}`,
      to: `adc-${n}`,
      // A line signal is taken down ahead of the same gain; an instrument's is not: typical.
      gain: [{ knob: `gain-${n}` }, { setting: `kind-${n}`, values: { line: -26, instrument: -6 } }],
    },
    ...SIDES.flatMap((side) => [
      {
        from: `xlr-${n}`,
        to: `phones-${side}`,
        gain: [{ knob: `gain-${n}` }, when('direct'), { knob: 'phones' }],
      },
      {
        from: `jack-${n}`,
        to: `phones-${side}`,
        gain: [
          { knob: `gain-${n}` },
          { setting: `kind-${n}`, values: { line: -26, instrument: -6 } },
          when('direct'),
          { knob: 'phones' },
        ],
      },
    ]),
  ];
  return { settings, ports, circuit, paths, direct: directOf(n) };
}

/** The direct microphone in the line outputs, beside the playback, by the same switch as in the headphones. */
const directOf = (n: number): GainPath[] =>
  SIDES.flatMap((side) => [
    ...ontoBalanced(`xlr-${n}`, `main-${side}`, [{ knob: `gain-${n}` }, when('direct'), DIRECT_OUT]),
    ...ontoBalanced(`jack-${n}`, `main-${side}`, [
      { knob: `gain-${n}` },
      { setting: `kind-${n}`, values: { line: -26, instrument: -6 } },
      when('direct'),
      DIRECT_OUT,
    ]),
  ]);

/** A line input without a preamplifier. */
function lineInput(n: number) {
  return {
    settings: [],
    ports: [oneOf('line', jackIn(`line-${n}`, `6.35 mm input ${n}`))],
    circuit: [
      ...jackInput(`line-${n}`, `jack-${n}`),
      { kind: 'drive', id: `adc-${n}`, a: `adc-${n}`, b: 'ground', ohms: 100, clip: 30 } as const,
    ],
    paths: [{ from: `jack-${n}`, to: `adc-${n}`, gain: [-4] }],
    direct: [] as GainPath[],
  };
}

const channelOf = (n: number, plan: InterfacePlan): CaptureChannel => ({
  side: n > 2 ? 'further' : plan.inputs + (plan.lines ?? 0) === 1 ? 'mono' : n === 1 ? 'left' : 'right',
  plus: `adc-${n}`,
  minus: 'ground',
  socket: n > plan.inputs ? `line-${n}` : `mic-${n}`,
});

/** What it is to its host. Draw: typical, phantom included. */
const busOf = (plan: InterfacePlan, count: number): NonNullable<Part['bus']> => ({
  port: plan.usb.id,
  registersAs: 'audio',
  authenticated: false,
  draw: { setting: 'phantom', values: plan.draw },
  captures: ['in'],
  plays: true,
  format: { inputs: count, outputs: 2, bits: 24, rate: 48_000, speed: plan.speed ?? 'high' },
});

/** An interface with numbered inputs, headphones with direct monitoring, and line outputs. */
function interfacePart(plan: InterfacePlan): Part {
  const inputs = [
    ...numbers(plan.inputs).map((n) => comboInput(n, plan.usb.id)),
    ...numbers(plan.lines ?? 0, plan.inputs + 1).map((n) => lineInput(n)),
  ];
  const outputs = plan.outputs === false ? [] : SIDES;
  const count = inputs.length;
  return {
    id: plan.id,
    name: plan.name,
    family: 'interface',
    summary: plan.summary,
    price: plan.price,
    ...(count > 1 && { stands: 'table' as const }),
    ports: [
      ...inputs.flatMap((input) => input.ports),
      plan.usb,
      ...(plan.powerPort ? [plan.powerPort] : []),
      phonesOut('trs-6.35'),
      ...outputs.map((side) =>
        portWith([`out-${side}`, `line output ${side}`, 'trs-6.35'], 'jack', 'out', BALANCED_ROLES),
      ),
    ],
    settings: [
      onOff('phantom', '48 V', 'off'),
      ...inputs.flatMap((input) => input.settings),
      onOff('direct', 'Direct', 'on'),
      knob('phones', 'Headphones', -60, 10, -10),
      ...(plan.powerSwitch ? [plan.powerSwitch] : []),
    ],
    // Its unit has two pins.
    ...(plan.powerSwitch && {
      mains: { class: 'insulated', on: { setting: plan.powerSwitch.id, is: 'on' } },
    }),
    circuit: [
      ...inputs.flatMap((input) => input.circuit),
      ...playbackInto(0),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 22, 3),
      { kind: 'wire', a: 'phones.S', b: 'ground' },
      ...outputs.flatMap((side) => balancedOutput(`out-${side}`, `main-${side}`)),
    ],
    paths: [
      ...inputs.flatMap((input) => input.paths),
      ...SIDES.map((side) => ({ from: `play-${side}`, to: `phones-${side}`, gain: [{ knob: 'phones' }] })),
      ...outputs.flatMap((side) => ontoBalanced(`play-${side}`, `main-${side}`, [PLAYBACK_OUT])),
      ...(outputs.length > 0 ? inputs.flatMap((input) => input.direct) : []),
    ],
    captures: [
      {
        id: 'in',
        name: count === 1 ? 'input 1' : `inputs 1 to ${count}`,
        port: plan.usb.id,
        channels: numbers(count).map((n) => channelOf(n, plan)),
        fullScale: FULL_SCALE,
        noise: CONVERTER_NOISE,
      },
    ],
    power: [...(plan.power ?? []), { port: plan.usb.id }],
    bus: busOf(plan, count),
  };
}

const usbC = usbPort('usb', 'USB-C socket', 'usb-c', 'jack');
const usbB = usbPort('usb', 'USB-B socket', 'usb-b', 'jack');
const captive = usbPort('usb', 'USB-C plug on its lead', 'usb-c', 'plug');
const mains = onOff('mains', 'Mains unit', 'on');

export const INTERFACES: readonly Part[] = [
  {
    id: 'interface-one-input',
    name: 'Interface, one XLR input, USB-C',
    family: 'interface',
    summary: 'microphone preamplifier with 48 V, headphones with direct monitoring; fed by USB',
    price: 110,
    ports: [xlrIn('mic', 'XLR input'), captive, phonesOut('trs-6.35')],
    settings: [
      onOff('phantom', '48 V', 'off'),
      knob('gain', 'Gain', 0, 60, 30),
      onOff('direct', 'Direct', 'on'),
    ],
    power: [{ port: 'usb' }],
    circuit: [
      ...microphoneInput('mic', 'phantom', 'in', 'usb'),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 22, 3),
      ...playbackInto(0),
      { kind: 'wire', a: 'mic.1', b: 'phones.S' },
      { kind: 'wire', a: 'phones.S', b: 'ground' },
    ],
    paths: SIDES.flatMap((side) => [
      { from: 'in', to: `phones-${side}`, gain: [gain, when('direct')] },
      { from: `play-${side}`, to: `phones-${side}`, gain: [-10] },
    ]),
    captures: [
      {
        id: 'in',
        name: 'input 1',
        port: 'usb',
        channels: [{ side: 'mono', plus: 'mic-hot', minus: 'mic-cold', socket: 'mic' }],
        fullScale: FULL_SCALE,
        noise: dbV(-130.2),
        gain,
      },
    ],
    // Draw: typical, phantom included.
    bus: {
      port: 'usb',
      registersAs: 'audio',
      authenticated: false,
      draw: { setting: 'phantom', values: { on: 350, off: 250 } },
      captures: ['in'],
      plays: true,
      format: { inputs: 1, outputs: 2, bits: 24, rate: 48_000, speed: 'full' },
    },
  },
  interfacePart({
    id: 'interface-two-inputs',
    name: 'Interface, two inputs, USB-C socket',
    summary: 'two combo inputs with 48 V; line outputs; fed by USB',
    price: 150,
    inputs: 2,
    usb: usbC,
    draw: { on: 450, off: 320 },
  }),
  interfacePart({
    id: 'interface-two-inputs-usb-b',
    name: 'Interface, two inputs, USB-B socket',
    summary: 'older; takes an A-to-B or C-to-B lead; fed by USB',
    price: 120,
    inputs: 2,
    usb: usbB,
    draw: { on: 490, off: 350 },
  }),
  interfacePart({
    id: 'interface-two-inputs-mains',
    name: 'Interface, two inputs, mains',
    summary: 'has its own supply and takes nothing from the phone',
    price: 180,
    inputs: 2,
    usb: usbB,
    draw: { on: 490, off: 350 },
    power: [{ setting: 'mains', is: 'on' }],
    powerSwitch: mains,
  }),
  interfacePart({
    id: 'interface-small',
    name: 'Interface, one input, low draw',
    summary: 'one combo input; little current, no line outputs',
    price: 60,
    inputs: 1,
    usb: captive,
    draw: { on: 100, off: 90 },
    speed: 'full',
    outputs: false,
  }),
  interfacePart({
    id: 'interface-eight-inputs',
    name: 'Interface, eight inputs, full speed',
    summary: 'two preamplifiers and six line inputs; its own supply; all at 48 kHz, 24 bits',
    price: 200,
    inputs: 2,
    lines: 6,
    usb: usbB,
    draw: { on: 490, off: 350 },
    power: [{ setting: 'mains', is: 'on' }],
    powerSwitch: mains,
    speed: 'full',
  }),
  interfacePart({
    id: 'interface-four-inputs',
    name: 'Interface, four inputs, mains',
    summary: 'two preamplifiers and two line inputs; its own supply',
    price: 220,
    inputs: 2,
    lines: 2,
    usb: usbB,
    draw: { on: 490, off: 350 },
    power: [{ setting: 'mains', is: 'on' }],
    powerSwitch: mains,
  }),
  interfacePart({
    id: 'interface-four-mics',
    name: 'Interface, four microphone inputs, mains',
    summary: 'four preamplifiers, a combo socket each; its own supply',
    price: 350,
    inputs: 4,
    usb: usbB,
    draw: { on: 490, off: 350 },
    power: [{ setting: 'mains', is: 'on' }],
    powerSwitch: mains,
  }),
  {
    ...interfacePart({
      id: 'interface-firewire',
      name: 'Interface, two inputs, FireWire',
      summary: 'for computers of another day; no phone or tablet takes it',
      price: 40,
      inputs: 2,
      usb: portWith(['usb', 'FireWire socket', 'firewire'], 'jack', 'both', USB_ROLES),
      draw: { on: 490, off: 350 },
    }),
  },
];
