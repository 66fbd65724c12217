import { describe, expect, it } from 'vitest';
import { dieAway, loopOf, solveLoop, type Couplings } from './loops';
import type { Phasor } from './system';

const real = (re: number): Phasor => ({ re, im: 0 });
const couplings = (list: readonly (readonly [from: string, to: string, gain: Phasor])[]): Couplings => {
  const found = new Map<string, Map<string, Phasor>>();
  for (const [from, to, gain] of list) found.set(from, (found.get(from) ?? new Map()).set(to, gain));
  return found;
};
const radius = (group: readonly string[], list: Parameters<typeof couplings>[0]) =>
  loopOf(group, couplings(list)).gain;

/** Worked by hand: closed-loop gain 1 / (1 − β) (textbook feedback amplifier), spectral radius of small matrices. */
describe('a loop of stages', () => {
  it('of one stage has the magnitude of its coupling', () => {
    expect(radius(['a'], [['a', 'a', { re: 0.6, im: -0.8 }]])).toBeCloseTo(1, 12);
  });

  it('of two has the root of their product, whatever either is alone', () => {
    const pair = [
      ['a', 'b', real(40)],
      ['b', 'a', real(0.02)],
    ] as const;
    expect(radius(['a', 'b'], pair)).toBeCloseTo(Math.sqrt(0.8), 9);
  });

  it('that is weak is told by no less than it is, and under a half', () => {
    const weak = [
      ['a', 'b', real(100)],
      ['b', 'a', real(1e-4)],
      ['a', 'a', real(0.05)],
    ] as const;
    // λ² − 0.05 λ − 0.01 = 0
    const exact = (0.05 + Math.sqrt(0.05 ** 2 + 0.04)) / 2;
    const loop = loopOf(['a', 'b'], couplings(weak));
    expect(loop.gain).toBeGreaterThanOrEqual(exact);
    expect(loop.gain).toBeLessThan(0.5);
    expect(dieAway([loop])).toBe(true);
  });

  it.each([0.1, 0.49, 0.9, -0.9, 3])('with %s back each turn brings 1 / (1 − that)', (back) => {
    const one = couplings([['a', 'a', real(back)]]);
    const [answer] = solveLoop(loopOf(['a'], one), one, [real(1)]);
    expect(answer?.re).toBeCloseTo(1 / (1 - back), 9);
    expect(answer?.im).toBeCloseTo(0, 12);
  });

  it('solves the same followed round as by elimination, with phase', () => {
    const list = [
      ['a', 'b', { re: 0.3, im: 0.2 }],
      ['b', 'c', { re: -0.5, im: 0.1 }],
      ['c', 'a', { re: 0.4, im: -0.4 }],
    ] as const;
    const three = couplings(list);
    const found = solveLoop(loopOf(['a', 'b', 'c'], three), three, [real(1), real(0), real(0)]);
    // a = 1 + k·a with k the product of the three, by hand: (0.3+0.2i)(−0.5+0.1i) = −0.17−0.07i; times (0.4−0.4i) = −0.096+0.04i.
    const [kr, ki] = [-0.096, 0.04];
    const size = (1 - kr) ** 2 + ki ** 2;
    expect(found[0]?.re).toBeCloseTo((1 - kr) / size, 9);
    expect(found[0]?.im).toBeCloseTo(ki / size, 9);
  });
});
