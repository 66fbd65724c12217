import { describe } from 'vitest';
import type { RigSketch } from '../../../testing/lay-rig';
import { testTwins, type Twins } from '../../../testing/twins';

/** A USB microphone on a phone, by whatever lies between. */
const usbMic = (
  mic: string,
  between: Record<string, string>,
  joints: string[],
  phone = 'phone-usb-c',
): RigSketch => ({
  parts: { mic, ...between, phone },
  joints,
});

/** A USB microphone on a computer, and perhaps others that are to be recorded as well. */
const onComputer = (others: readonly string[]): RigSketch => ({
  parts: {
    mic: 'usb-mic-low',
    lead: 'lead-usb-a-c',
    ...Object.fromEntries(
      others.flatMap((id) => [
        [id, 'usb-mic-low'],
        [`${id}-lead`, 'lead-usb-c-c'],
      ]),
    ),
    laptop: 'laptop-combo',
  },
  joints: [
    'lead.b mic.usb',
    'lead.a laptop.usb-a',
    ...others.flatMap((id) => [`${id}-lead.b ${id}.usb`, `${id}-lead.a laptop.usb-c`]),
  ],
  source: 'mic',
  others,
  recorder: 'laptop',
  apps: { laptop: 'multitrack' },
});

const throughHub = (
  hub: string,
  mic: string,
  settings: RigSketch['settings'] = {},
  lead = 'lead-usb-a-c',
): RigSketch => ({
  parts: { mic, lead, hub, adapter: 'adapter-8-pin-usb', phone: 'phone-8-pin' },
  joints: ['lead.b mic.usb', 'lead.a hub.s1', 'hub.plug adapter.usb', 'adapter.plug phone.port'],
  settings,
});

/** Two inputs, a microphone in the second, and a multitrack app. */
const multitrack = (choices: Record<string, string>, more: Partial<RigSketch> = {}): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    interface: 'interface-two-inputs',
    lead: 'lead-usb-c-c',
    phone: 'phone-usb-c',
  },
  joints: ['mic.out interface.mic-2', 'lead.a interface.usb', 'lead.b phone.port'],
  settings: { interface: { 'gain-2': 46 } },
  apps: { phone: 'multitrack' },
  choices: { phone: choices },
  ...more,
});

const receiverInApp = (app: string, choices: Record<string, string> = {}): RigSketch => ({
  parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
  apps: { phone: app },
  choices: { phone: choices },
});

const twoPacks = (settings: Record<string, string>, apart: boolean): RigSketch => ({
  parts: {
    one: 'pack-clip-on',
    two: 'pack-clip-on',
    receiver: 'receiver-two-channel',
    cable: 'cable-converter-usb-c',
    phone: 'phone-usb-c',
  },
  joints: ['one.radio receiver.a', 'two.radio receiver.b', 'cable.in receiver.out', 'cable.plug phone.port'],
  settings: { receiver: settings },
  apps: { phone: 'recorder-app' },
  source: 'one',
  others: ['two'],
  apart,
});

const BUS: readonly Twins[] = [
  {
    name: 'charge-only lead: listed nowhere',
    code: 'usb-no-data',
    faulty: usbMic('usb-mic-low', { lead: 'lead-usb-c-charge', c: 'lead-usb-c-c' }, [
      'c.a mic.usb',
      'c.b lead.socket',
      'lead.plug phone.port',
    ]),
    clean: usbMic('usb-mic-low', { lead: 'lead-usb-c-extension', c: 'lead-usb-c-c' }, [
      'c.a mic.usb',
      'c.b lead.socket',
      'lead.plug phone.port',
    ]),
  },
  {
    name: 'a receiver whose USB socket only charges',
    code: 'usb-no-data',
    state: 'wrong-mic',
    faulty: usbMic('receiver-charge-only', { lead: 'lead-usb-c-c' }, ['lead.a mic.usb', 'lead.b phone.port']),
    clean: usbMic('receiver-both', { lead: 'lead-usb-c-c' }, ['lead.a mic.usb', 'lead.b phone.port']),
  },
  {
    name: 'a hub’s socket with a charge mark carries no data',
    code: 'usb-no-data',
    faulty: {
      parts: {
        mic: 'usb-mic-low',
        lead: 'lead-usb-a-c',
        hub: 'hub-powered-odd',
        up: 'lead-usb-c-b',
        phone: 'phone-usb-c',
      },
      joints: ['lead.b mic.usb', 'lead.a hub.charge', 'up.b hub.up', 'up.a phone.port'],
      settings: { hub: { supply: 'on' } },
    },
    clean: {
      parts: {
        mic: 'usb-mic-low',
        lead: 'lead-usb-a-c',
        hub: 'hub-powered-odd',
        up: 'lead-usb-c-b',
        phone: 'phone-usb-c',
      },
      joints: ['lead.b mic.usb', 'lead.a hub.one', 'up.b hub.up', 'up.a phone.port'],
      settings: { hub: { supply: 'on' } },
    },
  },
  {
    name: 'unauthenticated adapter on an 8-pin phone',
    code: 'accessory-unauthenticated',
    faulty: {
      parts: { mic: 'clip-on-trrs', dongle: 'dongle-8-pin-plain', phone: 'phone-8-pin' },
      joints: ['mic.plug dongle.jack', 'dongle.plug phone.port'],
    },
    clean: {
      parts: { mic: 'clip-on-trrs', dongle: 'dongle-8-pin-headset', phone: 'phone-8-pin' },
      joints: ['mic.plug dongle.jack', 'dongle.plug phone.port'],
    },
  },
  {
    name: 'a dongle without converter on a port without analogue mode',
    code: 'no-analogue-mode',
    faulty: {
      parts: { mic: 'clip-on-trrs', dongle: 'dongle-usb-c-passive', phone: 'phone-usb-c' },
      joints: ['mic.plug dongle.jack', 'dongle.plug phone.port'],
    },
    clean: {
      parts: { mic: 'clip-on-trrs', dongle: 'dongle-usb-c-passive', phone: 'phone-usb-c-analogue' },
      joints: ['mic.plug dongle.jack', 'dongle.plug phone.port'],
    },
  },
  {
    name: 'USB device dark: a big microphone on a bus-powered hub',
    code: 'starved',
    faulty: {
      ...throughHub('hub-unpowered', 'usb-mic-big', { adapter: { charger: 'off' } }, 'lead-usb-a-b'),
    },
    clean: { ...throughHub('hub-unpowered', 'usb-mic-low', { adapter: { charger: 'on' } }) },
  },
  {
    name: 'comes and goes: declares 100 mA and takes 260',
    code: 'brown-out',
    faulty: { ...throughHub('hub-unpowered', 'usb-mic-lights', { adapter: { charger: 'on' } }) },
    clean: usbMic('usb-mic-lights', { lead: 'lead-usb-c-c' }, ['lead.a mic.usb', 'lead.b phone.port']),
  },
  {
    name: 'eight channels of 24 bits on a full-speed device',
    code: 'isochronous-exceeded',
    faulty: {
      parts: {
        mic: 'dynamic-xlr',
        interface: 'interface-eight-inputs',
        lead: 'lead-usb-c-b',
        phone: 'phone-usb-c',
      },
      joints: ['mic.out interface.mic-1', 'lead.b interface.usb', 'lead.a phone.port'],
      settings: { interface: { 'gain-1': 46 } },
      apps: { phone: 'multitrack' },
    },
    clean: {
      parts: {
        mic: 'dynamic-xlr',
        interface: 'interface-four-inputs',
        lead: 'lead-usb-c-b',
        phone: 'phone-usb-c',
      },
      joints: ['mic.out interface.mic-1', 'lead.b interface.usb', 'lead.a phone.port'],
      settings: { interface: { 'gain-1': 46 } },
      apps: { phone: 'multitrack' },
    },
  },
  {
    name: 'two USB microphones on a computer: the app records from one of them',
    code: 'records-other-device',
    state: 'recorded',
    faulty: onComputer(['other']),
    clean: onComputer([]),
  },
  {
    name: 'two USB microphones, one works',
    code: 'two-sound-devices',
    faulty: {
      parts: {
        mic: 'usb-mic-low',
        other: 'usb-mic-low',
        lead: 'lead-usb-a-c',
        second: 'lead-usb-a-c',
        hub: 'hub-usb-c',
        phone: 'phone-usb-c',
      },
      joints: [
        'lead.b mic.usb',
        'lead.a hub.one',
        'second.b other.usb',
        'second.a hub.two',
        'hub.plug phone.port',
      ],
    },
    clean: {
      parts: {
        mic: 'usb-mic-low',
        other: 'midi-keyboard',
        lead: 'lead-usb-a-c',
        second: 'lead-usb-a-b',
        hub: 'hub-usb-c',
        phone: 'phone-usb-c',
      },
      joints: [
        'lead.b mic.usb',
        'lead.a hub.one',
        'second.b other.usb',
        'second.a hub.two',
        'hub.plug phone.port',
      ],
    },
  },
  {
    name: 'a FireWire interface goes into nothing',
    code: 'no-path',
    faulty: {
      parts: { mic: 'dynamic-xlr', interface: 'interface-firewire', phone: 'phone-usb-c' },
      joints: ['mic.out interface.mic-1'],
    },
    clean: {
      parts: { mic: 'dynamic-xlr', interface: 'interface-one-input', phone: 'phone-usb-c' },
      joints: ['mic.out interface.mic', 'interface.usb phone.port'],
      settings: { interface: { gain: 46 } },
    },
  },
];

const APPS: readonly Twins[] = [
  {
    name: 'a voice room and a USB receiver',
    code: 'app-does-not-take',
    faulty: { ...usbMic('receiver-usb', {}, ['mic.usb phone.port']), apps: { phone: 'voice-room' } },
    clean: receiverInApp('voice-room'),
  },
  {
    name: 'the page was not reloaded after plugging',
    code: 'page-not-reloaded',
    state: 'not-listed',
    faulty: receiverInApp('browser-studio', { reloaded: 'off' }),
    clean: receiverInApp('browser-studio'),
  },
  {
    name: 'the app’s choice stands at the own microphone',
    code: 'own-microphone-chosen',
    state: 'wrong-mic',
    faulty: receiverInApp('camera-source-menu', { source: 'own' }),
    clean: receiverInApp('camera-source-menu'),
  },
  {
    name: 'wrong input number',
    code: 'wrong-input-number',
    state: 'listed-silent',
    faulty: multitrack({ 'track-2': '1' }),
    clean: multitrack({ 'track-1': '2' }),
  },
  {
    name: 'track not armed',
    code: 'track-not-armed',
    state: 'listed-silent',
    faulty: multitrack({ 'arm-2': 'off' }),
    clean: multitrack({}),
  },
  {
    name: 'a pack is muted',
    code: 'switched-off',
    faulty: { ...twoPacks({}, false), settings: { receiver: {}, one: { live: 'off' } } },
    clean: twoPacks({}, false),
  },
  {
    name: 'a handheld microphone’s switch is off',
    code: 'switched-off',
    state: 'listed-silent',
    faulty: {
      parts: { mic: 'dynamic-xlr-switch', interface: 'interface-one-input', phone: 'phone-usb-c' },
      joints: ['mic.out interface.mic', 'interface.usb phone.port'],
      settings: { mic: { live: 'off' }, interface: { gain: 46 } },
    },
    clean: {
      parts: { mic: 'dynamic-xlr-switch', interface: 'interface-one-input', phone: 'phone-usb-c' },
      joints: ['mic.out interface.mic', 'interface.usb phone.port'],
      settings: { interface: { gain: 46 } },
    },
  },
  {
    name: 'a mixer’s channel is off',
    code: 'switched-off',
    faulty: {
      parts: { mic: 'dynamic-xlr', mixer: 'mixer-fx-usb', lead: 'lead-usb-c-b', phone: 'phone-usb-c' },
      joints: ['mic.out mixer.mic-1', 'lead.b mixer.usb', 'lead.a phone.port'],
      settings: { mixer: { 'gain-1': 60, 'on-mic-1': 'off' } },
    },
    clean: {
      parts: { mic: 'dynamic-xlr', mixer: 'mixer-fx-usb', lead: 'lead-usb-c-b', phone: 'phone-usb-c' },
      joints: ['mic.out mixer.mic-1', 'lead.b mixer.usb', 'lead.a phone.port'],
      settings: { mixer: { 'gain-1': 60 } },
    },
  },
  {
    name: 'a laptop asked what was plugged in, and the answer was headphones',
    code: 'switched-off',
    faulty: {
      parts: { mic: 'clip-on-trrs', computer: 'laptop-combo' },
      joints: ['mic.plug computer.jack'],
      settings: { computer: { asked: 'headphones' } },
    },
    clean: { parts: { mic: 'clip-on-trrs', computer: 'laptop-combo' }, joints: ['mic.plug computer.jack'] },
  },
  {
    name: 'two packs that were to be kept apart, receiver in mono',
    code: 'shares-track',
    faulty: twoPacks({ mode: 'mono' }, true),
    clean: twoPacks({ mode: 'stereo' }, true),
  },
  {
    name: 'two packs, one a side, in something that goes out live',
    code: 'one-side-only',
    faulty: twoPacks({ mode: 'stereo' }, false),
    clean: twoPacks({ mode: 'mono' }, false),
  },
];

describe('USB: reach, role, power, bytes', () => testTwins(BUS));
describe('apps, inputs and switches', () => testTwins(APPS));
