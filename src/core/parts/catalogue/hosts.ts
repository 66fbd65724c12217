import { dbSpl } from '../../units';
import { EIGHT_PIN_ROLES, usbPort } from '../model/builders';
import {
  headsetBears,
  headsetCapture,
  headsetCircuit,
  headsetJack,
  type HeadsetPinout,
} from '../model/headset-input';
import type { OwnMicrophone, Part } from '../model/types';

/**
 * 90 dB SPL at 1 kHz gives RMS 2500 of 32768, −22.35 dB (Android Compatibility Definition, audio recording). The
 * noise is typical.
 */
export const ownMicrophone = (name: string): OwnMicrophone => ({
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
    runsApps: true,
  },
});

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
      roles: EIGHT_PIN_ROLES,
    },
  ],
  circuit: [],
  host: {
    word,
    ownMicrophone: ownMicrophone(`the ${word}’s own microphone`),
    selects: 'when-detected',
    // A bare 8-pin port feeds about 100 mA (typical, from memory).
    busPorts: [{ port: 'port', feeds: 100, data: true, wantsAuthentication: true }],
    runsApps: true,
  },
});

/** A USB-C port takes class-compliant devices; `analogue`: passive headset dongles too. */
const usbCHost = (
  id: string,
  name: string,
  word: 'phone' | 'tablet',
  price: number,
  analogue: boolean,
): Part => ({
  id,
  name,
  family: 'phone',
  summary: analogue
    ? 'no headset jack; takes USB sound devices, and dongles without a converter'
    : 'no headset jack; takes class-compliant USB sound devices',
  price,
  ports: [usbPort('port', 'USB-C port', 'usb-c', 'jack')],
  circuit: [],
  host: {
    word,
    ownMicrophone: ownMicrophone(`the ${word}’s own microphone`),
    selects: 'when-detected',
    runsApps: true,
    // A configured USB 2.0 device may draw 500 mA (USB 2.0, 7.2.1); what phones allow varies.
    busPorts: [{ port: 'port', feeds: 500, data: true, wantsAuthentication: false, analogue }],
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
  {
    ...phoneWithJack(
      'ctia',
      'Tablet, headset jack',
      'headset jack as on current phones, and no digital port to speak of',
    ),
    id: 'tablet-ctia',
  },
  eightPinHost('tablet-8-pin', 'Tablet, 8-pin port', 'tablet', 400),
  usbCHost('phone-usb-c', 'Phone, USB-C port', 'phone', 400, false),
  usbCHost('phone-usb-c-analogue', 'Phone, USB-C port with analogue mode', 'phone', 350, true),
  usbCHost('tablet-usb-c', 'Tablet, USB-C port', 'tablet', 450, false),
];
