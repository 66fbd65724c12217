import { describe, expect, it } from 'vitest';
import { random } from '../../../../testing/takes/random';
import type { Couplings } from './loops';
import { drivenBy, stageOrder } from './stages';
import type { Phasor } from './system';

interface Graph {
  readonly names: readonly string[];
  readonly couplings: Couplings;
  readonly direct: ReadonlyMap<string, Phasor>;
}

/** Stages that feed one another at random, only onward where `onward`; every gain under `most`. */
function graphOf(next: () => number, onward: boolean, most: number): Graph {
  const names = Array.from({ length: 3 + Math.floor(next() * 5) }, (_, n) => `s${n}`);
  const phasor = (): Phasor => ({ re: (2 * next() - 1) * most, im: (2 * next() - 1) * most });
  const couplings = new Map(
    names.map((name, n) => [
      name,
      new Map(
        names
          .filter((_, m) => (onward ? m > n : true) && next() < 0.5)
          .map((other) => [other, phasor()] as const),
      ),
    ]),
  );
  const direct = new Map(names.filter(() => next() < 0.6).map((name) => [name, phasor()]));
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
    const next = random(14);
    let fed = 0;
    for (let n = 0; n < 300; n += 1) {
      const graph = graphOf(next, true, 2);
      const expected = byAllPaths(graph);
      fed += [...expected.values()].filter(({ re, im }) => re !== 0 || im !== 0).length;
      expectAlike(graph, expected);
    }
    expect(fed).toBeGreaterThan(900);
  });

  it('with loops is what every turn brings, where turns die away (300 random graphs, seed 15)', () => {
    const next = random(15);
    let looped = 0;
    for (let n = 0; n < 300; n += 1) {
      const graph = graphOf(next, false, 0.15);
      looped += stageOrder(graph.couplings).loops.length > 0 ? 1 : 0;
      expectAlike(graph, byTurns(graph));
    }
    expect(looped).toBeGreaterThan(200);
  });
});
