import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { allFacts } from '..';
import { hearing } from '.';

/** A caller on a phone whose playback comes into a mixer, and the ears there. */
function callerInto(
  joints: readonly string[],
  parts: Record<string, string>,
  mixer: Record<string, number>,
): RigSketch {
  return {
    parts: {
      mic: 'dynamic-xlr',
      mixer: 'mixer-monitor-fx',
      ears: 'headphones-big',
      to: 'lead-line-headset-pad',
      split: 'splitter-trrs',
      ...parts,
      phone: 'phone-ctia',
    },
    joints: [
      'mic.out mixer.mic-1',
      'ears.plug mixer.phones',
      'to.big mixer.mon',
      'to.trrs split.mic',
      'split.plug phone.jack',
      ...joints,
    ],
    settings: { mixer: { 'gain-1': 54, ...mixer } },
    apps: { phone: 'video-call' },
    recorder: 'phone',
  };
}

/** How loud the caller is to a hearer. */
function levelAt(sketch: RigSketch, listener: string): number {
  const { cells } = hearing(allFacts(layRig(sketch))[0]);
  return cells.find((cell) => cell.listener === listener && cell.voice === 'phone')?.level ?? NaN;
}

const pair = (joints: readonly string[], mixer: Record<string, number> = {}) =>
  callerInto(['from.small split.phones', ...joints], { from: 'lead-breakout-jacks' }, mixer);
const BOTH = ['from.left mixer.pair-1-left', 'from.right mixer.pair-1-right'];
const LEFT = ['from.left mixer.pair-1-left'];

describe('a call is one sound on both sides, which add as amplitudes (arithmetic: twice the voltage, 6.02 dB)', () => {
  it('both sides of a pair into a mono send: the caller hears their own voice 6 dB louder than by one side', () => {
    const send = { 'mon-pair-1': 0 };
    // The other plug out of the socket takes the load of its input with it: less than a tenth of a dB.
    expect(levelAt(pair(BOTH, send), 'phone') - levelAt(pair(LEFT, send), 'phone')).toBeCloseTo(6.02, 0);
  });

  it('in ears on two sides each side has its own: no louder than by one', () => {
    const [both, one] = [levelAt(pair(BOTH), 'ears'), levelAt(pair(LEFT), 'ears')];
    expect(Math.abs(both - one)).toBeLessThan(0.5);
  });

  it('with the send down nothing comes back, by one side or by both', () => {
    for (const joints of [BOTH, LEFT])
      expect(levelAt(pair(joints, { 'mon-pair-1': -60 }), 'phone')).toBe(-Infinity);
  });

  it('a stereo plug in one balanced input: left against right, and nothing of the caller is left', () => {
    const into = (lead: string, end: string) =>
      callerInto([`${end} split.phones`, 'from.big mixer.pair-1-left'], { from: lead }, {});
    expect(levelAt(into('lead-line-stereo', 'from.small'), 'ears')).toBeLessThan(-70);
    expect(levelAt(into('lead-line-mono-both', 'from.small'), 'ears')).toBeGreaterThan(-60);
  });
});
