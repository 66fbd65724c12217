import { adapterPart, straight, through } from '../model/builders';
import type { Part } from '../model/types.generated';

const socket = (id: string, name: string, connector: 'trs-3.5' | 'trrs-3.5') =>
  through(id, name, connector, 'jack');
const plug = (id: string, name: string, connector: 'trs-3.5' | 'trrs-3.5') =>
  through(id, name, connector, 'plug');

/** Couplers and adapters between 3.5 mm plugs and sockets. */
export const JACK_ADAPTERS: readonly Part[] = [
  adapterPart({
    id: 'coupler-trs',
    name: '3.5 mm TRS coupler',
    summary: 'joins two TRS leads; three contacts',
    price: 3,
    ends: [socket('a', 'socket A', 'trs-3.5'), socket('b', 'socket B', 'trs-3.5')],
    joins: straight('a', 'b', ['T', 'R', 'S']),
  }),
  adapterPart({
    id: 'coupler-trrs',
    name: '3.5 mm TRRS coupler',
    summary: 'joins two headset leads; four contacts',
    price: 4,
    ends: [socket('a', 'socket A', 'trrs-3.5'), socket('b', 'socket B', 'trrs-3.5')],
    joins: straight('a', 'b', ['T', 'R1', 'R2', 'S']),
  }),
  adapterPart({
    id: 'adapter-ctia-omtp',
    name: 'Headset pinout adapter',
    summary: 'exchanges microphone and ground between the newer and the older headset wiring',
    price: 6,
    ends: [socket('socket', 'headset socket', 'trrs-3.5'), plug('plug', 'headset plug', 'trrs-3.5')],
    joins: [
      ['socket.T', 'plug.T'],
      ['socket.R1', 'plug.R1'],
      ['socket.R2', 'plug.S'],
      ['socket.S', 'plug.R2'],
    ],
  }),
  adapterPart({
    id: 'adapter-trs-trrs',
    name: 'TRS microphone socket to headset plug',
    summary: 'what a patch cable does, without the cable',
    price: 7,
    ends: [socket('socket', 'microphone socket', 'trs-3.5'), plug('plug', 'headset plug', 'trrs-3.5')],
    joins: [
      ['socket.T', 'plug.S'],
      ['socket.S', 'plug.R2'],
    ],
  }),
  adapterPart({
    id: 'adapter-trrs-trs',
    name: 'Headset microphone socket to TRS plug',
    summary: 'a headset’s microphone onto tip and ring of a camera’s jack',
    price: 7,
    ends: [socket('socket', 'headset socket', 'trrs-3.5'), plug('plug', 'TRS plug', 'trs-3.5')],
    joins: [
      ['socket.S', 'plug.T'],
      ['socket.S', 'plug.R'],
      ['socket.R2', 'plug.S'],
    ],
  }),
  adapterPart({
    id: 'splitter-headphones',
    name: 'Headphone splitter, two sockets',
    summary: 'one stereo plug, two headphone sockets',
    price: 6,
    ends: [
      plug('plug', 'plug', 'trs-3.5'),
      socket('one', 'socket 1', 'trs-3.5'),
      socket('two', 'socket 2', 'trs-3.5'),
    ],
    joins: [...straight('plug', 'one', ['T', 'R', 'S']), ...straight('plug', 'two', ['T', 'R', 'S'])],
  }),
  adapterPart({
    id: 'splitter-left-right',
    name: 'Two microphones to left and right, 3.5 mm',
    summary: 'socket 1 onto the tip, socket 2 onto the ring: one microphone a side',
    price: 9,
    ends: [
      plug('plug', 'stereo plug', 'trs-3.5'),
      socket('one', 'socket 1', 'trs-3.5'),
      socket('two', 'socket 2', 'trs-3.5'),
    ],
    joins: [
      ['one.T', 'plug.T'],
      ['two.T', 'plug.R'],
      ['one.S', 'plug.S'],
      ['two.S', 'plug.S'],
    ],
  }),
  {
    id: 'plug-dummy-trs',
    name: 'Dummy plug, 3.5 mm TRS',
    family: 'adapter',
    summary:
      'fills a socket and carries nothing: for a box that is noticed only while something is plugged in',
    price: 3,
    ports: [through('plug', 'plug', 'trs-3.5', 'plug')],
    circuit: [],
  },
];
