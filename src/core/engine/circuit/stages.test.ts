import { describe, expect, it } from 'vitest';
import type { Couplings } from './loops';
import { drivenBy, stageOrder } from './stages';
import type { Phasor } from './system';

/** Numbers from a seed (mulberry32, public domain). */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

interface Graph {
  readonly names: readonly string[];
  readonly couplings: Couplings;
  readonly direct: ReadonlyMap<string, Phasor>;
}

/** Stages that feed one another at random, only onward where `onward`; every gain under `most`. */
function graphOf(random: () => number, onward: boolean, most: number): Graph {
  const names = Array.from({ length: 3 + Math.floor(random() * 5) }, (_, n) => `s${n}`);
  const phasor = (): Phasor => ({ re: (2 * random() - 1) * most, im: (2 * random() - 1) * most });
  const couplings = new Map(
    names.map((name, n) => [
      name,
      new Map(
        names
          .filter((_, m) => (onward ? m > n : true) && random() < 0.5)
          .map((other) => [other, phasor()] as const),
      ),
    ]),
  );
  const direct = new Map(names.filter(() => random() < 0.6).map((name) => [name, phasor()]));
  return { names, couplings, direct };
}

const times = (a: Phasor, b: Phasor): Phasor => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
});
const add = (a: Phasor, b: Phasor): Phasor => ({ re: a.re + b.re, im: a.im + b.im });
const NOTHING: Phasor = { re: 0, im: 0 };

/** What comes to each stage by every path from every stage that is driven from outside, path by path. */
function byAllPaths({ names, couplings, direct }: Graph): Map<string, Phasor> {
  const volts = new Map(names.map((name) => [name, NOTHING]));
  const walk = (at: string, brought: Phasor) => {
    volts.set(at, add(volts.get(at) ?? NOTHING, brought));
    for (const [next, gain] of couplings.get(at) ?? []) walk(next, times(brought, gain));
  };
  for (const [name, volt] of direct) walk(name, volt);
  return volts;
}

/** The same where sound goes round: turn after turn, until a turn brings nothing more. */
function byTurns({ names, couplings, direct }: Graph): Map<string, Phasor> {
  const volts = new Map(names.map((name) => [name, NOTHING]));
  let wave = new Map(direct);
  for (let turn = 0; turn < 400; turn += 1) {
    const next = new Map<string, Phasor>();
    for (const [name, volt] of wave) {
      volts.set(name, add(volts.get(name) ?? NOTHING, volt));
      for (const [other, gain] of couplings.get(name) ?? [])
        next.set(other, add(next.get(other) ?? NOTHING, times(volt, gain)));
    }
    wave = next;
  }
  return volts;
}

function expectAlike(graph: Graph, expected: ReadonlyMap<string, Phasor>) {
  const found = drivenBy(stageOrder(graph.couplings), graph.couplings, graph.direct);
  for (const name of graph.names) {
    const [is, wanted] = [found.get(name) ?? NOTHING, expected.get(name) ?? NOTHING];
    expect(Math.hypot(is.re - wanted.re, is.im - wanted.im)).toBeLessThan(1e-9);
  }
}

/** The reference shares nothing with the solver: it knows no order and no components, and follows every path. */
describe('what stages bring one another', () => {
  it('onward alone is the sum of all simple paths, with their phases (300 random graphs, seed 14)', () => {
    const random = seeded(14);
    let fed = 0;
    for (let n = 0; n < 300; n += 1) {
      const graph = graphOf(random, true, 2);
      const expected = byAllPaths(graph);
      fed += [...expected.values()].filter(({ re, im }) => re !== 0 || im !== 0).length;
      expectAlike(graph, expected);
    }
    expect(fed).toBeGreaterThan(900);
  });

  it('with loops is what every turn brings, where turns die away (300 random graphs, seed 15)', () => {
    const random = seeded(15);
    let looped = 0;
    for (let n = 0; n < 300; n += 1) {
      const graph = graphOf(random, false, 0.15);
      looped += stageOrder(graph.couplings).loops.length > 0 ? 1 : 0;
      expectAlike(graph, byTurns(graph));
    }
    expect(looped).toBeGreaterThan(200);
  });
});
