import { describe, expect, it } from 'vitest';
import { applyEdit } from '../rig';
import { layRig } from '../../../testing/lay-rig';
import { compareRigs } from '.';

const rig = layRig({
  parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.a', 'lead.b phone.jack'],
});

describe('comparing two rigs', () => {
  it('a rig does not differ from itself', () => expect(compareRigs(rig, rig)).toEqual([]));
  it('tells another part and the joints that it brings', () => {
    const edit = { kind: 'swap', part: 'lead', to: 'patch-trs-trrs', ports: ['trs', 'trrs'] } as const;
    const found = compareRigs(rig, applyEdit(rig, edit));
    expect(found[0]).toEqual({ what: 'TRS–TRS lead', one: 'TRS–TRS lead', other: 'TRS-to-TRRS patch cable' });
    expect(found.filter((d) => d.one === 'joined')).toHaveLength(2);
    expect(found.filter((d) => d.other === 'joined')).toHaveLength(2);
  });
  it('tells a switch, an app, a length, the voice', () => {
    const other = [
      { kind: 'set', part: 'receiver', setting: 'output', option: 'high' } as const,
      { kind: 'app', part: 'phone', app: 'voice-room' } as const,
      { kind: 'length', part: 'lead', metres: 3 } as const,
      { kind: 'voice', voice: 'loud' } as const,
    ].reduce(applyEdit, rig);
    expect(compareRigs(rig, other)).toEqual([
      { what: 'Receiver, TRS output, Output', one: 'low', other: 'high' },
      { what: 'TRS–TRS lead, length', one: null, other: '3 m' },
      { what: 'Phone, CTIA headset jack, app', one: null, other: 'voice room or call' },
      { what: 'Voice', one: 'normal', other: 'loud' },
    ]);
  });
  it('tells knobs in dB, distances in metres and choices by their names', () => {
    const bench = layRig({
      parts: { mic: 'dynamic-xlr', interface: 'interface-one-input', phone: 'phone-usb-c' },
      joints: ['mic.out interface.mic', 'interface.usb phone.port'],
      apps: { phone: 'recorder-app' },
    });
    const other = [
      { kind: 'set', part: 'interface', setting: 'gain', option: 42 } as const,
      { kind: 'choose', part: 'phone', choice: 'source', option: 'own' } as const,
      { kind: 'distance', part: 'mic', metres: 0.1 } as const,
    ].reduce(applyEdit, bench);
    expect(compareRigs(bench, other)).toEqual([
      { what: 'Dynamic microphone, XLR, mouth at', one: null, other: '0.1 m' },
      { what: 'Interface, one XLR input, USB-C, Gain', one: '30.0 dB', other: '42.0 dB' },
      {
        what: 'Phone, USB-C port, Source chosen',
        one: 'what is plugged in',
        other: 'own microphone',
      },
    ]);
  });
  it('tells what only one of them has', () => {
    const other = applyEdit(rig, { kind: 'place', part: 'headphones-trs' });
    expect(compareRigs(rig, other)).toEqual([
      { what: 'Headphones, TRS plug', one: null, other: 'Headphones, TRS plug' },
    ]);
  });
});
