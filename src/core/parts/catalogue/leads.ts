import { leadCapacitance, shield, strand, through, wired } from '../model/builders';
import type { Part, PartPort } from '../model/types.generated';

export const LEADS: readonly Part[] = [
  {
    id: 'lead-trs-trs',
    name: 'TRS–TRS lead',
    family: 'lead',
    summary: 'two dark bands at each end',
    price: 6,
    length: 0.2,
    ports: [through('a', 'end A', 'trs-3.5', 'plug'), through('b', 'end B', 'trs-3.5', 'plug')],
    circuit: [
      strand('a.T', 'b.T'),
      strand('a.R', 'b.R'),
      shield('a.S', 'b.S'),
      ...leadCapacitance(['a.T', 'a.S'], ['b.T', 'b.S']),
      ...leadCapacitance(['a.R', 'a.S'], ['b.R', 'b.S']),
    ],
  },
  {
    id: 'patch-trs-trrs',
    name: 'TRS-to-TRRS patch cable',
    family: 'lead',
    summary: 'two dark bands at the pack’s end, three at the phone’s; works one way round',
    price: 9,
    length: 0.2,
    ports: [
      through('trs', 'end with two dark bands', 'trs-3.5', 'plug'),
      through('trrs', 'end with three dark bands', 'trrs-3.5', 'plug'),
    ],
    circuit: [
      strand('trs.T', 'trrs.S'),
      shield('trs.S', 'trrs.R2'),
      ...leadCapacitance(['trs.T', 'trs.S'], ['trrs.S', 'trrs.R2']),
    ],
  },
];

const headsetPlug = through('plug', 'plug with three dark bands', 'trrs-3.5', 'plug');
const headphoneSocket = {
  id: 'phones',
  name: 'headphone socket',
  connector: 'trs-3.5',
  gender: 'jack',
  direction: 'out',
  roles: { T: 'left', R: 'right', S: 'ground' },
  bears: 'passes',
} as const;
const toHeadphones = wired('plug', 'phones', [
  ['T', 'T'],
  ['R1', 'R'],
  ['R2', 'S'],
]);

const MICS = ['one', 'two'] as const;
const micSocket = (id: string): PartPort => ({
  id,
  name: `microphone socket ${id}`,
  connector: 'trs-3.5',
  gender: 'jack',
  direction: 'in',
  roles: { T: 'microphone', S: 'ground' },
  bears: 'passes',
  alike: 'microphone',
});
const fromMic = (id: string) =>
  wired('plug', id, [
    ['S', 'T'],
    ['R2', 'S'],
  ]);

export const SPLITTERS: readonly Part[] = [
  {
    id: 'splitter-trs',
    name: 'Headset splitter, TRS sockets',
    family: 'splitter',
    summary: 'one plug with three dark bands; a three-contact microphone socket and a headphone socket',
    price: 8,
    ports: [
      headsetPlug,
      {
        id: 'mic',
        name: 'microphone socket',
        connector: 'trs-3.5',
        gender: 'jack',
        direction: 'in',
        roles: { T: 'microphone', S: 'ground' },
        bears: 'passes',
      },
      headphoneSocket,
    ],
    circuit: [
      ...wired('plug', 'mic', [
        ['S', 'T'],
        ['R2', 'S'],
      ]),
      ...toHeadphones,
    ],
  },
  {
    id: 'splitter-trrs',
    name: 'Headset splitter, TRRS microphone socket',
    family: 'splitter',
    summary: 'one plug with three dark bands; a four-contact microphone socket and a headphone socket',
    price: 9,
    ports: [
      headsetPlug,
      {
        id: 'mic',
        name: 'microphone socket',
        connector: 'trrs-3.5',
        gender: 'jack',
        direction: 'in',
        roles: { R2: 'ground', S: 'microphone' },
        bears: 'passes',
      },
      headphoneSocket,
    ],
    circuit: [
      ...wired('plug', 'mic', [
        ['S', 'S'],
        ['R2', 'R2'],
      ]),
      ...toHeadphones,
    ],
  },
  {
    id: 'splitter-two-mics',
    name: 'Headset splitter, two microphone sockets',
    family: 'splitter',
    summary: 'two TRS microphone sockets on one microphone contact; both are heard as one',
    price: 14,
    ports: [headsetPlug, ...MICS.map(micSocket)],
    circuit: MICS.flatMap(fromMic),
  },
  {
    id: 'splitter-two-mics-phones',
    name: 'Headset splitter, two microphone sockets and headphones',
    family: 'splitter',
    summary: 'two TRS microphone sockets on one microphone contact, and a headphone socket',
    price: 18,
    ports: [headsetPlug, ...MICS.map(micSocket), headphoneSocket],
    circuit: [...MICS.flatMap(fromMic), ...toHeadphones],
  },
];
