import { describe, expect, it } from 'vitest';
import { judge } from '../../../../testing/judge';
import type { RigSketch } from '../../../../testing/lay-rig';

/** Headphones in an interface with direct monitoring, on a phone. */
const monitored = (direct: string, app = 'recorder-app', more: Partial<RigSketch> = {}): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    interface: 'interface-one-input',
    ears: 'headphones-big',
    phone: 'phone-usb-c',
  },
  joints: ['mic.out interface.mic', 'interface.usb phone.port', 'ears.plug interface.phones'],
  settings: { interface: { gain: 46, direct } },
  apps: { phone: app },
  recorder: 'phone',
  ...more,
});

describe('direct monitoring', () => {
  it('puts the microphone on both ears, past the phone, beside the phone’s playback', () => {
    expect(judge(monitored('on')).listeners).toEqual([
      {
        listener: 'ears',
        hears: [{ device: 'phone', sides: 'both', common: 0 }],
        sources: [{ source: 'mic', sides: 'both', by: 'direct' }],
        moved: [],
      },
    ]);
  });
  it('off, it is named with its switch, and the verdict stays clean: the recording is none the worse', () => {
    const found = judge(monitored('off'));
    expect(found).toMatchObject({ verdict: 'clean', codes: ['monitor-off'] });
    expect(found.findings[0]).toMatchObject({ setting: 'direct', where: { part: 'interface' } });
    expect(judge(monitored('on')).codes).toEqual([]);
  });
});

describe('monitoring through the app', () => {
  it('a multitrack recorder plays the microphone back when its monitoring is on', () => {
    const found = judge(monitored('off', 'multitrack', { choices: { phone: { monitor: 'on' } } }));
    expect(found.listeners[0]?.sources).toEqual([{ source: 'mic', sides: 'both', by: 'app' }]);
  });
  it('both at once are both told: that doubles the sound', () => {
    const found = judge(monitored('on', 'multitrack', { choices: { phone: { monitor: 'on' } } }));
    expect(found.listeners[0]?.sources.map((s) => s.by)).toEqual(['direct', 'app']);
  });
});

describe('where playback comes out', () => {
  it('of two pairs of headphones the one at the interface hears, the one at the laptop does not', () => {
    const found = judge({
      parts: {
        mic: 'dynamic-xlr',
        interface: 'interface-one-input',
        near: 'headphones-big',
        far: 'headphones-trs',
        computer: 'laptop-combo',
      },
      joints: [
        'mic.out interface.mic',
        'interface.usb computer.usb-c',
        'near.plug interface.phones',
        'far.plug computer.jack',
      ],
      settings: { interface: { gain: 46 } },
      apps: { computer: 'recorder-app' },
    });
    const heard = found.listeners.map((l) => [l.listener, l.hears.length, l.moved.length]);
    expect(heard).toEqual([
      ['near', 1, 0],
      ['far', 0, 1],
    ]);
    expect(found.codes).toEqual(['playback-moved']);
  });
  it('a receiver without outputs leaves playback where it was', () => {
    const found = judge({
      parts: { receiver: 'receiver-usb', ears: 'headphones-trs', computer: 'laptop-combo' },
      joints: ['receiver.usb computer.usb-c', 'ears.plug computer.jack'],
      apps: { computer: 'recorder-app' },
    });
    expect(found.listeners[0]).toMatchObject({ hears: [{ device: 'computer' }], moved: [] });
    expect(found.codes).toEqual([]);
  });
});
