import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import type { Rig } from '../../rig';

/** A talk: mixer on the mains, a powered loudspeaker on the mains, a phone on its battery that records. */
const HALL: RigSketch = {
  parts: {
    mic: 'dynamic-xlr',
    xlr: 'lead-xlr',
    mixer: 'mixer-monitor-fx',
    run: 'lead-jack-ts',
    speaker: 'loudspeaker-stage',
    pad: 'lead-line-headset-pad',
    phone: 'phone-ctia',
  },
  joints: [
    'mic.out xlr.holes',
    'xlr.pins mixer.mic-1',
    'run.a mixer.mon',
    'run.b speaker.in',
    'pad.big mixer.main-left',
    'pad.trrs phone.jack',
  ],
  source: 'mic',
  recorder: 'phone',
  settings: { mixer: { 'gain-1': 54, 'mon-mic-1': 8 }, speaker: { volume: -20 } },
  distances: { mic: 0.05 },
  apps: { phone: 'camera-app' },
};

const inStrip = (rig: Rig, ...ids: string[]): Rig => ({
  ...rig,
  parts: rig.parts.map((p) => (ids.includes(p.id) ? { ...p, mains: 'strip' } : p)),
});
const unplugged: Rig = layRig({
  ...HALL,
  parts: { ...HALL.parts, ears: 'headphones-trs', big: 'adapter-jack-small' },
  joints: [...HALL.joints.filter((j) => !j.startsWith('run')), 'big.big mixer.phones', 'ears.plug big.small'],
});

// Common practice; written down before the code.
describe('hum that the room or the ears hear, and the recording does not', () => {
  it.each<[string, Rig, boolean]>([
    ['a powered loudspeaker on an unbalanced lead, in another outlet', layRig(HALL), true],
    [
      'the same on a balanced lead',
      layRig({ ...HALL, parts: { ...HALL.parts, run: 'lead-jack-trs' } }),
      false,
    ],
    [
      'a loudspeaker on its own battery',
      layRig({
        ...HALL,
        parts: { ...HALL.parts, speaker: 'loudspeaker-portable' },
        joints: HALL.joints.filter((j) => !j.startsWith('run')),
      }),
      false,
    ],
    ['headphones at the mixer', unplugged, false],
  ])('%s', (_, rig, expected) => {
    const { findings, arrives } = outcomeOf(rig);
    expect(arrives[0]?.state).toBe('recorded');
    const codes = findings.map(({ code }) => code);
    expect(codes).not.toContain('hums');
    expect(codes.includes('hums-in-ears')).toBe(expected);
  });

  it('is less where both are in one strip', () => {
    const level = (rig: Rig) =>
      outcomeOf(rig).findings.find(({ code }) => code === 'hums-in-ears')?.values[0]?.value ?? -Infinity;
    expect(level(inStrip(layRig(HALL), 'mixer', 'speaker'))).toBeLessThan(level(layRig(HALL)) - 3);
  });
});
