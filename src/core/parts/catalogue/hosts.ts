import { dbSpl, dbV, milliamps } from '../../units';
import { USB_ROLES } from '../builders';
import {
  headsetBears,
  headsetCapture,
  headsetCircuit,
  headsetJack,
  type HeadsetPinout,
} from '../headset-input';
import type { OwnMicrophone, Part } from '../types';

/**
 * 90 dB SPL at 1 kHz gives RMS 2500 of 32768, −22.35 dB (Android Compatibility Definition, audio recording). The
 * noise is typical.
 */
const ownMicrophone = (name: string): OwnMicrophone => ({
  name,
  calibration: dbSpl(90),
  calibrationDbfs: 20 * Math.log10(2500 / 32768),
  noiseDbfs: -80,
});

const phoneWithJack = (pinout: HeadsetPinout, name: string, summary: string): Part => ({
  id: `phone-${pinout}`,
  name,
  family: 'phone',
  summary,
  price: 250,
  ports: [headsetJack('jack', pinout)],
  circuit: headsetCircuit('jack', pinout),
  bears: headsetBears('jack', pinout),
  captures: [headsetCapture('jack', pinout)],
  host: {
    word: 'phone',
    ownMicrophone: ownMicrophone('the phone’s own microphone'),
    selects: 'when-detected',
    busPorts: [],
  },
});

const eightPinLines = {
  V: 'supply',
  G: 'ground',
  D: 'data',
  A: 'authentication',
} as const;

const eightPinHost = (id: string, name: string, word: 'phone' | 'tablet', price: number): Part => ({
  id,
  name,
  family: 'phone',
  summary: 'no headset jack; its port wants an authenticated accessory',
  price,
  ports: [
    {
      id: 'port',
      name: '8-pin port',
      connector: '8-pin',
      gender: 'jack',
      direction: 'both',
      roles: eightPinLines,
    },
  ],
  circuit: [],
  host: {
    word,
    ownMicrophone: ownMicrophone(`the ${word}’s own microphone`),
    selects: 'when-detected',
    // A bare 8-pin port feeds about 100 mA (typical, from memory).
    busPorts: [{ port: 'port', feeds: 100, data: true, wantsAuthentication: true }],
  },
});

export const HOSTS: readonly Part[] = [
  phoneWithJack(
    'ctia',
    'Phone, CTIA headset jack',
    'headset jack as on current phones: microphone on the sleeve',
  ),
  phoneWithJack(
    'omtp',
    'Phone, OMTP headset jack',
    'older headset jack: microphone on ring 2, ground on the sleeve',
  ),
  eightPinHost('phone-8-pin', 'Phone, 8-pin port', 'phone', 450),
  eightPinHost('tablet-8-pin', 'Tablet, 8-pin port', 'tablet', 400),
  {
    id: 'phone-usb-c',
    name: 'Phone, USB-C port',
    family: 'phone',
    summary: 'no headset jack; takes class-compliant USB sound devices',
    price: 400,
    ports: [
      {
        id: 'port',
        name: 'USB-C port',
        connector: 'usb-c',
        gender: 'jack',
        direction: 'both',
        roles: USB_ROLES,
      },
    ],
    circuit: [],
    host: {
      word: 'phone',
      ownMicrophone: ownMicrophone('the phone’s own microphone'),
      selects: 'when-detected',
      // A configured USB 2.0 device may draw 500 mA (USB 2.0, 7.2.1); what phones allow varies.
      busPorts: [{ port: 'port', feeds: 500, data: true, wantsAuthentication: false }],
    },
  },
  {
    id: 'camera-trs',
    name: 'Camera, TRS mic jack',
    family: 'camera',
    summary: 'stereo microphone jack with plug-in power, and a headphone jack beside it',
    price: 600,
    ports: [
      {
        id: 'mic',
        name: 'mic jack',
        connector: 'trs-3.5',
        gender: 'jack',
        direction: 'in',
        roles: { T: 'left', R: 'right', S: 'ground' },
      },
      {
        id: 'phones',
        name: 'headphone jack',
        connector: 'trs-3.5',
        gender: 'jack',
        direction: 'out',
        roles: { T: 'left', R: 'right', S: 'ground' },
      },
    ],
    circuit: [
      // Plug-in power, 2–5 V through 2.2 kΩ: typical.
      { kind: 'supply', a: 'bias', b: 'mic.S', volts: 3 },
      { kind: 'resistor', a: 'bias', b: 'mic.T', ohms: 2200 },
      { kind: 'resistor', a: 'bias', b: 'mic.R', ohms: 2200 },
      { kind: 'capacitor', a: 'mic.T', b: 'adc-left', farads: 2.2e-6 },
      { kind: 'capacitor', a: 'mic.R', b: 'adc-right', farads: 2.2e-6 },
      { kind: 'resistor', a: 'adc-left', b: 'mic.S', ohms: 10_000 },
      { kind: 'resistor', a: 'adc-right', b: 'mic.S', ohms: 10_000 },
      { kind: 'wire', a: 'mic.S', b: 'phones.S' },
      { kind: 'signal', id: 'playback-left', hears: 'playback', a: 'out-left', b: 'mic.S', sensitivity: -6 },
      {
        kind: 'signal',
        id: 'playback-right',
        hears: 'playback',
        a: 'out-right',
        b: 'mic.S',
        sensitivity: -6,
      },
      { kind: 'resistor', a: 'out-left', b: 'phones.T', ohms: 16 },
      { kind: 'resistor', a: 'out-right', b: 'phones.R', ohms: 16 },
    ],
    captures: [
      {
        id: 'mic',
        name: 'mic jack',
        port: 'mic',
        channels: [
          { side: 'left', plus: 'adc-left', minus: 'mic.S' },
          { side: 'right', plus: 'adc-right', minus: 'mic.S' },
        ],
        // A camera's mic input at its usual first notch: full-scale sine and noise typical.
        fullScale: dbV(-24),
        noise: dbV(-110),
      },
    ],
    host: {
      word: 'camera',
      ownMicrophone: ownMicrophone('the camera’s own microphone'),
      selects: 'when-plugged',
      busPorts: [],
    },
  },
];

export const DONGLES: readonly Part[] = [
  {
    id: 'dongle-8-pin-headset',
    name: 'Headset dongle, 8-pin',
    family: 'dongle',
    summary: '8-pin plug to headset jack; authenticated; registers as a headset',
    price: 10,
    ports: [
      headsetJack('jack', 'ctia'),
      {
        id: 'plug',
        name: '8-pin plug',
        connector: '8-pin',
        gender: 'plug',
        direction: 'both',
        roles: eightPinLines,
      },
    ],
    circuit: headsetCircuit('jack', 'ctia', 'plug'),
    bears: headsetBears('jack', 'ctia'),
    captures: [headsetCapture('jack', 'ctia')],
    // Draw: typical.
    bus: {
      port: 'plug',
      registersAs: 'headset',
      authenticated: true,
      draw: milliamps(10),
      captures: ['headset'],
    },
  },
];
