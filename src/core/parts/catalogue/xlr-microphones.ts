import { volts } from '../../units';
import { XLR_ROLES } from '../builders';
import type { Part, PartPort } from '../types';

const output: PartPort = {
  id: 'out',
  name: 'XLR output',
  connector: 'xlr-3',
  gender: 'plug',
  direction: 'out',
  roles: XLR_ROLES,
};

export const XLR_MICROPHONES: readonly Part[] = [
  {
    id: 'dynamic-xlr',
    name: 'Dynamic microphone, XLR',
    family: 'microphone',
    summary: 'needs no power; wants a microphone preamplifier',
    price: 90,
    ports: [output],
    circuit: [
      // −57 dBV/Pa behind 150 Ω, balanced: typical. Its own noise is that of the resistor.
      { kind: 'signal', id: 'coil', hears: 'voice', a: 'coil', b: 'out.3', sensitivity: -57 },
      { kind: 'resistor', a: 'coil', b: 'out.2', ohms: 150 },
    ],
  },
  {
    id: 'condenser-xlr',
    name: 'Condenser microphone, XLR',
    family: 'microphone',
    summary: 'needs phantom power from the preamplifier',
    price: 120,
    ports: [output],
    circuit: [
      // Phantom is drawn through both legs: 3 mA at 48 V, typical.
      { kind: 'resistor', a: 'out.2', b: 'feed', ohms: 2200 },
      { kind: 'resistor', a: 'out.3', b: 'feed', ohms: 2200 },
      { kind: 'resistor', a: 'feed', b: 'out.1', ohms: 11_500 },
      {
        kind: 'signal',
        id: 'capsule',
        hears: 'voice',
        a: 'amp',
        b: 'out.3',
        sensitivity: -34,
        noise: -114,
        // Sounds from about 11 V upward at the microphone: typical.
        needs: { plus: 'feed', minus: 'out.1', volts: volts(11) },
      },
      { kind: 'capacitor', a: 'amp', b: 'leg', farads: 47e-6 },
      { kind: 'resistor', a: 'leg', b: 'out.2', ohms: 100 },
    ],
  },
];
