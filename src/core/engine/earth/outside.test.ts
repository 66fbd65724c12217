import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { byNgspice, type Asked } from '../../../../testing/ngspice';
import { readRig } from '../../files/read-rig';
import type { Rig } from '../../rig';
import { hertz } from '../../units';
import { allFacts } from '../facts';
import { magnitude, Network, nodeKey, solveAlternating, type NetElement, type Netlist } from '../circuit';
import { earthNetwork } from './network';
import { onMains } from './mains';

/** Under this, dB re one volt of the source, nothing is compared: rounding on either side. */
const FAINTEST = -200;
const FREQUENCIES = [50, 250, 1000];

function byEngine({ elements, paths, touches }: Netlist, questions: readonly Asked[]): number[] {
  const network = new Network(elements, touches);
  return questions.map(({ source, plus, minus, hertz: f }) => {
    const solution = solveAlternating(network, paths, hertz(f), () => true);
    return magnitude(
      solution.gain(source, network.nets.of(plus), network.nets.of(minus)) ?? { re: 0, im: 0 },
    );
  });
}

/** Gives back how many were loud enough to be compared. */
function compare(netlist: Netlist, questions: readonly Asked[]): number {
  const [mine, theirs] = [byEngine(netlist, questions), byNgspice(netlist, questions)];
  let compared = 0;
  for (const [index, own] of mine.entries()) {
    const [a, b] = [20 * Math.log10(own), 20 * Math.log10(theirs[index] ?? NaN)];
    if (Math.max(a, b) < FAINTEST) continue;
    compared += 1;
    expect(Math.abs(a - b)).toBeLessThan(0.01);
  }
  return compared;
}

const rigOf = (file: string): Rig => {
  const result = readRig(readFileSync(`demo/rigs/${file}`, 'utf8'));
  if (!result.ok) throw new Error(file);
  return result.rig;
};

describe('hum through the whole circuit is what ngspice (Debian) finds, to 0.01 dB', () => {
  it.each(readdirSync('demo/rigs'))('%s', { timeout: 120_000 }, (file) => {
    const [facts] = allFacts(rigOf(file));
    const { elements, touches, sources } = earthNetwork(facts, onMains(facts.laid));
    const questions = sources.flatMap(({ id }) =>
      facts.inputs
        .filter(({ plugged }) => plugged)
        .flatMap(({ placed, capture }) =>
          capture.channels.flatMap(({ plus, minus }) =>
            FREQUENCIES.map((f) => ({
              source: id,
              plus: nodeKey(placed, plus),
              minus: nodeKey(placed, minus),
              hertz: f,
            })),
          ),
        ),
    );
    const compared = compare({ elements, touches, paths: facts.netlist.paths }, questions);
    if (file === 'launch-day-stream.json') expect(compared).toBeGreaterThan(5);
  });
});

const ohms = (least: number, most: number) =>
  fc.double({ min: Math.log(least), max: Math.log(most), noNaN: true }).map(Math.exp);

interface Box {
  readonly earthed: boolean;
  readonly mains: boolean;
  readonly source: number;
  readonly load: number;
}

/** Boxes on the mains or off it, with shields and signal conductors between them in a row, and some shields across. */
const earthNetworks = fc.record({
  boxes: fc.array(
    fc.record<Box>({
      earthed: fc.boolean(),
      mains: fc.boolean(),
      source: ohms(10, 1000),
      load: ohms(1000, 100_000),
    }),
    { minLength: 2, maxLength: 6 },
  ),
  shields: fc.array(ohms(0.01, 2), { minLength: 5, maxLength: 5 }),
  across: fc.array(fc.tuple(fc.nat(5), fc.nat(5), ohms(0.01, 1)), { maxLength: 3 }),
});

const resistor = (a: string, b: string, value: number): NetElement => ({
  kind: 'resistor',
  placed: 'x',
  a,
  b,
  ohms: value,
  conductor: true,
});
const source = (id: string, a: string, b: string): NetElement => ({
  kind: 'signal',
  placed: 'x',
  id,
  a,
  b,
  hears: 'played',
  sensitivity: 0,
  noise: -Infinity,
});

describe('random earth networks', () => {
  it('100 of them, each source at 50 Hz, 250 Hz and 1 kHz (seed 13)', { timeout: 180_000 }, () => {
    let compared = 0;
    fc.assert(
      fc.property(earthNetworks, ({ boxes, shields, across }) => {
        const ground = (n: number) => `g${n % boxes.length}`;
        const elements = [
          ...boxes.flatMap(({ earthed, mains, source: out, load }, n): NetElement[] => [
            ...(mains && earthed
              ? [source(`emf${n}`, `e${n}`, 'house'), resistor(`e${n}`, ground(n), 0.3)]
              : []),
            ...(mains && !earthed
              ? [
                  source(`emf${n}`, `e${n}`, 'house'),
                  {
                    kind: 'capacitor' as const,
                    placed: 'x',
                    a: `e${n}`,
                    b: ground(n),
                    farads: 1e-9,
                  },
                ]
              : []),
            ...(n + 1 < boxes.length
              ? [
                  resistor(ground(n), ground(n + 1), shields[n] ?? 1),
                  resistor(ground(n), `s${n}`, out),
                  resistor(`s${n}`, `r${n}`, shields[n] ?? 1),
                  resistor(`r${n}`, ground(n + 1), load),
                ]
              : []),
          ]),
          ...across
            .filter(([a, b]) => ground(a) !== ground(b))
            .map(([a, b, value]) => resistor(ground(a), ground(b), value)),
        ];
        const questions = boxes.flatMap(({ mains }, n) =>
          mains
            ? FREQUENCIES.flatMap((f) =>
                boxes.slice(0, -1).map((_, m) => ({
                  source: `emf${n}`,
                  plus: `r${m}`,
                  minus: ground(m + 1),
                  hertz: f,
                })),
              )
            : [],
        );
        if (questions.length > 0) compared += compare({ elements, paths: [], touches: [] }, questions);
      }),
      { seed: 13, numRuns: 100 },
    );
    expect(compared).toBeGreaterThan(500);
  });
});
