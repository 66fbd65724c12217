import { describe, expect, it } from 'vitest';
import { layRig } from '../../../../testing/lay-rig';
import { laidParts, settingOf, type Rig } from '../../rig';
import { planGains } from '.';

const gainsOf = (rig: Rig): readonly number[] => {
  const laid = laidParts(rig).find(({ placed }) => placed.id === 'recorder')!;
  return ['gain-1', 'gain-2'].map((knob) => Number(settingOf(laid, knob)));
};

describe('the two sides of a keyboard, each on an input with a gain of its own', () => {
  const keys = (gains: Record<string, number>) =>
    layRig({
      parts: { keys: 'keyboard', one: 'lead-jack-xlr', two: 'lead-jack-xlr', recorder: 'recorder-xlr' },
      joints: [
        'one.big keys.left',
        'two.big keys.right',
        'one.pins recorder.mic-1',
        'two.pins recorder.mic-2',
      ],
      settings: { recorder: gains },
    });

  // Common practice: left and right of a programme do not differ in level.
  it.each([
    ['both far too high', { 'gain-1': 30, 'gain-2': 30 }],
    ['one far too high', { 'gain-1': 30, 'gain-2': 5 }],
    ['the other far too high', { 'gain-1': 5, 'gain-2': 30 }],
    ['both too low', { 'gain-1': 0, 'gain-2': 0 }],
  ])('%s: they are set alike', (_, gains) => {
    const { rig, outcome, settings } = planGains(keys(gains));
    const [left, right] = gainsOf(rig);
    expect(left).toBe(right);
    expect(outcome.verdict).toBe('clean');
    expect(outcome.arrives[0]?.peak).toBeCloseTo(-11.2, 0);
    for (const { setting, stands } of settings) expect(stands).toBe(gains[setting as 'gain-1' | 'gain-2']);
  });
});

describe('one microphone on two inputs, the second lower in case of a shout', () => {
  it('is no pair: the second is left where it stands', () => {
    const rig = layRig({
      parts: {
        receiver: 'receiver-trs',
        fork: 'splitter-headphones',
        first: 'lead-trs-xlr',
        second: 'lead-trs-xlr',
        recorder: 'recorder-xlr',
      },
      joints: [
        'fork.plug receiver.out',
        'first.small fork.one',
        'second.small fork.two',
        'first.pins recorder.mic-1',
        'second.pins recorder.mic-2',
      ],
      settings: { recorder: { 'gain-1': 24, 'gain-2': 8 } },
    });
    const { rig: planned } = planGains(rig);
    expect(gainsOf(planned)[1]).toBe(8);
  });
});
