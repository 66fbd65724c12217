import { describe } from 'vitest';
import type { RigSketch } from '../../../testing/lay-rig';
import { testTwins, type Twins } from '../../../testing/twins';

const pack = (lead: string, ends: readonly [string, string], phone = 'phone-ctia'): RigSketch => ({
  parts: { receiver: 'receiver-trs', lead, phone },
  joints: [`receiver.out lead.${ends[0]}`, `lead.${ends[1]} phone.jack`],
});
const patched = pack('patch-trs-trrs', ['trs', 'trrs']);

const splitter = (lead: string, ends: readonly [string, string], kind = 'splitter-trs'): RigSketch => ({
  parts: { receiver: 'receiver-trs', lead, splitter: kind, phone: 'phone-ctia' },
  joints: [`receiver.out lead.${ends[0]}`, `lead.${ends[1]} splitter.mic`, 'splitter.plug phone.jack'],
});

const usb = (
  interfaceId: string,
  settings: RigSketch['settings'] = {},
  more: Partial<RigSketch> = {},
): RigSketch => ({
  parts: { mic: 'dynamic-xlr', xlr: 'lead-xlr', interface: interfaceId, phone: 'phone-usb-c' },
  joints: ['mic.out xlr.holes', 'xlr.pins interface.mic', 'interface.usb phone.port'],
  settings: { interface: { gain: 46, ...settings['interface'] } },
  ...more,
});
const plain = usb('interface-one-input');

const mixerTo = (lead: string, joints: string[], host: string, mixer = {}): RigSketch => ({
  parts: { mic: 'dynamic-xlr', mixer: 'mixer-one-mic', lead, host },
  joints: ['mic.out mixer.mic', ...joints],
  settings: { mixer: { gain: 40, ...mixer } },
});

const intoRecorder = (battery: string): RigSketch => ({
  parts: { mic: 'condenser-xlr', lead: 'lead-xlr', recorder: 'recorder-xlr' },
  joints: ['mic.out lead.holes', 'lead.pins recorder.mic-1'],
  settings: { recorder: { phantom: 'on', battery } },
});

const voiceBox = (ears: boolean, settings: Record<string, string | number> = {}): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    box: 'mobile-voice',
    ...(ears && { ears: 'headphones-trs' }),
    phone: 'phone-ctia',
  },
  joints: ['mic.out box.mic', 'box.plug phone.jack', ...(ears ? ['ears.plug box.phones'] : [])],
  settings: { box: { gain: 36, ...settings } },
  voice: 'raised',
  distances: { mic: 0.05 },
});

/** The same box behind a splitter, whose own socket holds the headphones or nothing. */
const voiceBoxForked = (ears: boolean): RigSketch => ({
  parts: { ...voiceBox(ears).parts, fork: 'splitter-trrs' },
  joints: [
    'mic.out box.mic',
    'box.plug fork.mic',
    'fork.plug phone.jack',
    ...(ears ? ['ears.plug fork.phones'] : []),
  ],
  settings: voiceBox(ears).settings,
  voice: 'raised',
  distances: { mic: 0.05 },
  recorder: 'phone',
});

const CONTACTS: readonly Twins[] = [
  {
    name: 'TRS plug in a headset jack: sound unchanged, no message',
    code: 'mic-line-shorted',
    state: 'wrong-mic',
    faulty: pack('lead-trs-trs', ['a', 'b']),
    clean: patched,
  },
  {
    name: 'patch cable turned round',
    code: 'mic-line-shorted',
    state: 'wrong-mic',
    faulty: {
      parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['receiver.out lead.trrs', 'lead.trs phone.jack'],
    },
    clean: patched,
  },
  {
    name: 'patch lead’s TRRS end in a splitter’s TRS microphone socket: listed, flat meter',
    code: 'mic-contact-open',
    state: 'listed-silent',
    faulty: splitter('patch-trs-trrs', ['trs', 'trrs']),
    clean: splitter('lead-trs-trs', ['a', 'b']),
  },
  {
    name: 'TRS lead in a splitter’s TRRS microphone socket',
    code: 'mic-line-shorted',
    state: 'wrong-mic',
    faulty: splitter('lead-trs-trs', ['a', 'b'], 'splitter-trrs'),
    clean: splitter('patch-trs-trrs', ['trs', 'trrs'], 'splitter-trrs'),
  },
  {
    name: 'two-mic splitter: a headset patch lead in one of its TRS sockets',
    code: 'mic-contact-open',
    state: 'listed-silent',
    faulty: {
      parts: {
        receiver: 'receiver-trs',
        lead: 'patch-trs-trrs',
        splitter: 'splitter-two-mics',
        phone: 'phone-ctia',
      },
      joints: ['receiver.out lead.trs', 'lead.trrs splitter.two', 'splitter.plug phone.jack'],
    },
    clean: {
      parts: {
        receiver: 'receiver-trs',
        lead: 'lead-trs-trs',
        splitter: 'splitter-two-mics',
        phone: 'phone-ctia',
      },
      joints: ['receiver.out lead.a', 'lead.b splitter.two', 'splitter.plug phone.jack'],
    },
  },
  {
    name: 'CTIA plug on an OMTP jack',
    code: 'contacts-swapped',
    state: 'listed-silent',
    faulty: { parts: { mic: 'clip-on-trrs', phone: 'phone-omtp' }, joints: ['mic.plug phone.jack'] },
    clean: {
      parts: { mic: 'clip-on-trrs', adapter: 'adapter-ctia-omtp', phone: 'phone-omtp' },
      joints: ['mic.plug adapter.socket', 'adapter.plug phone.jack'],
    },
  },
  {
    name: 'camera level zero: plugged into its headphone jack',
    code: 'wrong-socket',
    faulty: {
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.phones'],
    },
    clean: {
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.mic'],
    },
  },
  {
    name: 'a true-mono lead puts a voice on the left only; a dual-mono lead on both',
    code: 'one-side-only',
    faulty: {
      parts: { receiver: 'receiver-trs', lead: 'lead-true-mono', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.mic'],
    },
    clean: {
      parts: { receiver: 'receiver-trs', lead: 'lead-left-to-both', camera: 'camera-trs' },
      joints: ['receiver.out lead.mono', 'lead.both camera.mic'],
    },
  },
];

const LEVELS: readonly Twins[] = [
  {
    name: 'bare line output into a headset contact',
    code: 'mic-line-loaded',
    state: 'wrong-mic',
    faulty: mixerTo('lead-line-headset', ['mixer.left lead.big', 'lead.trrs host.jack'], 'phone-ctia'),
    clean: mixerTo('lead-line-headset-pad', ['mixer.left lead.big', 'lead.trrs host.jack'], 'phone-ctia'),
  },
  {
    name: 'thin, hollow, gone in mono: balanced output into a stereo input',
    code: 'cancels-in-mono',
    faulty: mixerTo('lead-line-stereo', ['mixer.left lead.big', 'lead.small host.mic'], 'camera-trs', {
      gain: 20,
      fader: -20,
    }),
    clean: mixerTo('lead-line-mono-both', ['mixer.left lead.big', 'lead.small host.mic'], 'camera-trs', {
      gain: 20,
      fader: -20,
    }),
  },
  {
    name: 'a stereo pair into one balanced input: what both sides have in common is gone',
    code: 'pair-cancels',
    faulty: {
      parts: {
        deck: 'deck',
        pair: 'lead-rca-pair-trs',
        adapter: 'adapter-jack-small',
        interface: 'interface-small',
        phone: 'phone-usb-c',
      },
      joints: [
        'pair.left deck.left',
        'pair.right deck.right',
        'pair.small adapter.small',
        'adapter.big interface.line-1',
        'interface.usb phone.port',
      ],
      settings: { interface: { 'gain-1': 20 } },
    },
    clean: {
      parts: {
        deck: 'deck',
        one: 'lead-rca',
        two: 'lead-rca',
        streamer: 'line-streamer',
        phone: 'phone-usb-c',
      },
      joints: [
        'one.a deck.left',
        'one.b streamer.left',
        'two.a deck.right',
        'two.b streamer.right',
        'streamer.usb phone.port',
      ],
    },
  },
  {
    name: 'distorted: line level into a camera’s microphone input; with a pad it is clean',
    code: 'clips',
    faulty: mixerTo('lead-line-mono-both', ['mixer.left lead.big', 'lead.small host.mic'], 'camera-trs', {
      gain: 60,
    }),
    clean: {
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-one-mic',
        lead: 'lead-line-mono-both',
        pad: 'pad-jack-40',
        host: 'camera-trs',
      },
      joints: ['mic.out mixer.mic', 'mixer.left lead.big', 'lead.small pad.in', 'pad.out host.mic'],
      settings: { mixer: { gain: 60 } },
    },
  },
  {
    name: 'phantom on a keyboard’s output through a plain lead; a DI box keeps it away',
    code: 'current-harms',
    faulty: {
      parts: {
        keyboard: 'keyboard',
        lead: 'lead-jack-xlr',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: ['keyboard.left lead.big', 'lead.pins interface.mic', 'interface.usb phone.port'],
      settings: { interface: { phantom: 'on', gain: 0 } },
    },
    clean: {
      parts: {
        keyboard: 'keyboard',
        lead: 'lead-jack-ts',
        di: 'di-passive',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: ['keyboard.left lead.a', 'lead.b di.in', 'di.out interface.mic', 'interface.usb phone.port'],
      settings: { interface: { phantom: 'on', gain: 10 } },
    },
  },
];

const POWER: readonly Twins[] = [
  {
    name: 'condenser silent: phantom off',
    code: 'capsule-unpowered',
    state: 'listed-silent',
    faulty: {
      ...plain,
      parts: { ...plain.parts, mic: 'condenser-xlr' },
      settings: { interface: { gain: 24 } },
    },
    clean: {
      ...plain,
      parts: { ...plain.parts, mic: 'condenser-xlr' },
      settings: { interface: { gain: 24, phantom: 'on' } },
    },
  },
  {
    name: 'clip-on microphone without plug-in power: straight into a line input',
    code: 'capsule-unpowered',
    faulty: {
      parts: {
        mic: 'clip-on-trs',
        cable: 'cable-converter-usb-c',
        phone: 'phone-usb-c',
        coupler: 'coupler-trs',
      },
      joints: ['mic.plug coupler.a', 'cable.in coupler.b', 'cable.plug phone.port'],
      recorder: 'phone',
    },
    clean: {
      parts: { mic: 'clip-on-trs', lead: 'adapter-trs-trrs', phone: 'phone-ctia' },
      joints: ['mic.plug lead.socket', 'lead.plug phone.jack'],
    },
  },
  {
    name: 'a flat battery in a mobile interface',
    code: 'part-unpowered',
    faulty: voiceBox(true, { battery: 'off' }),
    clean: voiceBox(true),
  },
  {
    name: 'a recorder with a flat battery, whose phantom the microphone wants',
    code: 'part-unpowered',
    faulty: intoRecorder('off'),
    clean: intoRecorder('on'),
  },
  {
    name: 'an inline booster without phantom passes nothing',
    code: 'part-unpowered',
    faulty: {
      parts: {
        mic: 'dynamic-xlr',
        booster: 'booster-inline',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: ['mic.out booster.in', 'booster.out interface.mic', 'interface.usb phone.port'],
      settings: { interface: { gain: 20, phantom: 'off' } },
    },
    clean: {
      parts: {
        mic: 'dynamic-xlr',
        booster: 'booster-inline',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: ['mic.out booster.in', 'booster.out interface.mic', 'interface.usb phone.port'],
      settings: { interface: { gain: 20, phantom: 'on' } },
    },
  },
  {
    name: 'phone ignores the interface: its headphone socket is empty',
    code: 'not-noticed',
    state: 'wrong-mic',
    faulty: voiceBox(false),
    clean: voiceBox(true),
  },
  {
    name: 'the same behind a splitter: nothing there loads the phone either',
    code: 'not-noticed',
    state: 'wrong-mic',
    faulty: voiceBoxForked(false),
    clean: voiceBoxForked(true),
  },
  {
    name: 'phantom through a plain adapter into a clip-on microphone',
    code: 'current-harms',
    faulty: {
      parts: {
        mic: 'clip-on-trs',
        adapter: 'adapter-trs-xlr',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: ['mic.plug adapter.small', 'adapter.pins interface.mic', 'interface.usb phone.port'],
      settings: { interface: { phantom: 'on', gain: 20 } },
    },
    clean: {
      parts: {
        mic: 'clip-on-trs',
        adapter: 'adapter-pip-xlr',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: ['mic.plug adapter.in', 'adapter.out interface.mic', 'interface.usb phone.port'],
      settings: { interface: { phantom: 'on', gain: 26 } },
    },
  },
  {
    name: 'phantom on a ribbon through an unbalancing adapter',
    code: 'current-harms',
    faulty: {
      parts: {
        mic: 'ribbon-xlr',
        unbalance: 'adapter-xlr-jack',
        coupler: 'coupler-jack',
        lead: 'lead-jack-xlr',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: [
        'mic.out unbalance.holes',
        'unbalance.big coupler.a',
        'coupler.b lead.big',
        'lead.pins interface.mic',
        'interface.usb phone.port',
      ],
      settings: { interface: { phantom: 'on', gain: 50 } },
    },
    clean: {
      ...plain,
      parts: { ...plain.parts, mic: 'ribbon-xlr' },
      settings: { interface: { phantom: 'on', gain: 46 } },
    },
  },
];

describe('contacts, pinouts and sides', () => testTwins(CONTACTS));
describe('levels', () => testTwins(LEVELS));
describe('power at the microphone', () => testTwins(POWER));
