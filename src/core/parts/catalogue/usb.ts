import { milliamps } from '../../units';
import { USB_ROLES, onOff, strand, through } from '../builders';
import type { Part, PartPort } from '../types';

const usbSocket = (id: string, connector: 'usb-a' | 'usb-c', name: string): PartPort => ({
  id,
  name,
  connector,
  gender: 'jack',
  direction: 'both',
  roles: USB_ROLES,
});

const lines = (a: string, b: string, names: readonly string[]) =>
  names.map((line) => strand(`${a}.${line}`, `${b}.${line}`));

export const USB_PARTS: readonly Part[] = [
  {
    id: 'adapter-8-pin-usb',
    name: 'Host adapter, 8-pin to USB-A, charge-through',
    family: 'adapter',
    summary: 'takes USB sound devices on an 8-pin port; feeds more with a charger in its socket',
    price: 38,
    ports: [
      {
        id: 'plug',
        name: '8-pin plug',
        connector: '8-pin',
        gender: 'plug',
        direction: 'both',
        roles: { ...USB_ROLES, A: 'authentication' },
      },
      usbSocket('usb', 'usb-a', 'USB-A socket'),
    ],
    settings: [onOff('charger', 'Charger', 'off')],
    circuit: [],
    // With a charger about 500 mA, bare about 100 mA: typical, from memory.
    hub: {
      upstream: 'plug',
      sockets: [{ port: 'usb', feeds: { setting: 'charger', values: { on: 500, off: 100 } }, data: true }],
      authenticated: true,
      supplied: { setting: 'charger', is: 'on' },
      ownDraw: milliamps(0),
    },
  },
  {
    id: 'hub-usb-a',
    name: 'USB hub, USB-A plug',
    family: 'hub',
    summary: 'two USB-C and one USB-A sockets; its own mains supply can be plugged in',
    price: 28,
    ports: [
      {
        id: 'plug',
        name: 'USB-A plug',
        connector: 'usb-a',
        gender: 'plug',
        direction: 'both',
        roles: USB_ROLES,
      },
      usbSocket('one', 'usb-c', 'USB-C socket 1'),
      usbSocket('two', 'usb-c', 'USB-C socket 2'),
      usbSocket('three', 'usb-a', 'USB-A socket'),
    ],
    settings: [onOff('supply', 'Mains supply', 'off')],
    circuit: [],
    // A bus-powered hub gives 100 mA a socket, a powered one 500 mA (USB 2.0, 7.2.1).
    hub: {
      upstream: 'plug',
      sockets: ['one', 'two', 'three'].map((port) => ({
        port,
        feeds: { setting: 'supply', values: { on: 500, off: 100 } },
        data: true,
      })),
      authenticated: false,
      supplied: { setting: 'supply', is: 'on' },
      ownDraw: milliamps(100),
    },
  },
  {
    id: 'adapter-usb-a-c',
    name: 'USB-A plug to USB-C socket',
    family: 'adapter',
    summary: 'lets a USB-C plug into a USB-A socket',
    price: 6,
    ports: [through('a', 'USB-A plug', 'usb-a', 'plug'), through('c', 'USB-C socket', 'usb-c', 'jack')],
    circuit: lines('a', 'c', ['V', 'G', 'D']),
  },
  {
    id: 'lead-usb-c-extension',
    name: 'USB-C extension lead',
    family: 'lead',
    summary: 'plug to socket, power and data',
    price: 12,
    length: 1,
    ports: [through('plug', 'plug', 'usb-c', 'plug'), through('socket', 'socket', 'usb-c', 'jack')],
    circuit: lines('plug', 'socket', ['V', 'G', 'D']),
  },
  {
    id: 'lead-usb-c-charge',
    name: 'USB-C extension lead, charge only',
    family: 'lead',
    summary: 'plug to socket; its data line is missing, which nothing on it tells',
    price: 7,
    length: 1,
    ports: [through('plug', 'plug', 'usb-c', 'plug'), through('socket', 'socket', 'usb-c', 'jack')],
    circuit: lines('plug', 'socket', ['V', 'G']),
  },
];
