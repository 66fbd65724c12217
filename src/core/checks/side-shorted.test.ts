import { describe, expect, it } from 'vitest';
import { judge } from '../../../testing/judge';

const codes = (source: string, lead: string, ends: readonly [string, string]) =>
  judge({
    parts: { source, lead, camera: 'camera-trs' },
    joints: [
      `lead.${ends[0]} source.${source.startsWith('usb') ? 'phones' : 'jack'}`,
      `lead.${ends[1]} camera.mic`,
    ],
  }).codes;

// Common practice: a plug with one dark band shorts the right side of a stereo output.
describe('a plug with one dark band in a socket with room for two', () => {
  it('takes a side of what a phone plays', () => {
    expect(codes('phone-ctia', 'lead-true-mono', ['a', 'b'])).toContain('side-shorted');
    expect(codes('phone-ctia', 'lead-trs-trs', ['a', 'b'])).not.toContain('side-shorted');
  });
  it('takes a side of what a phone plays by a dongle in its port', () => {
    const byDongle = (lead: string) =>
      judge({
        parts: { source: 'phone-usb-c', dongle: 'dongle-usb-c-headset', lead, camera: 'camera-trs' },
        joints: ['dongle.plug source.port', 'lead.a dongle.jack', 'lead.b camera.mic'],
      }).codes;
    expect(byDongle('lead-true-mono')).toContain('side-shorted');
    expect(byDongle('lead-trs-trs')).not.toContain('side-shorted');
  });
  it('takes nothing from a microphone with a headphone socket, which has the same on both sides', () => {
    expect(codes('usb-mic-low-phones', 'lead-true-mono', ['a', 'b'])).not.toContain('side-shorted');
  });
});
