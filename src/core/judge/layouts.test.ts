import { describe, expect, it } from 'vitest';
import { judge, tuned } from '../../../testing/judge';
import type { RigSketch } from '../../../testing/lay-rig';

/** Layouts of the trade, each with what a practitioner expects of it (common practice), written before the code. */
const packTo = (settings: RigSketch['settings']): RigSketch => ({
  parts: {
    pack: 'pack-clip-on',
    receiver: 'receiver-two-channel',
    patch: 'patch-trs-trrs',
    phone: 'phone-ctia',
  },
  joints: ['pack.radio receiver.a', 'receiver.out patch.trs', 'patch.trrs phone.jack'],
  ...(settings && { settings }),
});

const oneApp = (app: string): RigSketch => ({
  parts: { mic: 'clip-on-trrs', dongle: 'dongle-8-pin-one-app', phone: 'phone-8-pin' },
  joints: ['mic.plug dongle.jack', 'dongle.plug phone.port'],
  apps: { phone: app },
});

const guitarBox = (inSocket?: string): RigSketch => ({
  parts: {
    guitar: 'guitar',
    lead: 'lead-jack-ts',
    box: 'mobile-guitar',
    ...(inSocket !== undefined && { plug: inSocket }),
    phone: 'phone-ctia',
  },
  joints: [
    'guitar.out lead.a',
    'lead.b box.in',
    ...(inSocket === undefined ? [] : ['box.phones plug.plug']),
    'box.plug phone.jack',
  ],
});

const tracks = (count: string): RigSketch => ({
  parts: {
    one: 'dynamic-xlr',
    two: 'dynamic-xlr',
    interface: 'interface-two-inputs',
    usb: 'lead-usb-c-c',
    tablet: 'tablet-usb-c',
  },
  joints: ['one.out interface.mic-1', 'two.out interface.mic-2', 'interface.usb usb.a', 'usb.b tablet.port'],
  settings: { interface: { 'gain-1': 50, 'gain-2': 50 } },
  apps: { tablet: 'multitrack' },
  choices: { tablet: { tracks: count } },
  others: ['two'],
  apart: true,
});

const jackAndPort = (parts: Record<string, string>, joints: string[]): RigSketch => ({ parts, joints });

const CLEAN: readonly (readonly [string, RigSketch, channels: string])[] = [
  [
    'a phone’s playback through a mixer into a recorder',
    {
      parts: {
        phone: 'phone-ctia',
        lead: 'lead-breakout-jacks',
        mixer: 'mixer-aux-fx',
        out: 'lead-line-pair-stereo',
        recorder: 'recorder-small',
      },
      joints: [
        'phone.jack lead.small',
        'lead.left mixer.pair-1-left',
        'lead.right mixer.pair-1-right',
        'mixer.main-left out.left',
        'mixer.main-right out.right',
        'out.small recorder.mic',
      ],
      settings: { recorder: { kind: 'line' }, phone: { volume: -10 } },
    },
    'both',
  ],
  [
    'a phone’s playback into a recorder’s line input',
    {
      parts: { phone: 'phone-ctia', lead: 'lead-trs-trs', recorder: 'recorder-small' },
      joints: ['phone.jack lead.a', 'lead.b recorder.mic'],
      settings: { recorder: { kind: 'line' }, phone: { volume: -10 } },
    },
    'both',
  ],
  [
    'a computer’s playback by a line streamer into a phone',
    {
      parts: {
        computer: 'computer-separate',
        lead: 'lead-rca-pair-trs',
        streamer: 'line-streamer',
        phone: 'phone-usb-c',
      },
      joints: [
        'computer.phones lead.small',
        'lead.left streamer.left',
        'lead.right streamer.right',
        'streamer.usb phone.port',
      ],
    },
    'both',
  ],
  [
    'a tablet’s playback by an interface’s line outputs into a recorder',
    {
      parts: {
        tablet: 'tablet-usb-c',
        usb: 'lead-usb-c-b',
        interface: 'interface-two-inputs-mains',
        left: 'lead-jack-trs',
        right: 'lead-jack-trs',
        recorder: 'recorder-line',
      },
      joints: [
        'tablet.port usb.a',
        'usb.b interface.usb',
        'interface.out-left left.a',
        'left.b recorder.line-left',
        'interface.out-right right.a',
        'right.b recorder.line-right',
      ],
    },
    'both',
  ],
  ['a pack that is on, live and linked', packTo(undefined), 'mono'],
  ['an accessory without chip in the one app that takes it', oneApp('recorder-app'), 'mono'],
  ['a guitar box with headphones in its socket', guitarBox('headphones-trs'), 'mono'],
  ['the same with a plug that only fills the socket', guitarBox('plug-dummy-trs'), 'mono'],
  ['a project with two tracks for two microphones', tracks('2'), 'mono'],
  ['a project with eight', tracks('8'), 'mono'],
  [
    'a phone with jack and port: the clip-on in its jack',
    jackAndPort({ mic: 'clip-on-trrs', phone: 'phone-jack-usb-c' }, ['mic.plug phone.jack']),
    'mono',
  ],
  [
    'a phone with jack and port: a USB microphone on its port',
    jackAndPort({ mic: 'usb-mic-low', lead: 'lead-usb-c-c', phone: 'phone-jack-usb-c' }, [
      'mic.usb lead.a',
      'lead.b phone.port',
    ]),
    'both',
  ],
  [
    'a tablet with jack and 8-pin port: a dongle on its port',
    jackAndPort({ mic: 'clip-on-trrs', dongle: 'dongle-8-pin-headset', tablet: 'tablet-jack-8-pin' }, [
      'mic.plug dongle.jack',
      'dongle.plug tablet.port',
    ]),
    'mono',
  ],
  [
    'a mixer with RCA outputs alone into a line streamer',
    {
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-rca-only',
        left: 'lead-rca',
        right: 'lead-rca',
        streamer: 'line-streamer',
        phone: 'phone-usb-c',
      },
      joints: [
        'mic.out mixer.mic-1',
        'mixer.tape-left left.a',
        'left.b streamer.left',
        'mixer.tape-right right.a',
        'right.b streamer.right',
        'streamer.usb phone.port',
      ],
      settings: { mixer: { 'gain-1': 40 } },
    },
    'both',
  ],
  [
    'a mixer with XLR main outputs into an interface',
    {
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-xlr-main',
        lead: 'lead-xlr-jack',
        interface: 'interface-two-inputs',
        usb: 'lead-usb-c-c',
        phone: 'phone-usb-c',
      },
      joints: [
        'mic.out mixer.mic-1',
        'mixer.main-left lead.holes',
        'lead.big interface.line-1',
        'interface.usb usb.a',
        'usb.b phone.port',
      ],
      settings: { interface: { 'gain-1': 20 } },
      apps: { phone: 'multitrack' },
    },
    'mono',
  ],
  [
    'a camera-top microphone whose lead comes off, with the plain lead on a camera',
    {
      parts: { mic: 'camera-top-lead-off', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['mic.out lead.a', 'lead.b camera.mic'],
      settings: { camera: { gain: 20 } },
    },
    'both',
  ],
  [
    'the same with the patch lead on a phone',
    {
      parts: { mic: 'camera-top-lead-off', patch: 'patch-trs-trrs', phone: 'phone-ctia' },
      joints: ['mic.out patch.trs', 'patch.trrs phone.jack'],
    },
    'mono',
  ],
  [
    'two receivers and headphones on one splitter',
    {
      parts: {
        one: 'receiver-trs',
        first: 'lead-trs-trs',
        two: 'receiver-trs',
        second: 'lead-trs-trs',
        splitter: 'splitter-two-mics-phones',
        ears: 'headphones-trs',
        phone: 'phone-ctia',
      },
      joints: [
        'one.out first.a',
        'first.b splitter.one',
        'two.out second.a',
        'second.b splitter.two',
        'splitter.phones ears.plug',
        'splitter.plug phone.jack',
      ],
      others: ['two'],
    },
    'mono',
  ],
  [
    'a USB microphone beside a mouse and a storage stick on a hub',
    {
      parts: {
        mic: 'usb-mic-low',
        lead: 'lead-usb-a-c',
        hub: 'hub-usb-c',
        mouse: 'mouse-usb',
        stick: 'storage-usb',
        tablet: 'tablet-usb-c',
      },
      joints: [
        'mic.usb lead.b',
        'lead.a hub.one',
        'mouse.usb hub.two',
        'stick.usb hub.three',
        'hub.plug tablet.port',
      ],
    },
    'both',
  ],
];

describe.each(CLEAN)('%s', (_, sketch, channels) => {
  const found = judge(sketch, tuned);
  it('is recorded, without a fault', () => {
    expect(found.findings.filter((f) => f.severity !== 'note').map((f) => f.code)).toEqual([]);
    expect(found.arrives.map((a) => a.state)).toEqual(found.arrives.map(() => 'recorded'));
    expect(found.verdict).toBe('clean');
  });
  it(`on ${channels === 'both' ? 'both sides' : 'one channel'}`, () => {
    expect(found.arrives[0]?.channels).toBe(channels);
  });
});

const SILENT: readonly (readonly [string, RigSketch, code: string, where: object])[] = [
  ['a pack that is muted', packTo({ pack: { live: 'off' } }), 'switched-off', { part: 'pack' }],
  ['a pack whose battery is flat', packTo({ pack: { battery: 'off' } }), 'part-unpowered', { part: 'pack' }],
  [
    'a pack that is not paired',
    packTo({ receiver: { 'linked-a': 'off' } }),
    'switched-off',
    { part: 'receiver' },
  ],
  ['a receiver that is off', packTo({ receiver: { power: 'off' } }), 'switched-off', { part: 'receiver' }],
  [
    'an accessory without chip in any other app',
    oneApp('camera-app'),
    'accessory-unauthenticated',
    { part: 'dongle' },
  ],
  ['a guitar box whose headphone socket is empty', guitarBox(), 'not-noticed', { part: 'box' }],
  ['a project with one track for two microphones', tracks('1'), 'wrong-input-number', { part: 'tablet' }],
  [
    'a camera-top microphone with the plain lead on a phone',
    {
      parts: { mic: 'camera-top-lead-off', lead: 'lead-trs-trs', phone: 'phone-ctia' },
      joints: ['mic.out lead.a', 'lead.b phone.jack'],
    },
    'mic-line-shorted',
    { joint: 'j2' },
  ],
];

describe.each(SILENT)('%s', (_, sketch, code, where) => {
  it(`is not recorded: ${code}`, () => {
    const found = judge(sketch);
    expect(found.verdict).toBe('silent');
    expect(found.findings[0]).toMatchObject({ code, where });
  });
});

describe('ears', () => {
  const hears = (sketch: RigSketch) => judge(sketch).listeners[0]?.hears;
  it('a hub’s own headphone socket plays what the phone plays', () => {
    expect(
      hears({
        parts: {
          mic: 'usb-mic-low',
          lead: 'lead-usb-a-c',
          hub: 'hub-usb-c-phones',
          ears: 'headphones-trs',
          phone: 'phone-usb-c',
        },
        joints: ['mic.usb lead.b', 'lead.a hub.one', 'hub.phones ears.plug', 'hub.plug phone.port'],
      }),
    ).toEqual([{ device: 'phone', sides: 'both', common: expect.closeTo(0, 1) as number }]);
  });
  it('and so does a splitter’s with two microphone sockets', () => {
    expect(
      hears({
        parts: {
          receiver: 'receiver-trs',
          lead: 'lead-trs-trs',
          splitter: 'splitter-two-mics-phones',
          ears: 'headphones-trs',
          phone: 'phone-ctia',
        },
        joints: [
          'receiver.out lead.a',
          'lead.b splitter.one',
          'splitter.phones ears.plug',
          'splitter.plug phone.jack',
        ],
      }),
    ).toMatchObject([{ device: 'phone', sides: 'both' }]);
  });
});
