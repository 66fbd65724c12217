import { dbV } from '../../units';
import { hostVolume, knob, phonesOut, portWith, usbPort } from '../model/builders';
import { headsetCapture, headsetCircuit, headsetJack } from '../model/headset-input';
import { ownMicrophone } from './hosts';
import type { CircuitElement, Host, Part, PartSetting } from '../model/types.generated';

/** USB 2.0, 7.2.1: 500 mA configured; USB 3.2, 11.4.1: 900 mA (from memory). */
const host = (ports: readonly (readonly [id: string, feeds: number])[]): Host => ({
  word: 'computer',
  ownMicrophone: ownMicrophone('the computer’s own microphone'),
  selects: 'when-detected',
  runsApps: true,
  manyDevices: true,
  busPorts: ports.map(([port, feeds]) => ({ port, feeds, data: true, wantsAuthentication: false })),
});

/** What the system asks when something goes into the combo jack. */
const ASKED: PartSetting = {
  kind: 'switch',
  id: 'asked',
  name: 'Asked what was plugged in, answered',
  options: [
    { id: 'headset', name: 'microphone or headset' },
    { id: 'headphones', name: 'headphones' },
  ],
  initial: 'headset',
};

/** Its own charger: with an earthed plug its ground is the earth of the house. */
const FED: PartSetting = {
  kind: 'switch',
  id: 'fed',
  name: 'Runs on',
  options: [
    { id: 'battery', name: 'its battery' },
    { id: 'earthed', name: 'its charger, earthed plug' },
  ],
  initial: 'battery',
};

const playback: CircuitElement[] = (['left', 'right'] as const).flatMap((side): CircuitElement[] => [
  {
    kind: 'signal',
    id: `playback-${side}`,
    hears: 'playback',
    a: `out-${side}`,
    b: 'phones.S',
    sensitivity: { knob: 'volume' },
  },
  { kind: 'resistor', a: `out-${side}`, b: side === 'left' ? 'phones.T' : 'phones.R', ohms: 10 },
]);

export const COMPUTERS: readonly Part[] = [
  {
    id: 'laptop-combo',
    name: 'Laptop, combo headset jack',
    family: 'computer',
    summary: 'asks what was plugged in; USB-A and USB-C ports',
    price: 700,
    ports: [
      headsetJack('jack', 'ctia'),
      usbPort('usb-a', 'USB-A port', 'usb-a', 'jack'),
      usbPort('usb-c', 'USB-C port', 'usb-c', 'jack'),
    ],
    settings: [ASKED, FED, hostVolume('Volume')],
    mains: { class: 'earthed', on: { setting: 'fed', is: 'earthed' } },
    battery: { wattHours: { typical: 55, least: 40, most: 80 }, on: { setting: 'fed', is: 'battery' } },
    circuit: headsetCircuit('jack', 'ctia', undefined, { knob: 'volume' }),
    captures: [{ ...headsetCapture('jack', 'ctia'), on: { setting: 'asked', is: 'headset' } }],
    outlets: [
      { port: 'usb-a', gives: 900 },
      { port: 'usb-c', gives: 1500 },
    ],
    host: host([
      ['usb-a', 900],
      ['usb-c', 1500],
    ]),
  },
  {
    id: 'computer-separate',
    name: 'Computer, separate microphone and headphone sockets',
    mains: { class: 'earthed' },
    family: 'computer',
    summary: 'its microphone socket takes the plain TRS lead',
    price: 600,
    ports: [
      portWith(
        ['mic', 'microphone socket', 'trs-3.5'],
        'jack',
        'in',
        {
          T: 'microphone',
          R: 'bias',
          S: 'ground',
        },
        'plug-in-input',
      ),
      phonesOut('trs-3.5'),
      usbPort('usb-1', 'USB-A port 1', 'usb-a', 'jack'),
      usbPort('usb-2', 'USB-A port 2', 'usb-a', 'jack'),
    ],
    // In steps of 10 dB, among the sound settings of the system (common practice).
    settings: [{ ...knob('boost', 'microphone boost', 0, 30, 0), step: 10 }, hostVolume('Volume')],
    circuit: [
      // Bias on the ring: typical of computers.
      { kind: 'supply', a: 'bias', b: 'mic.S', volts: 2.5 },
      { kind: 'resistor', a: 'bias', b: 'mic.T', ohms: 2200 },
      { kind: 'resistor', a: 'bias', b: 'mic.R', ohms: 2200 },
      { kind: 'capacitor', a: 'mic.T', b: 'adc', farads: 1e-6 },
      { kind: 'resistor', a: 'adc', b: 'mic.S', ohms: 10_000 },
      { kind: 'wire', a: 'mic.S', b: 'phones.S' },
      ...playback,
    ],
    captures: [
      {
        id: 'mic',
        name: 'microphone socket',
        port: 'mic',
        channels: [{ side: 'mono', plus: 'adc', minus: 'mic.S' }],
        fullScale: dbV(-22),
        noise: dbV(-104),
        gain: { knob: 'boost' },
      },
    ],
    outlets: [
      { port: 'usb-1', gives: 500 },
      { port: 'usb-2', gives: 500 },
    ],
    host: host([
      ['usb-1', 500],
      ['usb-2', 500],
    ]),
  },
];
