import { leadCapacitance, leadPart, straight, strand, through } from '../model/builders';
import type { Part } from '../model/types.generated';

const trs = (id: string, name = 'TRS plug') => through(id, name, 'trs-3.5', 'plug');
const trrs = (id: string, name = 'end with three dark bands') => through(id, name, 'trrs-3.5', 'plug');

/** Leads whose two ends are 3.5 mm phone plugs or sockets. */
export const JACK_LEADS: readonly Part[] = [
  leadPart({
    id: 'lead-trrs-trrs',
    name: 'TRRS–TRRS lead',
    summary: 'three dark bands at each end; contact to contact',
    price: 8,
    length: 1,
    ends: [trrs('a', 'end A'), trrs('b', 'end B')],
    joins: straight('a', 'b', ['T', 'R1', 'R2', 'S']),
    more: leadCapacitance(['a.S', 'a.R2'], ['b.S', 'b.R2']),
  }),
  leadPart({
    id: 'extension-trs',
    name: 'TRS extension lead',
    summary: 'plug to socket, two dark bands',
    price: 7,
    length: 2,
    ends: [trs('plug', 'plug'), through('socket', 'socket', 'trs-3.5', 'jack')],
    joins: straight('plug', 'socket', ['T', 'R', 'S']),
    more: leadCapacitance(['plug.T', 'plug.S'], ['socket.T', 'socket.S']),
  }),
  leadPart({
    id: 'extension-trrs',
    name: 'TRRS extension lead',
    summary: 'plug to socket, three dark bands',
    price: 8,
    length: 2,
    ends: [trrs('plug', 'plug'), through('socket', 'socket', 'trrs-3.5', 'jack')],
    joins: straight('plug', 'socket', ['T', 'R1', 'R2', 'S']),
    more: leadCapacitance(['plug.S', 'plug.R2'], ['socket.S', 'socket.R2']),
  }),
  leadPart({
    id: 'lead-true-mono',
    name: 'True-mono lead, 3.5 mm',
    summary: 'tip and sleeve only: left arrives, right stays empty',
    price: 6,
    length: 0.5,
    ends: [through('a', 'end A', 'ts-3.5', 'plug'), through('b', 'end B', 'ts-3.5', 'plug')],
    joins: straight('a', 'b', ['T', 'S']),
    more: leadCapacitance(['a.T', 'a.S'], ['b.T', 'b.S']),
  }),
  leadPart({
    id: 'lead-left-to-both',
    name: 'Left-to-both lead, 3.5 mm',
    summary: 'dual mono: tip of one end to tip and ring of the other',
    price: 8,
    length: 0.3,
    ends: [trs('mono', 'mono end'), trs('both', 'end for both sides')],
    joins: [
      ['mono.T', 'both.T'],
      ['mono.S', 'both.S'],
    ],
    more: [{ kind: 'wire', a: 'both.T', b: 'both.R' }],
  }),
  leadPart({
    id: 'lead-headphones-aux',
    name: 'Headphone lead, 3.5 mm TRS to 6.35 mm TRS',
    summary: 'a headphone output into a stereo 6.35 mm socket',
    price: 8,
    length: 1.5,
    ends: [trs('small', '3.5 mm end'), through('big', '6.35 mm end', 'trs-6.35', 'plug')],
    joins: straight('small', 'big', ['T', 'R', 'S']),
  }),
  leadPart({
    id: 'lead-trs-xlr',
    name: '3.5 mm TRS to XLR lead, unbalanced',
    summary: 'tip to pin 2, sleeve to pins 1 and 3; lets phantom through',
    price: 12,
    length: 1,
    ends: [trs('small', '3.5 mm end'), through('pins', 'end with pins', 'xlr-3', 'plug')],
    joins: [
      ['small.T', 'pins.2'],
      ['small.S', 'pins.1'],
    ],
    more: [{ kind: 'wire', a: 'pins.1', b: 'pins.3' }],
  }),
  leadPart({
    id: 'lead-xlr-trrs',
    name: 'XLR to headset plug lead',
    summary: 'pin 2 to the microphone contact through a capacitor; for dynamic microphones',
    price: 16,
    length: 3,
    ends: [through('holes', 'end with holes', 'xlr-3', 'jack'), trrs('trrs')],
    joins: [
      ['holes.2', 'blocked'],
      ['holes.3', 'trrs.R2'],
      ['holes.1', 'trrs.R2'],
    ],
    more: [
      { kind: 'capacitor', a: 'blocked', b: 'trrs.S', farads: 10e-6 },
      // What the phone takes for a microphone: typical.
      { kind: 'resistor', a: 'trrs.S', b: 'trrs.R2', ohms: 1800 },
    ],
  }),
  leadPart({
    id: 'lead-xlr-trs-camera',
    name: 'XLR to 3.5 mm TRS lead, both sides',
    summary: 'pin 2 to tip and ring; for a microphone into a camera',
    price: 15,
    length: 3,
    ends: [through('holes', 'end with holes', 'xlr-3', 'jack'), trs('small', '3.5 mm end')],
    joins: [
      ['holes.2', 'hot'],
      ['holes.3', 'small.S'],
      ['holes.1', 'small.S'],
    ],
    more: [
      { kind: 'capacitor', a: 'hot', b: 'small.T', farads: 10e-6 },
      { kind: 'capacitor', a: 'hot', b: 'small.R', farads: 10e-6 },
    ],
  }),
  {
    id: 'lead-breakout-headset',
    name: 'Headset breakout lead, two RCA sockets',
    family: 'lead',
    summary: 'line in through an attenuator and capacitor onto the microphone contact; headphone socket',
    price: 20,
    length: 0.3,
    ports: [
      trrs('trrs'),
      through('left', 'RCA socket left', 'rca', 'jack'),
      through('right', 'RCA socket right', 'rca', 'jack'),
      {
        id: 'phones',
        name: 'headphone socket',
        connector: 'trs-3.5',
        gender: 'jack',
        direction: 'out',
        roles: { T: 'left', R: 'right', S: 'ground' },
        bears: 'passes',
      },
    ],
    circuit: [
      strand('trrs.T', 'phones.T'),
      strand('trrs.R1', 'phones.R'),
      strand('trrs.R2', 'phones.S'),
      { kind: 'wire', a: 'left.S', b: 'trrs.R2' },
      { kind: 'wire', a: 'right.S', b: 'trrs.R2' },
      // 100 kΩ a side, summed onto what the phone takes for a microphone: about 40 dB down. Typical.
      { kind: 'resistor', a: 'left.T', b: 'sum', ohms: 100_000 },
      { kind: 'resistor', a: 'right.T', b: 'sum', ohms: 100_000 },
      { kind: 'capacitor', a: 'sum', b: 'trrs.S', farads: 10e-6 },
      { kind: 'resistor', a: 'trrs.S', b: 'trrs.R2', ohms: 1800 },
    ],
  },
];
