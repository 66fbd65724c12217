import { describe, expect, it } from 'vitest';
import { findPart } from '..';
import { checkPart } from './check-part';

const knobOf = (taper: unknown) => {
  const base = findPart('loudspeaker-portable');
  return { ...base, id: 'own-tapered', settings: (base?.settings ?? []).map((one) => ({ ...one, taper })) };
};
const said = (taper: unknown): string => JSON.stringify(checkPart(knobOf(taper)));

describe('the taper of a knob', () => {
  it('runs from end to end', () => {
    const whole = checkPart(
      knobOf([
        [0, -60],
        [0.5, -20],
        [1, 0],
      ]),
    );
    expect(whole.ok).toBe(true);
    expect(
      said([
        [0, -50],
        [1, 0],
      ]),
    ).toContain('must run from 0 at the least dB to 1 at the most');
    expect(
      said([
        [0.1, -60],
        [1, 0],
      ]),
    ).toContain('must run from 0 at the least dB to 1 at the most');
  });
  it('goes onward', () => {
    expect(
      said([
        [0, -60],
        [0.5, -20],
        [0.4, -10],
        [1, 0],
      ]),
    ).toContain('must lie beyond the one before');
    expect(
      said([
        [0, -60],
        [0.5, -20],
        [0.6, -30],
        [1, 0],
      ]),
    ).toContain('must lie beyond the one before');
  });
  it('is made of figures within reason', () => {
    expect(
      checkPart(
        knobOf([
          [0, -60],
          [0.5, 1e9],
          [1, 0],
        ]),
      ).ok,
    ).toBe(false);
    expect(checkPart(knobOf('steep')).ok).toBe(false);
  });
});
