import { dbSpl } from '../../units';
import { EIGHT_PIN_ROLES, hostVolume, portWith, usbPort } from '../model/builders';
import { headsetCapture, headsetCircuit, headsetJack, type HeadsetPinout } from '../model/headset-input';
import type { Battery, Host, HostPort, OwnMicrophone, Part, PartPort } from '../model/types.generated';

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

/** What they hold and take in while charging: typical. */
const BATTERIES: Readonly<Record<'phone' | 'tablet', Battery>> = {
  phone: {
    wattHours: { typical: 13, least: 10, most: 17 },
    charging: { typical: 1500, least: 500, most: 3000 },
  },
  tablet: {
    wattHours: { typical: 28, least: 20, most: 40 },
    charging: { typical: 2000, least: 1000, most: 3000 },
  },
};

const phoneWithJack = (pinout: HeadsetPinout, name: string, summary: string): Part => ({
  id: `phone-${pinout}`,
  name,
  family: 'phone',
  summary,
  price: 250,
  battery: BATTERIES.phone,
  ports: [headsetJack('jack', pinout)],
  // Its own volume sets what it plays into a mixer: start low.
  settings: [hostVolume('Volume')],
  circuit: headsetCircuit('jack', pinout, undefined, { knob: 'volume' }),
  captures: [headsetCapture('jack', pinout)],
  host: {
    word: 'phone',
    ownMicrophone: ownMicrophone('the phone’s own microphone'),
    selects: 'when-detected',
    busPorts: [],
    runsApps: true,
  },
});

/** A bare 8-pin port feeds about 100 mA, up to 200 of some: typical, from memory. */
const EIGHT_PIN_PORT: HostPort = {
  port: 'port',
  feeds: { typical: 100, least: 100, most: 200 },
  data: true,
  wantsAuthentication: true,
};

/** A configured USB 2.0 device may draw 500 mA (USB 2.0, 7.2.1); what phones allow varies. */
const USB_C_PORT: HostPort = { port: 'port', feeds: 500, data: true, wantsAuthentication: false };

const eightPinHost = (id: string, name: string, word: 'phone' | 'tablet', price: number): Part => ({
  id,
  name,
  family: 'phone',
  summary: 'no headset jack; its port wants an authenticated accessory',
  price,
  battery: BATTERIES[word],
  ports: [
    {
      id: 'port',
      name: '8-pin port',
      connector: '8-pin',
      gender: 'jack',
      direction: 'both',
      roles: EIGHT_PIN_ROLES,
      bears: 'digital',
    },
  ],
  circuit: [],
  host: {
    word,
    ownMicrophone: ownMicrophone(`the ${word}’s own microphone`),
    selects: 'when-detected',
    busPorts: [EIGHT_PIN_PORT],
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
  battery: BATTERIES[word],
  ports: [usbPort('port', 'USB-C port', 'usb-c', 'jack')],
  circuit: [],
  host: {
    word,
    ownMicrophone: ownMicrophone(`the ${word}’s own microphone`),
    selects: 'when-detected',
    runsApps: true,
    busPorts: [{ ...USB_C_PORT, analogue }],
  },
});

/** A phone or tablet with a headset jack, and a digital port beside it. */
const both = (
  id: string,
  name: string,
  word: 'phone' | 'tablet',
  price: number,
  port: PartPort,
  busPort: HostPort,
): Part => {
  const { host, ...base } = phoneWithJack(
    'ctia',
    name,
    'a headset jack, and a port beside it that charges meanwhile',
  );
  const own: Host = {
    ...(host as Host),
    word,
    ownMicrophone: ownMicrophone(`the ${word}’s own microphone`),
    busPorts: [busPort],
  };
  return { ...base, id, price, battery: BATTERIES[word], ports: [...base.ports, port], host: own };
};

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
    battery: BATTERIES.tablet,
  },
  eightPinHost('tablet-8-pin', 'Tablet, 8-pin port', 'tablet', 400),
  usbCHost('phone-usb-c', 'Phone, USB-C port', 'phone', 400, false),
  usbCHost('phone-usb-c-analogue', 'Phone, USB-C port with analogue mode', 'phone', 350, true),
  usbCHost('tablet-usb-c', 'Tablet, USB-C port', 'tablet', 450, false),
  both(
    'phone-jack-usb-c',
    'Phone, headset jack and USB-C port',
    'phone',
    300,
    usbPort('port', 'USB-C port', 'usb-c', 'jack'),
    USB_C_PORT,
  ),
  both(
    'tablet-jack-8-pin',
    'Tablet, headset jack and 8-pin port',
    'tablet',
    350,
    portWith(['port', '8-pin port', '8-pin'], 'jack', 'both', EIGHT_PIN_ROLES),
    EIGHT_PIN_PORT,
  ),
];
