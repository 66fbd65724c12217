import { dbV } from '../../units';
import {
  STEREO_ROLES,
  USB_ROLES,
  XLR_ROLES,
  knob,
  microphoneInput,
  onOff,
  stereoOutput,
  when,
} from '../builders';
import type { Part, PartPort, Quantity } from '../types';

const usbPlug: PartPort = {
  id: 'usb',
  name: 'USB-C plug on its lead',
  connector: 'usb-c',
  gender: 'plug',
  direction: 'both',
  roles: USB_ROLES,
};

const xlrSocket = (id: string, name: string): PartPort => ({
  id,
  name,
  connector: 'xlr-3',
  gender: 'jack',
  direction: 'in',
  roles: XLR_ROLES,
});

const gain: Quantity = { knob: 'gain' };

export const INTERFACES: readonly Part[] = [
  {
    id: 'interface-one-input',
    name: 'Interface, one XLR input, USB-C',
    family: 'interface',
    summary: 'microphone preamplifier with 48 V, headphones with direct monitoring; fed by USB',
    price: 110,
    ports: [
      xlrSocket('mic', 'XLR input'),
      usbPlug,
      {
        id: 'phones',
        name: 'headphone socket',
        connector: 'trs-6.35',
        gender: 'jack',
        direction: 'out',
        roles: STEREO_ROLES,
      },
    ],
    settings: [
      onOff('phantom', '48 V', 'off'),
      knob('gain', 'Gain', 0, 60, 30),
      onOff('direct', 'Direct', 'on'),
    ],
    circuit: [
      ...microphoneInput('mic', 'phantom', 'in', 'usb'),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 22, 3),
      { kind: 'wire', a: 'mic.1', b: 'phones.S' },
    ],
    paths: (['left', 'right'] as const).map((side) => ({
      from: 'in',
      to: `phones-${side}`,
      gain: [gain, when('direct')],
    })),
    captures: [
      {
        id: 'in',
        name: 'input 1',
        port: 'mic',
        channels: [{ side: 'mono', plus: 'mic-hot', minus: 'mic-cold' }],
        // Full scale at no gain, +10 dBu, and the converter's share of the noise: typical.
        fullScale: dbV(7.8),
        noise: dbV(-130.2),
        gain,
      },
    ],
    // Draw: typical, phantom included.
    bus: {
      port: 'usb',
      registersAs: 'audio',
      authenticated: false,
      draw: { setting: 'phantom', values: { on: 350, off: 250 } },
      captures: ['in'],
    },
  },
  {
    id: 'receiver-usb',
    name: 'Receiver, USB-C output',
    family: 'receiver',
    summary: 'takes one clip-on pack; a sound device on its own USB-C plug',
    price: 190,
    ports: [usbPlug],
    circuit: [
      { kind: 'signal', id: 'pack', hears: 'voice', a: 'amp', b: 'ground', sensitivity: -32, noise: -102 },
      { kind: 'resistor', a: 'amp', b: 'ground', ohms: 10_000 },
    ],
    captures: [
      {
        id: 'pack',
        name: 'pack',
        port: 'usb',
        channels: [
          { side: 'left', plus: 'amp', minus: 'ground' },
          { side: 'right', plus: 'amp', minus: 'ground' },
        ],
        fullScale: dbV(-20),
        noise: dbV(-110),
      },
    ],
    bus: { port: 'usb', registersAs: 'audio', authenticated: false, draw: 100, captures: ['pack'] },
  },
];
