import { describe, expect, it } from 'vitest';
import { judge } from '../../../testing/judge';
import type { RigSketch } from '../../../testing/lay-rig';
import { testTwins, type Twins } from '../../../testing/twins';

/**
 * Phantom power on what bears none. Through two resistors of 6.81 kΩ from 48 V (IEC 61938) each leg gives about 7 mA for good
 * into a low impedance: an output behind 2 Ω or 75 Ω stands at millivolts and carries that current all the same.
 */
const onPhantom = (
  source: string,
  port: string,
  between: Record<string, string>,
  joints: readonly string[],
  phantom: string,
): RigSketch => ({
  parts: { source, ...between, interface: 'interface-one-input', phone: 'phone-usb-c' },
  joints: [`source.${port} ${joints[0]}`, ...joints.slice(1), 'interface.usb phone.port'],
  settings: { interface: { phantom, gain: 0 } },
});

const CASES: readonly Twins[] = [
  {
    name: 'a phone’s headset output, unpadded, into a microphone input with phantom on',
    code: 'current-harms',
    faulty: {
      parts: {
        phone: 'phone-ctia',
        lead: 'lead-trs-xlr',
        interface: 'interface-one-input',
        recorder: 'phone-usb-c',
      },
      joints: ['phone.jack lead.small', 'lead.pins interface.mic', 'interface.usb recorder.port'],
      settings: { interface: { phantom: 'on', gain: 0 }, phone: { volume: -30 } },
    },
    clean: {
      parts: {
        phone: 'phone-ctia',
        lead: 'lead-breakout-jacks',
        interface: 'interface-two-inputs',
        usb: 'lead-usb-c-c',
        recorder: 'phone-usb-c',
      },
      joints: [
        'phone.jack lead.small',
        'lead.left interface.line-1',
        'lead.right interface.line-2',
        'usb.a interface.usb',
        'usb.b recorder.port',
      ],
      settings: { interface: { phantom: 'on' } },
    },
  },
  {
    name: 'a mixer’s line output on a microphone input with phantom on; a DI box keeps it away',
    code: 'current-harms',
    faulty: {
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-one-mic',
        lead: 'lead-jack-xlr',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: [
        'mic.out mixer.mic',
        'mixer.left lead.big',
        'lead.pins interface.mic',
        'interface.usb phone.port',
      ],
      settings: { mixer: { gain: 40 }, interface: { phantom: 'on', gain: 0 } },
    },
    clean: {
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-one-mic',
        lead: 'lead-jack-ts',
        di: 'di-passive',
        interface: 'interface-one-input',
        phone: 'phone-usb-c',
      },
      joints: [
        'mic.out mixer.mic',
        'mixer.left lead.a',
        'lead.b di.in',
        'di.out interface.mic',
        'interface.usb phone.port',
      ],
      settings: { mixer: { gain: 40 }, interface: { phantom: 'on', gain: 0 } },
    },
  },
  {
    name: 'a clip-on by a plain adapter and a pad on phantom: one leg is shorted; the adapter that makes plug-in power of it draws on both',
    code: 'phantom-one-sided',
    faulty: {
      parts: { mic: 'clip-on-trs', adapter: 'adapter-trs-xlr', pad: 'pad-xlr-20', recorder: 'recorder-xlr' },
      joints: ['mic.plug adapter.small', 'adapter.pins pad.holes', 'pad.pins recorder.mic-1'],
      settings: { recorder: { phantom: 'on' } },
    },
    clean: {
      parts: { mic: 'clip-on-trs', adapter: 'adapter-pip-xlr', recorder: 'recorder-xlr' },
      joints: ['mic.plug adapter.in', 'adapter.out recorder.mic-1'],
      settings: { recorder: { phantom: 'on' } },
    },
  },
];

describe('current through what bears none', () => testTwins(CASES));

describe('a receiver on a socket with phantom on', () => {
  const receiver = (phantom: string) =>
    judge(
      onPhantom(
        'receiver-trs',
        'out',
        { lead: 'lead-trs-xlr' },
        ['lead.small', 'lead.pins interface.mic'],
        phantom,
      ),
    );
  const harm = ['voltage-harms', 'current-harms'];
  it('is named, and is no clean rig', () => {
    const found = receiver('on');
    expect(found.verdict).toBe('unsafe');
    expect(harm).toContain(found.codes[0]);
  });
  it('is not named with phantom off', () => {
    const found = receiver('off');
    expect(found.codes.filter((code) => harm.includes(code))).toEqual([]);
    expect(found.verdict).not.toBe('unsafe');
  });
  it('and so is a plain adapter before a clip-on microphone', () => {
    const clipOn = (phantom: string) =>
      judge(
        onPhantom(
          'clip-on-trs',
          'plug',
          { adapter: 'adapter-trs-xlr' },
          ['adapter.small', 'adapter.pins interface.mic'],
          phantom,
        ),
      );
    expect(clipOn('on').verdict).toBe('unsafe');
    expect(harm).toContain(clipOn('on').codes[0]);
    expect(clipOn('off').verdict).not.toBe('unsafe');
  });
});

describe('what bears phantom', () => {
  it.each(['dynamic-xlr', 'condenser-xlr', 'shotgun-xlr', 'ribbon-xlr'])('%s on a balanced lead', (mic) => {
    const found = judge({
      parts: { mic, lead: 'lead-xlr', interface: 'interface-one-input', phone: 'phone-usb-c' },
      joints: ['mic.out lead.holes', 'lead.pins interface.mic', 'interface.usb phone.port'],
      settings: { interface: { phantom: 'on', gain: 30 } },
    });
    expect(found.verdict).not.toBe('unsafe');
  });
});
