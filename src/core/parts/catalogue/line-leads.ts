import { adapterPart, leadCapacitance, leadPart, straight, through } from '../model/builders';
import type { Part } from '../model/types.generated';

const big = (id: string, contacts: 'ts' | 'trs', name = '6.35 mm end') =>
  through(id, name, contacts === 'ts' ? 'ts-6.35' : 'trs-6.35', 'plug');
const small = (id = 'small', name = '3.5 mm end') => through(id, name, 'trs-3.5', 'plug');
const headset = through('trrs', 'end with three dark bands', 'trrs-3.5', 'plug');
const holes = through('holes', 'end with holes', 'xlr-3', 'jack');
const pins = through('pins', 'end with pins', 'xlr-3', 'plug');

/** Leads for line level, instruments and balanced microphones. */
export const LINE_LEADS: readonly Part[] = [
  leadPart({
    id: 'lead-xlr',
    name: 'XLR lead',
    summary: 'balanced; holes at one end, pins at the other',
    price: 12,
    length: 3,
    ends: [holes, pins],
    joins: straight('holes', 'pins', ['1', '2', '3']),
    more: leadCapacitance(['holes.2', 'holes.3'], ['pins.2', 'pins.3']),
  }),
  leadPart({
    id: 'lead-jack-ts',
    name: '6.35 mm TS lead',
    summary: 'one dark band at each end; guitars and unbalanced line',
    price: 9,
    length: 3,
    ends: [big('a', 'ts', 'end A'), big('b', 'ts', 'end B')],
    joins: straight('a', 'b', ['T', 'S']),
    more: leadCapacitance(['a.T', 'a.S'], ['b.T', 'b.S']),
  }),
  leadPart({
    id: 'lead-jack-trs',
    name: '6.35 mm TRS lead',
    summary: 'two dark bands at each end; balanced line, or stereo headphones',
    price: 11,
    length: 3,
    ends: [big('a', 'trs', 'end A'), big('b', 'trs', 'end B')],
    joins: straight('a', 'b', ['T', 'R', 'S']),
    more: leadCapacitance(['a.T', 'a.R'], ['b.T', 'b.R']),
  }),
  leadPart({
    id: 'lead-jack-xlr',
    name: '6.35 mm TRS to XLR lead',
    summary: 'balanced line output into an XLR socket',
    price: 13,
    length: 3,
    ends: [big('big', 'trs'), pins],
    joins: [
      ['big.T', 'pins.2'],
      ['big.R', 'pins.3'],
      ['big.S', 'pins.1'],
    ],
    more: leadCapacitance(['big.T', 'big.R'], ['pins.2', 'pins.3']),
  }),
  leadPart({
    id: 'lead-xlr-jack',
    name: 'XLR to 6.35 mm TRS lead',
    summary: 'balanced; from an XLR output into a 6.35 mm socket',
    price: 13,
    length: 3,
    ends: [holes, big('big', 'trs')],
    joins: [
      ['holes.2', 'big.T'],
      ['holes.3', 'big.R'],
      ['holes.1', 'big.S'],
    ],
    more: leadCapacitance(['holes.2', 'holes.3'], ['big.T', 'big.R']),
  }),
  leadPart({
    id: 'lead-rca',
    name: 'RCA lead',
    summary: 'one channel, unbalanced',
    price: 6,
    length: 1.5,
    ends: [through('a', 'end A', 'rca', 'plug'), through('b', 'end B', 'rca', 'plug')],
    joins: straight('a', 'b', ['T', 'S']),
    more: leadCapacitance(['a.T', 'a.S'], ['b.T', 'b.S']),
  }),
  leadPart({
    id: 'lead-rca-pair-trs',
    name: 'Two RCA plugs to 3.5 mm TRS lead',
    summary: 'left and right of a player onto tip and ring',
    price: 8,
    length: 1.5,
    ends: [
      through('left', 'RCA plug left', 'rca', 'plug'),
      through('right', 'RCA plug right', 'rca', 'plug'),
      small(),
    ],
    joins: [
      ['left.T', 'small.T'],
      ['right.T', 'small.R'],
      ['left.S', 'small.S'],
      ['right.S', 'small.S'],
    ],
  }),
  leadPart({
    id: 'lead-jack-rca',
    name: '6.35 mm TS to RCA lead',
    summary: 'unbalanced line, one channel',
    price: 8,
    length: 1.5,
    ends: [big('big', 'ts'), through('rca', 'RCA plug', 'rca', 'plug')],
    joins: straight('big', 'rca', ['T', 'S']),
  }),
  leadPart({
    id: 'lead-breakout-jacks',
    name: '3.5 mm TRS to two 6.35 mm TS lead',
    summary: 'left and right of a headphone output into two line sockets',
    price: 10,
    length: 2,
    ends: [small(), big('left', 'ts', '6.35 mm end, left'), big('right', 'ts', '6.35 mm end, right')],
    joins: [
      ['small.T', 'left.T'],
      ['small.R', 'right.T'],
      ['small.S', 'left.S'],
      ['small.S', 'right.S'],
    ],
  }),
  leadPart({
    id: 'lead-line-stereo',
    name: '6.35 mm TRS to 3.5 mm TRS lead',
    summary: 'contact to contact: tip to tip, ring to ring',
    price: 9,
    length: 1.5,
    ends: [big('big', 'trs'), small()],
    joins: straight('big', 'small', ['T', 'R', 'S']),
  }),
  leadPart({
    id: 'lead-line-mono-both',
    name: '6.35 mm TS to both sides of a 3.5 mm TRS',
    summary: 'the tip feeds left and right alike; takes the hot leg of a balanced output only',
    price: 10,
    length: 1.5,
    ends: [big('big', 'ts'), small()],
    joins: [
      ['big.T', 'small.T'],
      ['big.S', 'small.S'],
    ],
    more: [{ kind: 'wire', a: 'small.T', b: 'small.R' }],
  }),
  leadPart({
    id: 'lead-line-pair-stereo',
    name: 'Two 6.35 mm TS to 3.5 mm TRS lead',
    summary: 'a stereo line pair onto tip and ring',
    price: 11,
    length: 2,
    ends: [big('left', 'ts', '6.35 mm end, left'), big('right', 'ts', '6.35 mm end, right'), small()],
    joins: [
      ['left.T', 'small.T'],
      ['right.T', 'small.R'],
      ['left.S', 'small.S'],
      ['right.S', 'small.S'],
    ],
  }),
  leadPart({
    id: 'lead-line-headset',
    name: '6.35 mm TS to headset plug, bare',
    summary: 'line output straight onto the microphone contact; nothing in between',
    price: 9,
    length: 1.5,
    ends: [big('big', 'ts'), headset],
    joins: [
      ['big.T', 'trrs.S'],
      ['big.S', 'trrs.R2'],
    ],
  }),
  leadPart({
    id: 'lead-line-headset-pad',
    name: '6.35 mm TS to headset plug, padded 40 dB',
    summary: 'attenuator and blocking capacitor in the plug; line output to microphone contact',
    price: 22,
    length: 1.5,
    ends: [big('big', 'ts'), headset],
    joins: [
      ['big.T', 'hot'],
      ['big.S', 'trrs.R2'],
    ],
    more: [
      { kind: 'capacitor', a: 'hot', b: 'blocked', farads: 10e-6 },
      { kind: 'resistor', a: 'blocked', b: 'trrs.S', ohms: 100_000 },
      // Also what the phone takes for a microphone: 1 kΩ or more.
      { kind: 'resistor', a: 'trrs.S', b: 'trrs.R2', ohms: 1800 },
    ],
  }),
];

/** Adapters between line connectors. */
export const LINE_ADAPTERS: readonly Part[] = [
  adapterPart({
    id: 'adapter-trs-xlr',
    name: '3.5 mm TRS to XLR adapter, plain',
    summary: 'tip to pin 2, sleeve to pins 1 and 3; lets phantom through',
    price: 9,
    ends: [
      through('small', '3.5 mm socket', 'trs-3.5', 'jack'),
      through('pins', 'XLR pins', 'xlr-3', 'plug'),
    ],
    joins: [
      ['small.T', 'pins.2'],
      ['small.S', 'pins.1'],
      ['small.S', 'pins.3'],
    ],
  }),
  adapterPart({
    id: 'adapter-jack-small',
    name: '6.35 mm plug to 3.5 mm socket, stereo',
    summary: 'lets small headphones into a large socket',
    price: 5,
    ends: [
      through('big', '6.35 mm plug', 'trs-6.35', 'plug'),
      through('small', '3.5 mm socket', 'trs-3.5', 'jack'),
    ],
    joins: straight('big', 'small', ['T', 'R', 'S']),
  }),
  adapterPart({
    id: 'adapter-small-jack',
    name: '3.5 mm plug to 6.35 mm socket, stereo',
    summary: 'lets a large stereo plug into a small socket',
    price: 6,
    ends: [small('small', '3.5 mm plug'), through('big', '6.35 mm socket', 'trs-6.35', 'jack')],
    joins: straight('small', 'big', ['T', 'R', 'S']),
  }),
  adapterPart({
    id: 'adapter-mono-stereo',
    name: 'Mono-to-stereo adapter, 3.5 mm',
    summary: 'socket’s tip to tip and ring of the plug',
    price: 6,
    ends: [through('socket', 'mono socket', 'trs-3.5', 'jack'), small('plug', 'stereo plug')],
    joins: [
      ['socket.T', 'plug.T'],
      ['socket.T', 'plug.R'],
      ['socket.S', 'plug.S'],
    ],
  }),
  adapterPart({
    id: 'adapter-rca-jack',
    name: 'RCA socket to 6.35 mm TS plug',
    summary: 'a player’s lead into a line socket',
    price: 4,
    ends: [through('rca', 'RCA socket', 'rca', 'jack'), big('big', 'ts', '6.35 mm plug')],
    joins: straight('rca', 'big', ['T', 'S']),
  }),
  adapterPart({
    id: 'adapter-rca-xlr',
    name: 'RCA socket to XLR plug',
    summary: 'joins them; balances nothing',
    price: 6,
    ends: [through('rca', 'RCA socket', 'rca', 'jack'), through('pins', 'XLR pins', 'xlr-3', 'plug')],
    joins: [
      ['rca.T', 'pins.2'],
      ['rca.S', 'pins.1'],
      ['rca.S', 'pins.3'],
    ],
  }),
  adapterPart({
    id: 'adapter-xlr-jack',
    name: 'XLR socket to 6.35 mm TS plug',
    summary: 'unbalances a microphone; for inputs without XLR',
    price: 7,
    ends: [through('holes', 'XLR holes', 'xlr-3', 'jack'), big('big', 'ts', '6.35 mm plug')],
    joins: [
      ['holes.2', 'big.T'],
      ['holes.3', 'big.S'],
      ['holes.1', 'big.S'],
    ],
  }),
  adapterPart({
    id: 'coupler-xlr-pins',
    name: 'XLR coupler, pins at both ends',
    summary: 'turns the end of a lead round',
    price: 6,
    ends: [through('a', 'pins A', 'xlr-3', 'plug'), through('b', 'pins B', 'xlr-3', 'plug')],
    joins: straight('a', 'b', ['1', '2', '3']),
  }),
  adapterPart({
    id: 'coupler-rca',
    name: 'RCA coupler',
    summary: 'joins two RCA leads',
    price: 2,
    ends: [through('a', 'socket A', 'rca', 'jack'), through('b', 'socket B', 'rca', 'jack')],
    joins: straight('a', 'b', ['T', 'S']),
  }),
  adapterPart({
    id: 'coupler-jack',
    name: '6.35 mm coupler',
    summary: 'joins two 6.35 mm leads',
    price: 4,
    ends: [through('a', 'socket A', 'trs-6.35', 'jack'), through('b', 'socket B', 'trs-6.35', 'jack')],
    joins: straight('a', 'b', ['T', 'R', 'S']),
  }),
];
