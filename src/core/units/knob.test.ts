import { describe, expect, it } from 'vitest';
import { readKnob, sayKnob } from './knob';
import { audioTaper } from './taper';

describe('a knob as people read it', () => {
  it('even in dB stands half way at twelve', () => {
    expect(sayKnob({ from: 0, to: 60 }, 30)).toBe('12 o’clock, 50 %');
    expect(sayKnob({ from: 0, to: 60 }, 0)).toBe('7 o’clock, 0 %');
    expect(sayKnob({ from: 0, to: 60 }, 60)).toBe('5 o’clock, 100 %');
  });

  // From memory: a carbon track of law A has about a tenth of its resistance half way, 20 dB; a fader of 10 dB over nought has that three quarters up.
  it('of an audio taper is 20 dB under its top a little past half, and at nought three quarters up where ten are over it', () => {
    const volume = { from: -60, to: 0, taper: audioTaper(-60, 0) };
    expect(readKnob(volume, -20)?.percent).toBe(52);
    const fader = { from: -60, to: 10, taper: audioTaper(-60, 10) };
    expect(readKnob(fader, 0)?.percent).toBe(75);
    expect(readKnob(fader, -60)?.percent).toBe(0);
    expect(readKnob(fader, 10)?.percent).toBe(100);
  });

  it('goes onward all the way, for every range', () => {
    for (const [from, to] of [
      [-60, 10],
      [-60, 0],
      [-40, 0],
      [-90, 12],
    ] as const) {
      const places = Array.from({ length: to - from + 1 }, (_, n) => from + n);
      const shares = places.map(
        (at) => readKnob({ from, to, taper: audioTaper(from, to) }, at)?.percent ?? NaN,
      );
      shares.slice(1).forEach((share, i) => expect(share).toBeGreaterThanOrEqual(shares[i] ?? NaN));
    }
  });

  it('with notches is counted from one', () => {
    const camera = { from: 0, to: 30, notch: 3 };
    expect([0, 3, 30].map((at) => sayKnob(camera, at))).toEqual(['notch 1', 'notch 2', 'notch 11']);
  });

  it('without a range, or at no number, has none', () => {
    expect(sayKnob({ from: 3, to: 3 }, 3)).toBe('');
    expect(sayKnob({ from: 0, to: 60 }, NaN)).toBe('');
  });
});
