import { leadCapacitance, strand, through } from '../builders';
import type { Part } from '../types';

/** Resistance of one winding of a small audio transformer, and its primary inductance. Typical. */
const WINDING_OHMS = 60;
const PRIMARY_HENRIES = 10;

export const LINE_LEADS: readonly Part[] = [
  {
    id: 'lead-xlr',
    name: 'XLR lead',
    family: 'lead',
    summary: 'balanced; holes at one end, pins at the other',
    price: 12,
    length: 3,
    ports: [
      through('holes', 'end with holes', 'xlr-3', 'jack'),
      through('pins', 'end with pins', 'xlr-3', 'plug'),
    ],
    circuit: [
      strand('holes.1', 'pins.1'),
      strand('holes.2', 'pins.2'),
      strand('holes.3', 'pins.3'),
      ...leadCapacitance(['holes.2', 'holes.3'], ['pins.2', 'pins.3']),
    ],
  },
  {
    id: 'lead-line-stereo',
    name: '6.35 mm TRS to 3.5 mm TRS lead',
    family: 'lead',
    summary: 'contact to contact: tip to tip, ring to ring',
    price: 9,
    length: 1.5,
    ports: [
      through('big', '6.35 mm end', 'trs-6.35', 'plug'),
      through('small', '3.5 mm end', 'trs-3.5', 'plug'),
    ],
    circuit: [strand('big.T', 'small.T'), strand('big.R', 'small.R'), strand('big.S', 'small.S')],
  },
  {
    id: 'lead-line-mono-both',
    name: '6.35 mm TS to both sides of a 3.5 mm TRS',
    family: 'lead',
    summary: 'the tip feeds left and right alike; takes the hot leg of a balanced output only',
    price: 10,
    length: 1.5,
    ports: [
      through('big', '6.35 mm end', 'ts-6.35', 'plug'),
      through('small', '3.5 mm end', 'trs-3.5', 'plug'),
    ],
    circuit: [
      strand('big.T', 'small.T'),
      { kind: 'wire', a: 'small.T', b: 'small.R' },
      strand('big.S', 'small.S'),
    ],
  },
  {
    id: 'lead-left-to-both',
    name: 'Left-to-both lead, 3.5 mm',
    family: 'lead',
    summary: 'tip of one end to tip and ring of the other',
    price: 8,
    length: 0.3,
    ports: [
      through('mono', 'mono end', 'trs-3.5', 'plug'),
      through('both', 'end for both sides', 'trs-3.5', 'plug'),
    ],
    circuit: [
      strand('mono.T', 'both.T'),
      { kind: 'wire', a: 'both.T', b: 'both.R' },
      strand('mono.S', 'both.S'),
    ],
  },
  {
    id: 'lead-line-headset',
    name: '6.35 mm TS to headset plug, bare',
    family: 'lead',
    summary: 'line output straight onto the microphone contact; nothing in between',
    price: 9,
    length: 1.5,
    ports: [
      through('big', '6.35 mm end', 'ts-6.35', 'plug'),
      through('trrs', 'end with three dark bands', 'trrs-3.5', 'plug'),
    ],
    circuit: [strand('big.T', 'trrs.S'), strand('big.S', 'trrs.R2')],
  },
  {
    id: 'lead-line-headset-pad',
    name: '6.35 mm TS to headset plug, padded 40 dB',
    family: 'lead',
    summary: 'attenuator and blocking capacitor in the plug; line output to microphone contact',
    price: 22,
    length: 1.5,
    ports: [
      through('big', '6.35 mm end', 'ts-6.35', 'plug'),
      through('trrs', 'end with three dark bands', 'trrs-3.5', 'plug'),
    ],
    circuit: [
      strand('big.T', 'hot'),
      strand('big.S', 'trrs.R2'),
      { kind: 'capacitor', a: 'hot', b: 'blocked', farads: 10e-6 },
      { kind: 'resistor', a: 'blocked', b: 'trrs.S', ohms: 100_000 },
      // Also what the phone takes for a microphone: 1 kΩ or more.
      { kind: 'resistor', a: 'trrs.S', b: 'trrs.R2', ohms: 1800 },
    ],
  },
  {
    id: 'isolator-trs',
    name: 'Line isolator, 3.5 mm',
    family: 'adapter',
    summary: 'a transformer for each side; no earth goes through',
    price: 18,
    ports: [through('in', 'socket in', 'trs-3.5', 'jack'), through('out', 'plug out', 'trs-3.5', 'plug')],
    circuit: (['T', 'R'] as const).flatMap((side) => [
      { kind: 'resistor', a: `in.${side}`, b: `primary-${side}`, ohms: WINDING_OHMS } as const,
      { kind: 'inductor', a: `primary-${side}`, b: 'in.S', henries: PRIMARY_HENRIES } as const,
      {
        kind: 'transformer',
        a: `primary-${side}`,
        b: 'in.S',
        c: `secondary-${side}`,
        d: 'out.S',
        ratio: 1,
      } as const,
      { kind: 'resistor', a: `secondary-${side}`, b: `out.${side}`, ohms: WINDING_OHMS } as const,
    ]),
  },
  {
    id: 'adapter-trs-xlr',
    name: '3.5 mm TRS to XLR adapter, plain',
    family: 'adapter',
    summary: 'tip to pin 2, sleeve to pins 1 and 3; lets phantom through',
    price: 9,
    ports: [
      through('small', '3.5 mm socket', 'trs-3.5', 'jack'),
      through('pins', 'XLR pins', 'xlr-3', 'plug'),
    ],
    circuit: [
      { kind: 'wire', a: 'small.T', b: 'pins.2' },
      { kind: 'wire', a: 'small.S', b: 'pins.1' },
      { kind: 'wire', a: 'small.S', b: 'pins.3' },
    ],
  },
];
