import { describe, expect, it } from 'vitest';
import { random } from '../../../../testing/takes/random';
import { loopGain } from './loop-gain';

/** A pulse let round a graph in time, from the definition: each edge multiplies and waits. Gives the growth of the largest sound over a long while. */
function growth(gains: readonly number[][], delays: readonly number[][]): number {
  const size = gains.length;
  const longest = Math.max(1, ...delays.flat());
  const past: number[][] = Array.from({ length: longest + 1 }, () => new Array<number>(size).fill(1));
  const sizeNow = () => Math.max(...past.flat().map(Math.abs));
  const round = () => {
    const next = gains.map((row, to) =>
      row.reduce((sum, g, from) => sum + g * (past[past.length - (delays[to]?.[from] ?? 1)]?.[from] ?? 0), 0),
    );
    past.shift();
    past.push(next);
  };
  let log = 0;
  let counted = 0;
  for (let step = 0; step < 4000; step += 1) {
    round();
    if (step % 50 !== 49) continue;
    const now = sizeNow();
    if (now === 0) return 0;
    // The first half is left to settle.
    if (step > 2000) {
      log += Math.log(now);
      counted += 50;
    }
    for (const state of past) state.forEach((v, i) => (state[i] = v / now));
  }
  return Math.exp(log / counted);
}

const graph = (seed: number) => {
  const next = random(seed);
  const size = 1 + Math.floor(next() * 4);
  const each = <T>(make: () => T): T[][] =>
    Array.from({ length: size }, () => Array.from({ length: size }, make));
  const scale = 0.5 + 5 * next();
  return {
    gains: each(() => (next() < 0.5 ? 0 : (scale * next()) / size)),
    delays: each(() => 1 + Math.floor(next() * 12)),
    signs: each(() => (next() < 0.5 ? -1 : 1)),
  };
};

describe('loop gain against a simulation in time', () => {
  it('a sound grows exactly where the gain is over one, on 300 random graphs with delays (seeds 1 to 300)', () => {
    let grew = 0;
    for (let seed = 1; seed <= 300; seed += 1) {
      const { gains, delays } = graph(seed);
      const gain = loopGain(gains);
      // So near to one a simulation would have to run for ever.
      if (Math.abs(gain - 1) < 1e-3) continue;
      const grows = growth(gains, delays) > 1;
      if (grows) grew += 1;
      expect([seed, grows]).toEqual([seed, gain > 1]);
    }
    expect(grew).toBeGreaterThan(60);
    expect(grew).toBeLessThan(240);
  });
  it('whatever the signs, nothing grows under it (the worst case is a bound)', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const { gains, delays, signs } = graph(seed);
      const signed = gains.map((row, i) => row.map((g, j) => g * (signs[i]?.[j] ?? 1)));
      expect(loopGain(signed)).toBeCloseTo(loopGain(gains), 9);
      if (loopGain(signed) < 0.999) expect([seed, growth(signed, delays) < 1]).toEqual([seed, true]);
    }
  });
  it('one loop is its product, by hand; none is nothing', () => {
    expect(
      loopGain([
        [0, 0.5],
        [0.5, 0],
      ]),
    ).toBeCloseTo(0.5, 9);
    expect(
      loopGain([
        [0, 2, 0],
        [0, 0, 3],
        [0.5, 0, 0],
      ]),
    ).toBeCloseTo(3 ** (1 / 3), 6);
    expect(
      loopGain([
        [0, 5],
        [0, 0],
      ]),
    ).toBeCloseTo(0, 2);
    expect(loopGain([])).toBe(0);
    expect(loopGain([[Infinity]])).toBe(Infinity);
  });
});
