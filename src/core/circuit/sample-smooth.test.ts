import { describe, expect, it } from 'vitest';
import { sampleSmooth } from './sample-smooth';
import { THIRD_OCTAVES } from './third-octaves';

const COUNT = THIRD_OCTAVES.length;

describe('sampling a smooth curve', () => {
  it('looks at a flat one in seven places and gives it everywhere', () => {
    let looked = 0;
    const curve = sampleSmooth(COUNT, () => (looked += 1) * 0 + 3);
    expect(looked).toBe(7);
    for (const value of curve) expect(value).toBeCloseTo(3, 12);
  });
  it('follows a first-order corner within 0.05 dB, wherever it lies', () => {
    for (const corner of [5, 50, 300, 1000, 8000, 40_000]) {
      const power = (index: number) => 1 / (1 + ((THIRD_OCTAVES[index]?.centre ?? 0) / corner) ** 2);
      for (const [index, value] of sampleSmooth(COUNT, power).entries())
        expect(Math.abs(10 * Math.log10(value / power(index)))).toBeLessThan(0.05);
    }
  });
  it('computes every point of a curve that never runs straight', () => {
    const jagged = (index: number) => (index % 2 === 0 ? 1 : 2);
    const curve = sampleSmooth(COUNT, jagged);
    expect(curve.filter((value, index) => value === jagged(index)).length).toBeGreaterThan(20);
  });
});
