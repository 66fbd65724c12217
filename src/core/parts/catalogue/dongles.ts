import { milliamps } from '../../units';
import { EIGHT_PIN_ROLES, hostVolume, USB_ROLES, usbPort } from '../model/builders';
import { headsetCapture, headsetCircuit, headsetJack } from '../model/headset-input';
import type { BusDevice, Part, PartPort } from '../model/types.generated';

const eightPin: PartPort = {
  id: 'plug',
  name: '8-pin plug',
  connector: '8-pin',
  gender: 'plug',
  direction: 'both',
  roles: EIGHT_PIN_ROLES,
  bears: 'digital',
};
const usbC: PartPort = { ...eightPin, name: 'USB-C plug', connector: 'usb-c', roles: USB_ROLES };

interface DonglePlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly plug: PartPort;
  readonly registersAs: BusDevice['registersAs'];
  readonly authenticated: boolean;
  readonly draw: number;
  readonly worksIn?: readonly string[];
}

/** A headset jack at the end of a digital plug, or of an analogue one. */
const dongle = ({ plug, registersAs, authenticated, draw, worksIn, ...rest }: DonglePlan): Part => ({
  ...rest,
  family: 'dongle',
  ports: [headsetJack('jack', 'ctia'), plug],
  settings: [hostVolume('System volume')],
  circuit: headsetCircuit('jack', 'ctia', 'plug', { knob: 'volume' }),
  captures: [headsetCapture('jack', 'ctia')],
  // Draw: typical.
  bus: {
    port: 'plug',
    registersAs,
    authenticated,
    ...(worksIn && { worksIn }),
    draw: milliamps(draw),
    captures: ['headset'],
    plays: true,
  },
});

const withCharging: Part = dongle({
  id: 'dongle-usb-c-charge',
  name: 'Headset dongle, USB-C, charge-through',
  summary: 'converter inside, and a socket for the charger',
  price: 18,
  plug: usbC,
  registersAs: 'headset',
  authenticated: false,
  draw: 30,
});

export const DONGLES: readonly Part[] = [
  dongle({
    id: 'dongle-8-pin-headset',
    name: 'Headset dongle, 8-pin',
    summary: '8-pin plug to headset jack; authenticated; registers as a headset',
    price: 10,
    plug: eightPin,
    registersAs: 'headset',
    authenticated: true,
    draw: 10,
  }),
  dongle({
    id: 'dongle-8-pin-plain',
    name: 'Headset dongle, 8-pin, no authentication',
    summary: 'looks like the other one; has no chip to prove itself with',
    price: 5,
    plug: eightPin,
    registersAs: 'headset',
    authenticated: false,
    draw: 10,
  }),
  dongle({
    id: 'dongle-usb-c-headset',
    name: 'Headset dongle, USB-C, converter inside',
    summary: 'works on any USB-C port that takes USB sound',
    price: 12,
    plug: usbC,
    registersAs: 'headset',
    authenticated: false,
    draw: 30,
  }),
  dongle({
    id: 'dongle-usb-c-passive',
    name: 'Headset dongle, USB-C, without converter',
    summary: 'wires only; wants a port with the audio accessory mode',
    price: 6,
    plug: usbC,
    registersAs: 'analogue',
    authenticated: false,
    draw: 0,
  }),
  dongle({
    id: 'dongle-8-pin-one-app',
    name: 'Headset dongle, 8-pin, works in one recorder only',
    summary: 'has no chip; its maker’s recorder takes it all the same, and nothing else does',
    price: 8,
    plug: eightPin,
    registersAs: 'headset',
    authenticated: false,
    draw: 10,
    worksIn: ['recorder-app'],
  }),
  {
    ...withCharging,
    passesCharge: ['charge'],
    ports: [...withCharging.ports, usbPort('charge', 'charging socket', 'usb-c', 'jack')],
  },
];
