import type { CircuitElement, Part, PartPort, SwitchSetting } from '../types';

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

const outPort = (roles: PartPort['roles']): PartPort => ({
  id: 'out',
  name: 'output',
  connector: 'trs-3.5',
  gender: 'jack',
  direction: 'out',
  ...(roles ? { roles } : {}),
});

/** Output stage made to feed phones and cameras: blocked, about 470 Ω, with a bleeder of 4.7 kΩ. Typical. */
const outputLeg = (contact: string): CircuitElement[] => [
  { kind: 'capacitor', a: 'amp', b: `leg-${contact}`, farads: 22e-6 },
  { kind: 'resistor', a: `leg-${contact}`, b: `out.${contact}`, ohms: 470 },
  { kind: 'resistor', a: `out.${contact}`, b: 'out.S', ohms: 4700 },
];

const pack: CircuitElement = {
  kind: 'signal',
  id: 'pack',
  hears: 'voice',
  a: 'amp',
  b: 'out.S',
  sensitivity: SENSITIVITY,
  noise: NOISE,
};

export const RECEIVERS: readonly Part[] = [
  {
    id: 'receiver-trs',
    name: 'Receiver, TRS output',
    family: 'receiver',
    summary: 'takes one clip-on pack; the same sound on tip and ring',
    price: 180,
    ports: [outPort({ T: 'left', R: 'right', S: 'ground' })],
    settings: [OUTPUT_LEVEL],
    circuit: [pack, ...outputLeg('T'), ...outputLeg('R')],
  },
  {
    id: 'receiver-tip-only',
    name: 'Receiver, tip-only output',
    family: 'receiver',
    summary: 'takes one clip-on pack; sound on the tip alone, ring not connected',
    price: 150,
    ports: [outPort({ T: 'left', S: 'ground' })],
    settings: [OUTPUT_LEVEL],
    circuit: [pack, ...outputLeg('T')],
  },
];
