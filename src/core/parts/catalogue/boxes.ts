import { volts } from '../../units';
import {
  XLR_ROLES,
  onOff,
  phonesOut,
  portWith,
  stereoOutput,
  through,
  knob,
  MONO_ROLES,
} from '../model/builders';
import type { CircuitElement, Part } from '../model/types.generated';

/** Resistance of one winding of a small audio transformer, and its primary inductance. Typical. */
const WINDING_OHMS = 60;
const PRIMARY_HENRIES = 10;

const xlrOut = portWith(['out', 'XLR output', 'xlr-3'], 'plug', 'out', XLR_ROLES, 'phantom-microphone');
const woundOut = portWith(['out', 'XLR output', 'xlr-3'], 'plug', 'out', XLR_ROLES, 'winding');
const jackIn = portWith(['in', '6.35 mm input', 'ts-6.35'], 'jack', 'in', MONO_ROLES);

/** A transformer with its losses, from (a, b) to (c, d). */
const transformer = (
  id: string,
  [a, b]: readonly [string, string],
  [c, d]: readonly [string, string],
  ratio: number,
  henries = PRIMARY_HENRIES,
): CircuitElement[] => [
  { kind: 'resistor', a, b: `primary${id}`, ohms: WINDING_OHMS },
  { kind: 'inductor', a: `primary${id}`, b, henries },
  { kind: 'transformer', a: `primary${id}`, b, c: `secondary${id}`, d, ratio },
  { kind: 'resistor', a: `secondary${id}`, b: c, ohms: WINDING_OHMS },
];

/** A balanced attenuator in a barrel, `db` down between 150 Ω and 3 kΩ, for phantom too. Typical. */
const pad = (db: number): Part => {
  const shunt = db === 20 ? 150 : 15;
  return {
    id: `pad-xlr-${db}`,
    name: `XLR pad, ${db} dB`,
    family: 'box',
    summary: `takes ${db} dB off a balanced line or a loud microphone`,
    price: 22,
    ports: [through('holes', 'XLR holes', 'xlr-3', 'jack'), through('pins', 'XLR pins', 'xlr-3', 'plug')],
    circuit: [
      { kind: 'wire', a: 'holes.1', b: 'pins.1' },
      { kind: 'resistor', a: 'holes.2', b: 'pins.2', ohms: 680 },
      { kind: 'resistor', a: 'holes.3', b: 'pins.3', ohms: 680 },
      { kind: 'resistor', a: 'pins.2', b: 'pins.3', ohms: shunt },
    ],
  };
};

/** Two drives on hot and cold of an XLR, half each, blocked against phantom. */
const xlrDrive = (ohms: number, clip: number): CircuitElement[] => [
  { kind: 'drive', id: 'hot', a: 'leg-hot', b: 'out.1', ohms, clip },
  { kind: 'drive', id: 'cold', a: 'leg-cold', b: 'out.1', ohms, clip },
  { kind: 'capacitor', a: 'leg-hot', b: 'out.2', farads: 100e-6 },
  { kind: 'capacitor', a: 'leg-cold', b: 'out.3', farads: 100e-6 },
];
const onto = (from: string, gain: number) => [
  { from, to: 'hot', gain: [gain - 6.02] },
  { from, to: 'cold', gain: [gain - 6.02], inverts: true },
];

/** Takes the shield of the signal apart, between input and output: no safety earth is touched. */
const LIFT = onOff('lift', 'Signal shield lifted', 'off');
/** Joined, or apart but for what leaks across the switch. */
const lifted = (a: string, b: string): CircuitElement => ({
  kind: 'resistor',
  a,
  b,
  ohms: { setting: 'lift', values: { off: 10, on: 10e6 } },
});

/** The mid-point of both legs, against pin 1: what phantom power stands at. */
const phantomTap: CircuitElement[] = [
  { kind: 'resistor', a: 'out.2', b: 'feed', ohms: 6800 },
  { kind: 'resistor', a: 'out.3', b: 'feed', ohms: 6800 },
  { kind: 'resistor', a: 'feed', b: 'out.1', ohms: 15_000 },
];

export const BOXES: readonly Part[] = [
  {
    id: 'booster-inline',
    name: 'Inline booster, XLR',
    family: 'box',
    summary: 'about 25 dB more for a quiet microphone ahead of a noisy preamplifier; needs phantom',
    price: 70,
    // Its input stage stands behind nothing: phantom comes to it from the other side. Typical.
    ports: [{ ...through('in', 'XLR holes', 'xlr-3', 'jack'), bears: 'line-input' }, xlrOut],
    circuit: [
      { kind: 'sense', id: 'in', a: 'in.2', b: 'in.3', ohms: 3000, noise: -131 },
      { kind: 'resistor', a: 'in.3', b: 'in.1', ohms: 10_000 },
      { kind: 'wire', a: 'in.1', b: 'out.1' },
      ...phantomTap,
      ...xlrDrive(75, -5),
    ],
    paths: onto('in', 25),
    stagesNeed: { plus: 'feed', minus: 'out.1', volts: volts(10) },
  },
  {
    id: 'di-passive',
    name: 'DI box, passive',
    family: 'box',
    summary:
      'transformer 12 to 1: high impedance to balanced microphone level; no direct current goes through',
    price: 45,
    ports: [jackIn, woundOut],
    settings: [LIFT],
    circuit: [...transformer('', ['in.T', 'in.S'], ['out.2', 'out.3'], 1 / 12, 600), lifted('out.1', 'in.S')],
  },
  {
    id: 'di-active',
    name: 'DI box, active',
    family: 'box',
    summary: 'high input impedance for guitars; needs phantom',
    price: 80,
    ports: [jackIn, xlrOut],
    circuit: [
      { kind: 'sense', id: 'in', a: 'in.T', b: 'in.S', ohms: 1e6, noise: -112 },
      { kind: 'wire', a: 'in.S', b: 'out.1' },
      ...phantomTap,
      ...xlrDrive(150, 3),
    ],
    paths: onto('in', -12),
    stagesNeed: { plus: 'feed', minus: 'out.1', volts: volts(10) },
  },
  {
    id: 'isolator-trs',
    name: 'Line isolator, 3.5 mm',
    family: 'box',
    summary: 'a transformer for each side; no earth goes through',
    price: 18,
    ports: [through('in', 'socket in', 'trs-3.5', 'jack'), through('out', 'plug out', 'trs-3.5', 'plug')],
    circuit: (['T', 'R'] as const).flatMap((side) =>
      transformer(`-${side}`, [`in.${side}`, 'in.S'], [`out.${side}`, 'out.S'], 1),
    ),
  },
  {
    id: 'isolator-jack',
    name: 'Line isolator, 6.35 mm',
    family: 'box',
    summary: 'one balanced line through a transformer; no earth goes through',
    price: 35,
    ports: [through('in', 'socket in', 'trs-6.35', 'jack'), through('out', 'socket out', 'trs-6.35', 'jack')],
    circuit: transformer('', ['in.T', 'in.R'], ['out.T', 'out.R'], 1),
  },
  {
    id: 'transformer-xlr-jack',
    name: 'Microphone transformer, XLR to 6.35 mm',
    family: 'box',
    summary: 'balanced low impedance to unbalanced high impedance, 1 to 10',
    price: 25,
    ports: [
      through('holes', 'XLR holes', 'xlr-3', 'jack'),
      // Sold to come from a microphone: for the other way there are DI boxes.
      { ...through('big', '6.35 mm plug', 'ts-6.35', 'plug'), direction: 'out' },
    ],
    circuit: [
      ...transformer('', ['holes.2', 'holes.3'], ['big.T', 'big.S'], 10, 2),
      { kind: 'wire', a: 'holes.1', b: 'big.S' },
    ],
  },
  pad(20),
  pad(40),
  {
    id: 'pad-jack-40',
    name: 'Line-to-microphone pad, 3.5 mm',
    family: 'box',
    summary: '40 dB off each side, for a line output into a camera’s or phone adapter’s microphone input',
    price: 18,
    // The other way round it would load what feeds it with 100 Ω, and take off little.
    ports: [
      through('in', 'socket in', 'trs-3.5', 'jack'),
      { ...through('out', 'plug out', 'trs-3.5', 'plug'), direction: 'out' },
    ],
    circuit: [
      { kind: 'wire', a: 'in.S', b: 'out.S' },
      ...(['T', 'R'] as const).flatMap((side): CircuitElement[] => [
        { kind: 'resistor', a: `in.${side}`, b: `leg-${side}`, ohms: 10_000 },
        { kind: 'resistor', a: `leg-${side}`, b: 'out.S', ohms: 100 },
        { kind: 'capacitor', a: `leg-${side}`, b: `out.${side}`, farads: 22e-6 },
      ]),
    ],
  },
  {
    id: 'headphone-amplifier',
    name: 'Headphone amplifier, two outputs',
    family: 'box',
    summary: 'one stereo input, two headphone sockets, each with its level',
    price: 30,
    ports: [
      portWith(['in', 'input', 'trs-6.35'], 'jack', 'in', { T: 'left', R: 'right', S: 'ground' }),
      phonesOut('trs-6.35', 'one'),
      phonesOut('trs-6.35', 'two'),
    ],
    settings: [
      knob('level-one', 'Level 1', -60, 10, 0),
      knob('level-two', 'Level 2', -60, 10, 0),
      onOff('power', 'Mains unit', 'on'),
    ],
    power: [{ setting: 'power', is: 'on' }],
    mains: { class: 'insulated', on: { setting: 'power', is: 'on' } },
    circuit: [
      { kind: 'sense', id: 'left', a: 'in.T', b: 'in.S', ohms: 10_000, noise: -108 },
      { kind: 'sense', id: 'right', a: 'in.R', b: 'in.S', ohms: 10_000, noise: -108 },
      { kind: 'wire', a: 'in.S', b: 'one.S' },
      { kind: 'wire', a: 'in.S', b: 'two.S' },
      ...stereoOutput('one', ['one-left', 'one-right'], 22, 6),
      ...stereoOutput('two', ['two-left', 'two-right'], 22, 6),
    ],
    paths: (['one', 'two'] as const).flatMap((id) =>
      (['left', 'right'] as const).map((side) => ({
        from: side,
        to: `${id}-${side}`,
        gain: [{ knob: `level-${id}` }],
      })),
    ),
  },
  {
    id: 'adapter-pip-xlr',
    name: '3.5 mm to XLR adapter with power conversion',
    family: 'box',
    summary: 'makes plug-in power for a clip-on microphone out of phantom, and keeps phantom from it',
    price: 40,
    ports: [
      portWith(
        ['in', 'microphone socket', 'trs-3.5'],
        'jack',
        'in',
        { T: 'microphone', S: 'ground' },
        'plug-in-input',
      ),
      xlrOut,
    ],
    circuit: [
      ...phantomTap,
      // A divider makes about 5 V of what phantom leaves, behind 2.2 kΩ: typical.
      { kind: 'resistor', a: 'feed', b: 'bias', ohms: 6800 },
      { kind: 'resistor', a: 'bias', b: 'out.1', ohms: 3300 },
      { kind: 'resistor', a: 'bias', b: 'in.T', ohms: 2200 },
      { kind: 'wire', a: 'in.S', b: 'out.1' },
      { kind: 'capacitor', a: 'in.T', b: 'ac', farads: 10e-6 },
      { kind: 'sense', id: 'in', a: 'ac', b: 'out.1', ohms: 20_000, noise: -118 },
      ...xlrDrive(150, 0),
    ],
    paths: onto('in', 0),
    stagesNeed: { plus: 'feed', minus: 'out.1', volts: volts(8) },
  },
];
