import { dbSpl } from '../../units';
import { BALANCED_ROLES, STEREO_ROLES, knob, portWith } from '../model/builders';
import type { Part } from '../model/types.generated';

/** Loudspeakers with an amplifier of their own. Sound pressures and directivities at 1 kHz are typical, from memory. */
export const LOUDSPEAKERS: readonly Part[] = [
  {
    id: 'loudspeaker-portable',
    stands: 'table',
    name: 'Portable loudspeaker, TRS input',
    family: 'loudspeaker',
    summary: 'on its own battery; sums both sides',
    price: 60,
    ports: [portWith(['in', 'input', 'trs-3.5'], 'jack', 'in', STEREO_ROLES)],
    settings: [knob('volume', 'Volume', -60, 0, -20)],
    circuit: [
      { kind: 'resistor', a: 'in.T', b: 'sum', ohms: 10_000 },
      { kind: 'resistor', a: 'in.R', b: 'sum', ohms: 10_000 },
      { kind: 'resistor', a: 'sum', b: 'in.S', ohms: 100_000 },
    ],
    speaker: { plus: 'sum', minus: 'in.S', spl: dbSpl(96), gain: { knob: 'volume' }, directivity: 2 },
  },
  {
    id: 'loudspeaker-stage',
    stands: 'table',
    name: 'Powered loudspeaker, jack input',
    family: 'loudspeaker',
    summary: 'balanced line input, its own volume; for a room',
    price: 200,
    ports: [portWith(['in', 'line input', 'trs-6.35'], 'jack', 'in', BALANCED_ROLES)],
    settings: [knob('volume', 'Volume', -60, 10, -10)],
    circuit: [
      { kind: 'resistor', a: 'in.T', b: 'in.R', ohms: 20_000 },
      { kind: 'resistor', a: 'in.T', b: 'in.S', ohms: 1e6 },
      { kind: 'resistor', a: 'in.R', b: 'in.S', ohms: 1e6 },
    ],
    mains: { class: 'earthed' },
    speaker: { plus: 'in.T', minus: 'in.R', spl: dbSpl(105), gain: { knob: 'volume' }, directivity: 6 },
  },
];
