import { dbV, dbVPerPa, ohms, volts } from '../../units';
import type { CircuitElement, Part } from '../types';

/** Clip-on electret with plug-in power, two wires. Typical: −42 dBV/Pa across 2.2 kΩ, 1.6 kΩ at direct current. */
const capsule = (drain: string, source: string): CircuitElement => ({
  kind: 'electret',
  id: 'capsule',
  a: drain,
  b: source,
  sensitivity: dbVPerPa(-42),
  noise: dbV(-108),
  ratedLoad: ohms(2200),
  dcResistance: ohms(1600),
  acResistance: ohms(20_000),
  minimumBias: volts(0.7),
});

/** Earpiece impedance, at direct current too. Typical. */
const earpiece = (contact: string): CircuitElement => ({
  kind: 'resistor',
  a: contact,
  b: 'plug.R2',
  ohms: 32,
});

export const MICROPHONES: readonly Part[] = [
  {
    id: 'clip-on-trrs',
    name: 'Clip-on microphone, TRRS plug',
    family: 'microphone',
    summary: 'electret on a lead, wired for current (CTIA) headset jacks',
    price: 20,
    ports: [
      {
        id: 'plug',
        name: 'plug',
        connector: 'trrs-3.5',
        gender: 'plug',
        direction: 'out',
        roles: { R2: 'ground', S: 'microphone' },
      },
    ],
    circuit: [capsule('plug.S', 'plug.R2')],
  },
  {
    id: 'headset-ctia',
    name: 'Wired headset, CTIA plug',
    family: 'headphones',
    summary: 'two earpieces and a microphone, wired for current headset jacks',
    price: 15,
    ports: [
      {
        id: 'plug',
        name: 'plug',
        connector: 'trrs-3.5',
        gender: 'plug',
        direction: 'both',
        roles: { T: 'left', R1: 'right', R2: 'ground', S: 'microphone' },
      },
    ],
    circuit: [capsule('plug.S', 'plug.R2'), earpiece('plug.T'), earpiece('plug.R1')],
    ears: [
      { side: 'left', plus: 'plug.T', minus: 'plug.R2' },
      { side: 'right', plus: 'plug.R1', minus: 'plug.R2' },
    ],
  },
  {
    id: 'headphones-trs',
    name: 'Headphones, TRS plug',
    family: 'headphones',
    summary: 'two earpieces, no microphone',
    price: 25,
    ports: [
      {
        id: 'plug',
        name: 'plug',
        connector: 'trs-3.5',
        gender: 'plug',
        direction: 'in',
        roles: { T: 'left', R: 'right', S: 'ground' },
      },
    ],
    circuit: [
      { kind: 'resistor', a: 'plug.T', b: 'plug.S', ohms: 32 },
      { kind: 'resistor', a: 'plug.R', b: 'plug.S', ohms: 32 },
    ],
    ears: [
      { side: 'left', plus: 'plug.T', minus: 'plug.S' },
      { side: 'right', plus: 'plug.R', minus: 'plug.S' },
    ],
  },
];
