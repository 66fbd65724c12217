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

const packOn = (phone: string): RigSketch => ({
  parts: { receiver: 'receiver-trs', patch: 'patch-trs-trrs', phone },
  joints: ['receiver.out patch.trs', 'patch.trrs phone.jack'],
});

const NOTES: readonly (readonly [name: string, code: string, noted: RigSketch, silent: RigSketch])[] = [
  ['peaks within 6 dB of full scale', 'hot', gain(56), gain(44)],
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
  it('says nothing on the twin', () => {
    expect(judge(silent)).toMatchObject({ verdict: 'clean', state: 'recorded', codes: [] });
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
