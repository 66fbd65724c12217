import { describe, expect, it } from 'vitest';
import {
  absorption,
  criticalDistance,
  deafestAt,
  diffuseShare,
  distanceFactor,
  patternGain,
  reverberant,
} from '.';

describe('patterns of microphones against published directivity', () => {
  it.each([
    ['omni', 1],
    ['cardioid', 1.7],
    ['supercardioid', 1.9],
    ['hypercardioid', 2],
  ] as const)('%s: distance factor %d (textbook figures, rounded to a tenth)', (pattern, factor) => {
    expect(Math.abs(distanceFactor(pattern) - factor)).toBeLessThanOrEqual(0.05);
  });
  it.each([
    ['cardioid', 180],
    ['supercardioid', 126],
    ['hypercardioid', 110],
    ['figure-8', 90],
  ] as const)('%s is deafest at %d degrees', (pattern, degrees) => {
    expect(Math.abs(deafestAt(pattern) - degrees)).toBeLessThanOrEqual(1);
    expect(patternGain(pattern, deafestAt(pattern))).toBeLessThan(1e-9);
  });
  it('a diffuse share is the mean of the square over the sphere, summed by hand', () => {
    for (const pattern of ['omni', 'cardioid', 'supercardioid', 'hypercardioid', 'figure-8'] as const) {
      let [sum, area] = [0, 0];
      for (let degrees = 0.05; degrees < 180; degrees += 0.1) {
        const ring = Math.sin((degrees * Math.PI) / 180);
        sum += patternGain(pattern, degrees) ** 2 * ring;
        area += ring;
      }
      expect(diffuseShare(pattern)).toBeCloseTo(sum / area, 5);
    }
  });
});

describe('Sabine', () => {
  it('a hall of 10 × 12 × 4 m that rings for 1.2 s absorbs 64.4 m²; its critical distance for Q = 1 is 1.14 m (worked by hand from the textbook formulas)', () => {
    const hall = { cubicMetres: 480, seconds: 1.2 };
    expect(absorption(hall)).toBeCloseTo(64.4, 1);
    expect(criticalDistance(hall, 1)).toBeCloseTo(1.14, 2);
  });
  it('at the critical distance the direct sound on the axis and that of the room are equal', () => {
    for (const [cubicMetres, seconds, q] of [
      [60, 0.4, 2],
      [480, 1.2, 6],
      [2000, 2, 1],
    ] as const) {
      const room = { cubicMetres, seconds };
      const metres = criticalDistance(room, q);
      // 0.057 is rounded: within a tenth of a dB.
      expect(Math.abs(10 * Math.log10(reverberant(room, q) * metres ** 2))).toBeLessThan(0.1);
    }
  });
});
