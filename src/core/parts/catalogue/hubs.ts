import { milliamps } from '../../units';
import {
  EIGHT_PIN_ROLES,
  hostVolume,
  oneOf,
  onOff,
  phonesOut,
  playbackInto,
  portWith,
  stereoOutput,
  usbPort,
} from '../model/builders';
import type { BusSocket, Part } from '../model/types.generated';

/** What bare 8-pin adapters give: about 100 mA, up to 200 of some. Typical, from memory. */
const BARE = { typical: 100, least: 100, most: 200 } as const;

const charger = onOff('charger', 'Charger in its socket', 'off');
const supply = onOff('supply', 'Mains supply', 'off');
/** Its mains unit comes with it and is of class II. */
const unit = { class: 'insulated', on: { setting: 'supply', is: 'on' } } as const;

/** A bus-powered hub gives 100 mA a socket, a powered one 500 mA (USB 2.0, 7.2.1). */
const hubSocket = (port: string, supplied = 500): BusSocket => ({
  port,
  feeds: { supplied, bare: 100 },
  data: true,
});

/** What a fed socket of a faster hub gives, mA (USB 3.2, 11.4.1; from memory). */
const SUPERSPEED = 900;

export const HOST_ADAPTERS: readonly Part[] = [
  {
    id: 'adapter-8-pin-usb',
    name: 'Host adapter, 8-pin to USB-A, charge-through',
    family: 'adapter',
    summary: 'takes USB sound devices on an 8-pin port; feeds more with a charger in its socket',
    price: 38,
    ports: [
      portWith(['plug', '8-pin plug', '8-pin'], 'plug', 'both', EIGHT_PIN_ROLES),
      usbPort('usb', 'USB-A socket', 'usb-a', 'jack'),
      portWith(['charge', 'charging socket', '8-pin'], 'jack', 'in', EIGHT_PIN_ROLES),
    ],
    settings: [charger],
    circuit: [],
    // With a charger about 500 mA, bare about 100 mA: typical, from memory.
    hub: {
      upstream: 'plug',
      sockets: [{ port: 'usb', feeds: { supplied: 500, bare: BARE }, data: true }],
      authenticated: true,
      supplied: [{ setting: 'charger', is: 'on' }, { port: 'charge' }],
      ownDraw: milliamps(0),
    },
  },
  {
    id: 'adapter-8-pin-usb-bare',
    name: 'Host adapter, 8-pin to USB-A, no charging socket',
    family: 'adapter',
    summary: 'takes USB devices that draw little; nothing can feed it',
    price: 28,
    ports: [
      portWith(['plug', '8-pin plug', '8-pin'], 'plug', 'both', EIGHT_PIN_ROLES),
      usbPort('usb', 'USB-A socket', 'usb-a', 'jack'),
    ],
    circuit: [],
    // About 100 mA: typical, from memory.
    hub: {
      upstream: 'plug',
      sockets: [{ port: 'usb', feeds: BARE, data: true }],
      authenticated: true,
      ownDraw: milliamps(0),
    },
  },
  {
    id: 'adapter-usb-c-charge',
    name: 'Host adapter, USB-C, charge-through',
    family: 'adapter',
    summary: 'a USB-A socket and a charging socket on one USB-C plug',
    price: 25,
    ports: [
      usbPort('plug', 'USB-C plug', 'usb-c', 'plug'),
      usbPort('usb', 'USB-A socket', 'usb-a', 'jack'),
      usbPort('charge', 'charging socket', 'usb-c', 'jack'),
    ],
    circuit: [],
    hub: {
      upstream: 'plug',
      sockets: [{ port: 'usb', feeds: 500, data: true }],
      authenticated: false,
      supplied: [{ port: 'charge' }],
      ownDraw: milliamps(0),
    },
  },
];

export const HUBS: readonly Part[] = [
  {
    id: 'hub-usb-a',
    name: 'USB hub, USB-A plug',
    family: 'hub',
    stands: 'table',
    summary: 'two USB-C and one USB-A sockets; its own mains supply can be plugged in',
    price: 28,
    ports: [
      usbPort('plug', 'USB-A plug', 'usb-a', 'plug'),
      oneOf('socket', usbPort('one', 'USB-C socket 1', 'usb-c', 'jack')),
      oneOf('socket', usbPort('two', 'USB-C socket 2', 'usb-c', 'jack')),
      usbPort('three', 'USB-A socket', 'usb-a', 'jack'),
    ],
    settings: [supply],
    mains: unit,
    circuit: [],
    hub: {
      upstream: 'plug',
      sockets: ['one', 'two', 'three'].map((port) => hubSocket(port)),
      authenticated: false,
      supplied: [{ setting: 'supply', is: 'on' }],
      ownDraw: milliamps(100),
    },
  },
  {
    id: 'hub-usb-c',
    name: 'USB hub, USB-C plug, charge-through',
    family: 'hub',
    stands: 'table',
    summary: 'three USB-A sockets and a charging socket',
    price: 30,
    ports: [
      usbPort('plug', 'USB-C plug', 'usb-c', 'plug'),
      oneOf('socket', usbPort('one', 'USB-A socket 1', 'usb-a', 'jack')),
      oneOf('socket', usbPort('two', 'USB-A socket 2', 'usb-a', 'jack')),
      oneOf('socket', usbPort('three', 'USB-A socket 3', 'usb-a', 'jack')),
      usbPort('charge', 'charging socket', 'usb-c', 'jack'),
    ],
    circuit: [],
    hub: {
      upstream: 'plug',
      sockets: ['one', 'two', 'three'].map((port) => hubSocket(port, SUPERSPEED)),
      authenticated: false,
      supplied: [{ port: 'charge' }],
      ownDraw: milliamps(100),
    },
  },
  {
    id: 'hub-usb-c-phones',
    name: 'USB hub, USB-C plug, headphone socket',
    family: 'hub',
    stands: 'table',
    summary: 'two USB-A sockets and a headphone socket of its own, into which playback moves',
    price: 32,
    ports: [
      usbPort('plug', 'USB-C plug', 'usb-c', 'plug'),
      oneOf('socket', usbPort('one', 'USB-A socket 1', 'usb-a', 'jack')),
      oneOf('socket', usbPort('two', 'USB-A socket 2', 'usb-a', 'jack')),
      phonesOut('trs-3.5'),
    ],
    settings: [hostVolume('System volume')],
    circuit: [
      ...playbackInto(-3),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 10, -3),
      { kind: 'wire', a: 'phones.S', b: 'ground' },
    ],
    paths: (['left', 'right'] as const).map((side) => ({
      from: `play-${side}`,
      to: `phones-${side}`,
      gain: [{ knob: 'volume' }],
    })),
    power: [{ port: 'plug' }],
    bus: {
      port: 'plug',
      registersAs: 'audio',
      authenticated: false,
      draw: 50,
      captures: [],
      plays: true,
    },
    hub: {
      upstream: 'plug',
      sockets: ['one', 'two'].map((port) => hubSocket(port)),
      authenticated: false,
      ownDraw: milliamps(100),
    },
  },
  {
    id: 'hub-unpowered',
    name: 'USB hub, USB-A plug, no supply',
    family: 'hub',
    stands: 'table',
    summary: 'four USB-A sockets that share what the host gives',
    price: 12,
    ports: [
      usbPort('plug', 'USB-A plug', 'usb-a', 'plug'),
      ...[1, 2, 3, 4].map((n) => oneOf('socket', usbPort(`s${n}`, `USB-A socket ${n}`, 'usb-a', 'jack'))),
    ],
    circuit: [],
    hub: {
      upstream: 'plug',
      sockets: [1, 2, 3, 4].map((n) => hubSocket(`s${n}`)),
      authenticated: false,
      ownDraw: milliamps(100),
    },
  },
  {
    id: 'hub-powered-odd',
    name: 'Powered USB hub with odd sockets',
    family: 'hub',
    stands: 'table',
    summary: 'mains supply; one socket with a charge mark and no data, one with a switch of its own',
    price: 36,
    ports: [
      usbPort('up', 'square socket toward the host', 'usb-b', 'jack'),
      usbPort('one', 'USB-A socket 1', 'usb-a', 'jack'),
      usbPort('two', 'USB-A socket 2, with switch', 'usb-a', 'jack'),
      usbPort('charge', 'USB-A socket with charge mark', 'usb-a', 'jack'),
    ],
    mains: unit,
    settings: [supply, onOff('switch-two', 'Switch of socket 2', 'on')],
    circuit: [],
    hub: {
      upstream: 'up',
      sockets: [
        hubSocket('one'),
        { port: 'two', feeds: { setting: 'switch-two', values: { on: 500, off: 0 } }, data: true },
        { port: 'charge', feeds: { supplied: 1500, bare: 0 }, data: false },
      ],
      authenticated: false,
      supplied: [{ setting: 'supply', is: 'on' }],
      ownDraw: milliamps(100),
    },
  },
];
