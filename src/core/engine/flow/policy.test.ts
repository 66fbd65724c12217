import { describe, expect, it } from 'vitest';
import { analyse } from '../../judge';
import { applyEdit, type PolicyNote, type Rig } from '../../rig';
import { checkRig } from '../../files/read-rig';
import { layRig } from '../../../../testing/lay-rig';

const usbReceiver = (app: string): Rig =>
  layRig({
    parts: { receiver: 'receiver-usb', phone: 'phone-usb-c' },
    joints: ['receiver.usb phone.port'],
    apps: { phone: app },
  });
const note = (more: Partial<PolicyNote>): PolicyNote => ({
  app: 'voice-room',
  way: 'usb',
  takes: true,
  kind: 'tested by you',
  date: '2026-11-20',
  ...more,
});
const noted = (rig: Rig, ...notes: PolicyNote[]) =>
  notes.reduce((r, policy) => applyEdit(r, { kind: 'policy', policy }), rig);
const arrival = (rig: Rig) => analyse(rig).arrives[0];

describe('what the user knows of an app', () => {
  it('stands before the shipped policy, and the verdict says so', () => {
    expect(arrival(usbReceiver('voice-room'))?.state).toBe('wrong-mic');
    const rig = noted(usbReceiver('voice-room'), note({}));
    expect(arrival(rig)).toMatchObject({
      state: 'recorded',
      evidence: { kind: 'tested by you', date: '2026-11-20' },
    });
  });
  it('"does not work" counts as well', () => {
    const rig = noted(usbReceiver('recorder-app'), note({ app: 'recorder-app', takes: false }));
    expect(arrival(rig)?.state).toBe('not-listed');
    expect(analyse(rig).findings[0]).toMatchObject({
      code: 'app-does-not-take',
      origin: { text: 'policy of this app class, tested by you, 2026-11-20' },
    });
  });
  it('of several the latest counts', () => {
    const [old, recent] = [note({ date: '2026-10-01', takes: true }), note({ takes: false })];
    for (const order of [
      [old, recent],
      [recent, old],
    ])
      expect(arrival(noted(usbReceiver('voice-room'), ...order))?.state).toBe('wrong-mic');
  });
  it('one for this very host counts before a later one for any', () => {
    const here = note({ host: 'phone-usb-c', date: '2026-01-01' });
    const elsewhere = note({ host: 'phone-8-pin', date: '2026-11-23', takes: false });
    expect(arrival(noted(usbReceiver('voice-room'), here, note({ takes: false }), elsewhere))?.state).toBe(
      'recorded',
    );
  });
  it('is written into the file, read back, and refused where it names what there is not', () => {
    const rig = noted(usbReceiver('voice-room'), note({}));
    expect(checkRig(JSON.parse(JSON.stringify(rig)))).toMatchObject({ ok: true });
    expect(checkRig({ ...rig, policies: [note({ app: 'no-such-app' })] })).toMatchObject({
      problem: { code: 'unknown-app', at: '/policies/0/app' },
    });
    expect(checkRig({ ...rig, policies: [note({ host: 'no-such-part' })] })).toMatchObject({
      problem: { code: 'unknown-part', at: '/policies/0/host' },
    });
    expect(checkRig({ ...rig, policies: [{ ...note({}), date: 'last week' }] })).toMatchObject({
      problem: { code: 'malformed', at: '/policies/0/date' },
    });
  });
});
