import { describe, expect, it } from 'vitest';
import { judge } from '../../../testing/judge';
import type { RigSketch } from '../../../testing/lay-rig';

/** What works, and is worth a word all the same: each beside a rig of which nothing is said (common practice). */
const gain = (decibels: number): RigSketch => ({
  parts: { mic: 'dynamic-xlr', interface: 'interface-one-input', phone: 'phone-usb-c' },
  joints: ['mic.out interface.mic', 'interface.usb phone.port'],
  settings: { interface: { gain: decibels } },
  voice: 'loud',
});

const dual = (powered: boolean): RigSketch => ({
  parts: {
    mic: 'dual-mic',
    ears: 'headphones-trs',
    ...(powered && { lead: 'lead-usb-a-c', charger: 'charger-usb-a' }),
    interface: 'interface-one-input',
    phone: 'phone-usb-c',
  },
  joints: [
    'mic.out interface.mic',
    'interface.usb phone.port',
    'mic.phones ears.plug',
    ...(powered ? ['mic.usb lead.b', 'lead.a charger.out'] : []),
  ],
  settings: { interface: { gain: 50 } },
});

/** What a phone plays into a mixer and on to a recorder, by a lead that ties its sides or one that keeps them apart. */
const played = (lead: 'lead-line-mono-both' | 'lead-breakout-jacks'): RigSketch => ({
  parts: {
    phone: 'phone-ctia',
    lead,
    mixer: 'mixer-fx-usb',
    l: 'lead-jack-ts',
    r: 'lead-jack-ts',
    recorder: 'recorder-line',
  },
  joints: [
    'lead.small phone.jack',
    ...(lead === 'lead-breakout-jacks'
      ? ['lead.left mixer.pair-1-left', 'lead.right mixer.pair-1-right']
      : ['lead.big mixer.pair-1-left']),
    'l.a mixer.main-left',
    'l.b recorder.line-left',
    'r.a mixer.main-right',
    'r.b recorder.line-right',
  ],
});

/** A keyboard into a recorder, its two plugs each in its own socket or in the other's. */
const keyboard = (left: 'left' | 'right', right: 'left' | 'right'): RigSketch => ({
  parts: { keys: 'keyboard', l: 'lead-jack-ts', r: 'lead-jack-ts', recorder: 'recorder-line' },
  joints: [`l.a keys.${left}`, 'l.b recorder.line-left', `r.a keys.${right}`, 'r.b recorder.line-right'],
  settings: { recorder: { record: -6 } },
});

const packOn = (phone: string): RigSketch => ({
  parts: { receiver: 'receiver-trs', patch: 'patch-trs-trrs', phone },
  joints: ['receiver.out patch.trs', 'patch.trrs phone.jack'],
});

/** One caller on a mixer, fed from its send for effects or from the one for monitors; their voice on a channel of its own. */
const fedFrom = (send: 'fx' | 'mon'): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    mixer: 'mixer-monitor-fx',
    lead: 'lead-line-headset-pad',
    splitter: 'splitter-trrs',
    back: 'lead-breakout-jacks',
    phone: 'phone-ctia',
  },
  joints: [
    'mic.out mixer.mic-1',
    `lead.big mixer.${send}`,
    'lead.trrs splitter.mic',
    'splitter.plug phone.jack',
    'back.small splitter.phones',
    'back.left mixer.pair-2-left',
    'back.right mixer.pair-2-right',
  ],
  settings: { mixer: { 'gain-1': 60, [`${send}-mic-1`]: 0 } },
  apps: { phone: 'voice-room' },
});

/** Something on the ears in an interface's headphone socket. */
const heardBy = (ears: string): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    interface: 'interface-one-input',
    ears,
    ...(ears === 'headset-omtp' && { adapter: 'adapter-jack-small' }),
    phone: 'phone-usb-c',
  },
  joints: [
    'mic.out interface.mic',
    ...(ears === 'headset-omtp'
      ? ['ears.plug adapter.small', 'adapter.big interface.phones']
      : ['ears.plug interface.phones']),
    'interface.usb phone.port',
  ],
  settings: { interface: { gain: 44 } },
});

/** The same by a lead with one dark band at each end. */
const shorted: RigSketch = {
  ...played('lead-breakout-jacks'),
  parts: {
    phone: 'phone-ctia',
    adapter: 'adapter-jack-small',
    ...played('lead-breakout-jacks').parts,
    lead: 'lead-true-mono',
  },
  joints: [
    'lead.a phone.jack',
    'lead.b adapter.small',
    'adapter.big mixer.pair-1-left',
    ...played('lead-breakout-jacks').joints.filter((joint) => !joint.startsWith('lead.')),
  ],
};

const NOTES: readonly (readonly [name: string, code: string, noted: RigSketch, silent: RigSketch])[] = [
  ['peaks within 6 dB of full scale', 'hot', gain(56), gain(44)],
  [
    'a caller fed from the send for effects, after the faders, and not from the one for monitors',
    'send-follows-fader',
    fedFrom('fx'),
    fedFrom('mon'),
  ],
  [
    'two clip-ons in a splitter with two microphone sockets: 800 Ω to a jack that is sure from 1 kΩ on; one alone',
    'mic-line-unsure',
    {
      parts: { mic: 'clip-on-trs', other: 'clip-on-trs', splitter: 'splitter-two-mics', phone: 'phone-ctia' },
      joints: ['mic.plug splitter.one', 'other.plug splitter.two', 'splitter.plug phone.jack'],
      others: ['other'],
    },
    {
      parts: { mic: 'clip-on-trs', splitter: 'splitter-two-mics', phone: 'phone-ctia' },
      joints: ['mic.plug splitter.one', 'splitter.plug phone.jack'],
    },
  ],
  [
    'what a phone plays, both sides on one plug, which ties them; a breakout lead keeps them apart',
    'sides-tied',
    played('lead-line-mono-both'),
    played('lead-breakout-jacks'),
  ],
  [
    'what a phone plays by a plug with one dark band, which shorts a side; a breakout lead has both',
    'side-shorted',
    shorted,
    played('lead-breakout-jacks'),
  ],
  [
    'a keyboard with its two plugs in one another’s sockets, and each in its own',
    'sides-exchanged',
    keyboard('right', 'left'),
    keyboard('left', 'right'),
  ],
  [
    'a headset in the headphone socket of an interface, and plain headphones there',
    'headset-mic-idle',
    heardBy('headset-omtp'),
    heardBy('headphones-big'),
  ],
  [
    'headphones on an XLR microphone whose USB socket is fed by nothing',
    'monitor-unpowered',
    dual(false),
    dual(true),
  ],
  [
    'a floating pack on the older arrangement: microphone and ground exchanged, and it works',
    'contacts-exchanged',
    packOn('phone-omtp'),
    packOn('phone-ctia'),
  ],
];

describe.each(NOTES)('%s', (_, code, noted, silent) => {
  it(`is recorded, with the note ${code}`, () => {
    const found = judge(noted);
    expect(found.findings.find((f) => f.code === code)?.severity).toBe('note');
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded' });
  });
  it('says nothing more on the twin than what holds of both', () => {
    const both = judge(noted).codes.filter((other) => other === 'volume-sets-level');
    expect(judge(silent)).toMatchObject({ verdict: 'clean', state: 'recorded', codes: both });
  });
});

describe('how sure it is', () => {
  const clipOnThrough = (parts: Record<string, string>, joints: string[]): RigSketch => ({
    parts: { mic: 'clip-on-trrs', ...parts },
    joints,
  });
  it('a headset dongle of one port behind a host adapter of the other is untested', () => {
    const found = judge(
      clipOnThrough(
        {
          dongle: 'dongle-usb-c-headset',
          between: 'adapter-usb-a-c',
          adapter: 'adapter-8-pin-usb',
          phone: 'phone-8-pin',
        },
        ['mic.plug dongle.jack', 'dongle.plug between.c', 'between.a adapter.usb', 'adapter.plug phone.port'],
      ),
    );
    expect(found.arrives[0]?.evidence.kind).toBe('untested');
  });
  it('the dongle of the phone’s own port is common practice', () => {
    const found = judge(
      clipOnThrough({ dongle: 'dongle-8-pin-headset', phone: 'phone-8-pin' }, [
        'mic.plug dongle.jack',
        'dongle.plug phone.port',
      ]),
    );
    expect(found.arrives[0]?.evidence.kind).toBe('common practice');
  });
});
