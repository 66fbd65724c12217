import { MONO_ROLES, STEREO_ROLES, knob, portWith, usbPort } from '../model/builders';
import type { CircuitElement, Part, Quantity } from '../model/types.generated';

/** An unbalanced output of something that is played: its usual RMS level in dBV behind an impedance. */
const played = (
  id: string,
  port: string,
  contact: string,
  sensitivity: Quantity,
  ohms: number,
): CircuitElement[] => [
  { kind: 'signal', id, hears: 'played', a: `${id}-amp`, b: `${port}.S`, sensitivity, noise: -100 },
  { kind: 'resistor', a: `${id}-amp`, b: `${port}.${contact}`, ohms },
];

export const PLAYERS: readonly Part[] = [
  {
    id: 'guitar',
    name: 'Electric guitar',
    family: 'instrument',
    summary: 'high impedance; wants an instrument input or a DI box',
    price: 250,
    ports: [portWith(['out', 'output', 'ts-6.35'], 'jack', 'out', MONO_ROLES, 'pick-up')],
    settings: [knob('volume', 'Volume', -40, 0, 0)],
    // About 0.1 V behind 7 kΩ and 2.5 H, 120 pF of its own winding: typical passive pick-up.
    circuit: [
      {
        kind: 'signal',
        id: 'pick-up',
        hears: 'played',
        a: 'coil',
        b: 'out.S',
        sensitivity: -20,
        noise: -110,
        // Its strings' overtones: typical.
        band: [80, 5000],
      },
      { kind: 'resistor', a: 'coil', b: 'wound', ohms: 7000 },
      { kind: 'inductor', a: 'wound', b: 'out.T', henries: 2.5 },
      { kind: 'capacitor', a: 'out.T', b: 'out.S', farads: 120e-12 },
      { kind: 'resistor', a: 'out.T', b: 'out.S', ohms: 250_000 },
    ],
  },
  {
    id: 'bass-active',
    name: 'Electric bass, active',
    family: 'instrument',
    summary: 'low impedance from its own battery',
    price: 300,
    ports: [portWith(['out', 'output', 'ts-6.35'], 'jack', 'out', MONO_ROLES)],
    circuit: played('pick-up', 'out', 'T', -14, 1000),
  },
  {
    id: 'keyboard',
    name: 'Keyboard, line outputs',
    family: 'instrument',
    summary: 'stereo line pair, unbalanced',
    price: 300,
    ports: [
      portWith(['left', 'output left', 'ts-6.35'], 'jack', 'out', { T: 'left', S: 'ground' }),
      portWith(['right', 'output right', 'ts-6.35'], 'jack', 'out', { T: 'right', S: 'ground' }),
    ],
    circuit: [
      ...played('left', 'left', 'T', -12, 1000),
      ...played('right', 'right', 'T', -12, 1000),
      { kind: 'wire', a: 'left.S', b: 'right.S' },
    ],
  },
  {
    id: 'midi-keyboard',
    name: 'MIDI keyboard, USB',
    family: 'instrument',
    summary: 'sends notes and no sound; does not count as a sound device',
    price: 90,
    ports: [usbPort('usb', 'USB-B socket', 'usb-b', 'jack')],
    circuit: [],
    // 100–500 mA: typical.
    bus: { port: 'usb', registersAs: 'other', authenticated: false, draw: 100, captures: [] },
  },
  {
    id: 'mouse-usb',
    name: 'Mouse, USB',
    family: 'instrument',
    summary: 'moves a pointer and makes no sound; does not count as a sound device',
    price: 10,
    ports: [usbPort('usb', 'USB-A plug', 'usb-a', 'plug')],
    circuit: [],
    bus: { port: 'usb', registersAs: 'other', authenticated: false, draw: 100, captures: [] },
  },
  {
    id: 'storage-usb',
    name: 'Storage stick, USB',
    family: 'instrument',
    summary: 'keeps files; does not count as a sound device, and wants more current than it looks',
    price: 15,
    ports: [usbPort('usb', 'USB-A plug', 'usb-a', 'plug')],
    circuit: [],
    bus: { port: 'usb', registersAs: 'other', authenticated: false, draw: 200, captures: [] },
  },
  {
    id: 'deck',
    name: 'Player deck, RCA outputs',
    family: 'player',
    summary: 'stereo line level, −10 dBV',
    price: 200,
    ports: [
      portWith(['left', 'RCA left', 'rca'], 'jack', 'out', { T: 'left', S: 'ground' }),
      portWith(['right', 'RCA right', 'rca'], 'jack', 'out', { T: 'right', S: 'ground' }),
    ],
    circuit: [
      ...played('left', 'left', 'T', -10, 470),
      ...played('right', 'right', 'T', -10, 470),
      { kind: 'wire', a: 'left.S', b: 'right.S' },
    ],
  },
  {
    id: 'player-portable',
    name: 'Portable player or computer, headphone output',
    family: 'player',
    summary: 'stereo 3.5 mm; its volume sets the level: start low',
    price: 60,
    ports: [portWith(['out', 'headphone output', 'trs-3.5'], 'jack', 'out', STEREO_ROLES)],
    settings: [knob('volume', 'Volume, as output level in dBV', -60, 0, -14)],
    circuit: [
      ...played('left', 'out', 'T', { knob: 'volume' }, 10),
      ...played('right', 'out', 'R', { knob: 'volume' }, 10),
    ],
  },
];
