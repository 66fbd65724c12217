import { volts } from '../../units';
import { XLR_ROLES, onOff, portWith } from '../model/builders';
import type { MaximumKind } from '../model/types.generated';
import type { CircuitElement, Part, Quantity } from '../model/types.generated';

const output = (bears: MaximumKind) =>
  portWith(['out', 'XLR output', 'xlr-3'], 'plug', 'out', XLR_ROLES, bears);

/** A coil or ribbon behind its resistance, balanced. Its own noise is that of the resistor. */
const coil = (sensitivity: Quantity, ohms: number): CircuitElement[] => [
  { kind: 'signal', id: 'coil', hears: 'voice', a: 'coil', b: 'out.3', sensitivity },
  { kind: 'resistor', a: 'coil', b: 'out.2', ohms },
];

const condenser = (id: string, name: string, summary: string, price: number, sensitivity: number): Part => ({
  id,
  pattern: 'cardioid',
  name,
  family: 'microphone',
  summary,
  price,
  ports: [output('phantom-microphone')],
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
      sensitivity,
      noise: -114,
      // Sounds from about 11 V upward at the microphone: typical.
      needs: { plus: 'feed', minus: 'out.1', volts: volts(11) },
    },
    { kind: 'capacitor', a: 'amp', b: 'leg', farads: 47e-6 },
    { kind: 'resistor', a: 'leg', b: 'out.2', ohms: 100 },
  ],
});

export const XLR_MICROPHONES: readonly Part[] = [
  {
    id: 'dynamic-xlr',
    pattern: 'cardioid',
    name: 'Dynamic microphone, XLR',
    family: 'microphone',
    summary: 'needs no power; wants a microphone preamplifier',
    price: 90,
    ports: [output('moving-coil')],
    // −57 dBV/Pa behind 150 Ω, balanced: typical.
    circuit: coil(-57, 150),
  },
  {
    id: 'dynamic-xlr-switch',
    pattern: 'cardioid',
    stands: 'held',
    name: 'Handheld dynamic microphone with switch, XLR',
    family: 'microphone',
    summary: 'for interviews; its switch is the first thing to look at',
    price: 60,
    ports: [output('moving-coil')],
    settings: [onOff('live', 'Switch', 'on')],
    circuit: coil({ setting: 'live', values: { on: -56, off: -Infinity } }, 300),
  },
  condenser(
    'condenser-xlr',
    'Condenser microphone, XLR',
    'needs phantom power from the preamplifier',
    120,
    -34,
  ),
  {
    ...condenser('shotgun-xlr', 'Shotgun microphone, XLR', 'reaches further; needs phantom power', 200, -32),
    pattern: 'shotgun',
  },
  {
    id: 'ribbon-xlr',
    pattern: 'figure-8',
    name: 'Ribbon microphone, XLR',
    family: 'microphone',
    summary: 'quiet; phantom on one leg alone can tear its ribbon',
    price: 250,
    ports: [output('ribbon')],
    // −54 dBV/Pa behind 300 Ω: typical.
    circuit: coil(-54, 300),
    // Phantom on both legs alike leaves nothing across the ribbon; on one it does. A typical limit, from memory.
    bears: [{ plus: 'out.2', minus: 'out.3', volts: volts(0.5) }],
  },
];
