import { describe, expect, it } from 'vitest';
import { layRig } from '../../../../testing/lay-rig';
import { hallBy } from '../../../../testing/power-rigs';
import { outcomeOf } from '../../judge';
import type { Rig } from '../../rig';

const HALL = hallBy('lead-jack-ts');

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
    ['the same on a balanced lead', layRig(hallBy('lead-jack-trs')), false],
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
