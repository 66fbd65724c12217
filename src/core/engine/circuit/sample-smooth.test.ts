import { describe, expect, it } from 'vitest';
import { sampleSmooth } from './sample-smooth';
import { THIRD_OCTAVES } from './third-octaves';

const WIDTHS = THIRD_OCTAVES.map((band) => band.width);
const summed = (curve: readonly number[]) =>
  curve.reduce((sum, value, index) => sum + value * (WIDTHS[index] ?? 0), 0);
const whole = (at: (index: number) => number) => summed(WIDTHS.map((_, index) => at(index)));

describe('sampling a smooth curve', () => {
  it('looks at a flat one in seven places and gives it everywhere', () => {
    let looked = 0;
    const curve = sampleSmooth(WIDTHS, () => (looked += 1) * 0 + 3);
    expect(looked).toBe(7);
    for (const value of curve) expect(value).toBeCloseTo(3, 12);
  });
  it('sums a first-order corner within 0.02 dB of all its points, wherever it lies', () => {
    for (const corner of [5, 50, 300, 1000, 8000, 40_000]) {
      for (const rises of [false, true]) {
        const power = (index: number) => {
          const ratio = ((THIRD_OCTAVES[index]?.centre ?? 0) / corner) ** 2;
          return rises ? ratio / (1 + ratio) : 1 / (1 + ratio);
        };
        const error = 10 * Math.log10(summed(sampleSmooth(WIDTHS, power)) / whole(power));
        expect(Math.abs(error), `${corner} Hz`).toBeLessThan(0.02);
      }
    }
  });
  it('looks everywhere that counts at a curve that never runs straight', () => {
    const jagged = (index: number) => (index % 2 === 0 ? 1 : 2);
    const error = 10 * Math.log10(summed(sampleSmooth(WIDTHS, jagged)) / whole(jagged));
    expect(Math.abs(error)).toBeLessThan(0.1);
  });
});
