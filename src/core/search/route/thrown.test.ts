import { describe, expect, it } from 'vitest';
import { against, PRACTICE, requestOf } from '../../../../testing/practice';
import { LIMITS, plan } from '.';

/** Of the open ends and judged layouts that a search to its end has, a fraction: what is thrown together has to have found it by then. */
const SOON = { ...LIMITS, milliseconds: Infinity, steps: 900 };

/** Their cheapest layouts weigh far more than what their legs are bounded by: by bounds alone all that could weigh less is looked at first. */
const LATE_BY_BOUNDS = [
  'two dynamic microphones mixed into a camera',
  'a call on an 8-pin phone and a voice into a camera',
  'two dynamic microphones 15 m from a camera, mixed',
];

describe('what several legs have come to is thrown together before its turn', () => {
  it.each(LATE_BY_BOUNDS)('so that practice’s answer is found soon: %s', (name) => {
    const asked = PRACTICE.find((one) => one.name.startsWith(name))!;
    const soon = plan(requestOf(asked), SOON);
    expect(against(asked, soon)).toBeUndefined();
    expect(soon.complete).toBe(false);
  });

  it('and the best of all for one microphone and two cameras: its camera lead in a splitter, where a mixer is dearer', () => {
    const asked = PRACTICE.find((one) => one.name.startsWith('one microphone for two cameras'))!;
    expect(plan(requestOf(asked), SOON).routes[0]?.parts).toContain('splitter-headphones');
  });
});

// Common practice: a line output into a microphone input goes through a pad, and is not kept from clipping by knobs far down.
describe('where knobs alone would keep a recorder from clipping', () => {
  it.each([
    'two dynamic microphones mixed into a camera',
    'a call on an 8-pin phone and a voice into a camera',
    'a phone’s backing track and a voice mixed into a camera',
  ])('the pad is tried at once: %s', (name) => {
    const asked = PRACTICE.find((one) => one.name.startsWith(name))!;
    expect(plan(requestOf(asked), SOON).routes[0]?.parts).toContain('pad-jack-40');
  });
});
