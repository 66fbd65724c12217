import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hertz } from '../../units';
import { reduce } from './reduce';
import { buildSystem, type Phasor } from './system';
import {
  Network,
  THIRD_OCTAVES,
  blocks,
  magnitude,
  mergeNets,
  solveAlternating,
  solveDirect,
  type NetElement,
} from '.';

const at = (a: string, b: string) => ({ placed: 'p', a: `p/${a}`, b: `p/${b}` });
const resistor = (a: string, b: string, ohms = 1000): NetElement => ({
  ...at(a, b),
  kind: 'resistor',
  ohms,
  conductor: false,
});
const capacitor = (a: string, b: string, farads = 1e-7): NetElement => ({
  ...at(a, b),
  kind: 'capacitor',
  farads,
});
const signal = (a: string, b: string, id = 'p/s'): NetElement => ({
  ...at(a, b),
  kind: 'signal',
  id,
  hears: 'voice',
  sensitivity: 0,
  noise: -Infinity,
});
const netsOf = (elements: NetElement[], touches: { joint: string; plug: string; jack: string }[] = []) =>
  mergeNets({ elements, touches });

describe('splitting', () => {
  it('what meets only at the busiest net is solved apart', () => {
    const nets = netsOf([resistor('a', 'g'), resistor('b', 'g'), resistor('b', 'c'), resistor('d', 'g')]);
    const split = blocks(nets, nets.branches);
    expect([...split.references]).toEqual([nets.of('p/g')]);
    expect(split.blocks.map((block) => block.nets.length)).toEqual([1, 1, 1, 1]);
    expect(new Set(split.component).size).toBe(1);
  });
  it('what hangs on a net that is not the reference is solved apart too, and added up on the way down', () => {
    // A divider, and behind the resistor that joins two grounds another one, with a supply of its own.
    const nets = netsOf([
      { ...at('a', 'g'), kind: 'supply', volts: 6 },
      resistor('a', 'x', 1000),
      resistor('x', 'g', 2000),
      resistor('x', 'h', 50),
      { ...at('b', 'h'), kind: 'supply', volts: 3 },
      resistor('b', 'y', 1000),
      resistor('y', 'h', 1000),
    ]);
    const direct = solveDirect(nets);
    expect(blocks(nets, nets.branches).blocks).toHaveLength(3);
    expect(direct.between(nets.of('p/x'), nets.of('p/g'))).toBeCloseTo(4, 5);
    expect(direct.between(nets.of('p/y'), nets.of('p/h'))).toBeCloseTo(1.5, 5);
    expect(direct.between(nets.of('p/y'), nets.of('p/g'))).toBeCloseTo(5.5, 5);
  });
  it('keeps the windings of a transformer in order, wherever they hang', () => {
    for (const swapped of [false, true]) {
      const first = [resistor('a', 'g', 1000), signal('a', 'g')];
      const second = [resistor('c', 'h', 1000), resistor('c', 'z', 10), resistor('z', 'h', 10)];
      const coil: NetElement = { ...at('a', 'g'), c: 'p/c', d: 'p/h', kind: 'transformer', ratio: 3 };
      const network = new Network(swapped ? [...second, ...first, coil] : [...first, coil, ...second], []);
      const { nets } = network;
      const solution = solveAlternating(network, [], hertz(1000), () => true);
      expect(solution.gain('p/s', nets.of('p/c'), nets.of('p/h'))?.re).toBeCloseTo(3, 5);
    }
  });
  it('a transformer couples two connected components into one block, and leaves them two', () => {
    const nets = netsOf([
      resistor('a', 'g'),
      { ...at('a', 'g'), c: 'p/c', d: 'p/h', kind: 'transformer', ratio: 2 },
      resistor('c', 'h'),
    ]);
    const split = blocks(nets, nets.branches);
    expect(split.references.size).toBe(2);
    expect(split.blocks).toHaveLength(1);
    expect(new Set(split.component).size).toBe(2);
  });
});

describe('direct current', () => {
  it('names the contacts on which nothing lies', () => {
    const nets = netsOf([resistor('a', 'g')], [{ joint: 'j', plug: 'lead/a.T', jack: 'phone/jack.T' }]);
    expect(solveDirect(nets).floating).toEqual(['lead/a.T']);
  });
  it('names the nets of equations without one answer: two ideal transformers, each the other’s load', () => {
    const ring = (a: string, c: string, ratio: number): NetElement => ({
      ...at(a, 'g'),
      c: `p/${c}`,
      d: 'p/g',
      kind: 'transformer',
      ratio,
    });
    const feed: NetElement = { ...at('e', 'g'), kind: 'supply', volts: 1 };
    const nets = netsOf([
      feed,
      resistor('e', 'x'),
      ring('a', 'b', 1),
      ring('b', 'a', 1),
      resistor('a', 'x', 1e3),
    ]);
    const direct = solveDirect(nets);
    expect(direct.singular.length).toBeGreaterThan(0);
    expect(direct.between(nets.of('p/a'), nets.of('p/g'))).toBeUndefined();
  });
  it('says nothing of nets that it does not know', () => {
    const nets = netsOf([resistor('a', 'g')]);
    expect(solveDirect(nets).between(nets.of('p/nowhere'), nets.of('p/g'))).toBeUndefined();
  });
});

describe('stages', () => {
  const stage = (id: string, from: string, to: string): NetElement[] => [
    { ...at(from, 'g'), kind: 'sense', id: `p/${id}-in`, ohms: 1e4, noise: -130 },
    { ...at(to, 'g'), kind: 'drive', id: `p/${id}-out`, ohms: 1e-3, clip: 20 },
    resistor(to, 'g', 1e4),
  ];
  const gainAt = (
    elements: NetElement[],
    paths: { from: string; to: string; gain: number }[],
    node: string,
  ) => {
    const network = new Network(elements, []);
    const { nets } = network;
    const solution = solveAlternating(network, paths, hertz(1000), () => true);
    return solution.gain('p/s', nets.of(`p/${node}`), nets.of('p/g'));
  };
  it('multiply one behind the other', () => {
    const elements = [signal('a', 'g'), ...stage('one', 'a', 'b'), ...stage('two', 'b', 'c')];
    const paths = [
      { from: 'p/one-in', to: 'p/one-out', gain: 10 },
      { from: 'p/two-in', to: 'p/two-out', gain: -3 },
    ];
    expect(gainAt(elements, paths, 'c')?.re).toBeCloseTo(-30, 4);
  });
  it('add where two paths lead to one output: a cancelled pair is silent', () => {
    const elements = [signal('a', 'g'), ...stage('one', 'a', 'b')];
    const paths = [5, -5].map((gain) => ({ from: 'p/one-in', to: 'p/one-out', gain }));
    expect(magnitude(gainAt(elements, paths, 'b') ?? { re: 0, im: 0 })).toBeCloseTo(0, 9);
  });
  it('that feed back at half settle at 1/(1 − ½): a geometric series', () => {
    const elements = [signal('a', 'g'), ...stage('one', 'a', 'b'), ...stage('back', 'b', 'c')];
    const loop = [
      { from: 'p/one-in', to: 'p/one-out', gain: 1 },
      { from: 'p/back-in', to: 'p/one-out', gain: 0.5 },
    ];
    // Cut off after 24 passes: what is left out is under 1e-7.
    expect(gainAt(elements, loop, 'b')?.re).toBeCloseTo(2, 5);
  });
});

describe('third octaves (IEC 61260-1:2014)', () => {
  it('run from 20 Hz to 20 kHz through 1 kHz, and fill the band without gap or overlap', () => {
    expect(THIRD_OCTAVES).toHaveLength(31);
    expect(THIRD_OCTAVES[17]?.centre).toBeCloseTo(1000, 9);
    expect(THIRD_OCTAVES[0]?.centre).toBeCloseTo(19.95, 2);
    const width = THIRD_OCTAVES.reduce((sum, band) => sum + band.width, 0);
    expect(width).toBeCloseTo(20_000 - 20, 6);
  });
});

describe('the smaller block (seed 5)', () => {
  const ladderNetwork = fc.array(
    fc.record({
      kind: fc.constantFrom('resistor', 'capacitor', 'supply', 'dangling'),
      ohms: fc.double({ min: 10, max: 1e5, noNaN: true }),
    }),
    { minLength: 2, maxLength: 8 },
  );
  const same = (a: Phasor, b: Phasor) => {
    expect(a.re).toBeCloseTo(b.re, 4);
    expect(a.im).toBeCloseTo(b.im, 4);
  };

  it('answers a current at the kept net as the whole one does', () => {
    fc.assert(
      fc.property(ladderNetwork, (steps) => {
        const elements = steps.flatMap((step, i): NetElement[] => {
          const [here, next] = [`n${i}`, `n${i + 1}`];
          const shunt = resistor(next, 'g', step.ohms);
          if (step.kind === 'capacitor') return [capacitor(here, next), shunt];
          if (step.kind === 'supply') return [{ ...at(here, next), kind: 'supply', volts: 3 }, shunt];
          if (step.kind === 'dangling') return [resistor(here, next), shunt, resistor(next, `loose${i}`)];
          return [resistor(here, next, step.ohms), shunt];
        });
        const nets = netsOf([resistor('n0', 'g', 100), ...elements]);
        const split = blocks(nets, nets.branches);
        const kept = [nets.of('p/n0') ?? -1, nets.of(`p/n${steps.length}`) ?? -1];
        for (const block of split.blocks) {
          const inside = kept.filter((net) => block.nets.includes(net));
          if (inside.length === 0) continue;
          const small = reduce(block, new Set(inside));
          const current: Phasor = { re: 1, im: 0 };
          for (const net of inside) {
            const stands = small.stands(net);
            const [whole] = buildSystem(block, 6283).solve([{ nets: [[net, current]] }]);
            const [part] = buildSystem(small.block, 6283).solve([
              { nets: stands === undefined ? [] : [[stands, current]] },
            ]);
            if (!whole || !part) throw new Error('no answer');
            for (const other of inside) same(part.net(small.stands(other) ?? -1), whole.net(other));
          }
        }
      }),
      { seed: 5, numRuns: 200 },
    );
  });
});
