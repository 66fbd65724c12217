import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../../parts';
import { contactsOf } from '../../plugs';
import { applyEdit, type Rig } from '../../rig';
import { readRig } from '../../files/read-rig';
import { layChain } from '../../../../testing/chains';
import { layRig } from '../../../../testing/lay-rig';
import { hertz, type Hertz } from '../../units';
import {
  contactKey,
  dieAway,
  isAlive,
  magnitude,
  mergeNets,
  netPaths,
  noiseSolver,
  solveAlternating,
  solveDirect,
  spiceDeck,
  touchLinks,
  type NetElement,
  type Netlist,
  type NodeKey,
} from '.';
import { netElements } from '../../../../testing/net-elements';
import { Network } from './network';
import { mateJoints, readings } from '../mate';

/**
 * The same circuit solved by an outside program: ngspice (Debian). Tolerances of the project: 0.01 dB for alternating
 * current, 0.1 mV for direct, 0.1 dB for noise.
 */
const FREQUENCIES = [31.6, 1000, 10_000].map(hertz);
const folder = mkdtempSync(join(tmpdir(), 'symplex-spice-'));

interface Question {
  readonly netlist: Netlist;
  readonly source: string;
  readonly plus: NodeKey;
  readonly minus: NodeKey;
}

interface Answer {
  /** Magnitude by frequency; the direct voltage; noise in V RMS, 20 Hz–20 kHz. */
  readonly gains: readonly number[];
  readonly direct: number;
  readonly noise: number;
}

const difference = (p: string, m: string) =>
  m === '0' ? `v(${p})` : p === '0' ? `-v(${m})` : `(v(${p})-v(${m}))`;

function ngspice({ netlist, source, plus, minus }: Question, alive: (id: string) => boolean): Answer {
  const deck = spiceDeck(netlist, alive);
  const [p, m] = [deck.name(plus) ?? '0', deck.name(minus) ?? '0'];
  const out = difference(p, m);
  const drive = deck.sources.get(source) ?? '';
  const ac = (f: Hertz) => [`ac lin 1 ${f} ${f}`, `print mag(${out})`];
  const path = join(folder, 'deck.cir');
  writeFileSync(
    path,
    [
      '* symplex',
      ...deck.lines.map((line) => (line.startsWith(`${drive} `) ? line.replace('AC 0', 'AC 1') : line)),
      // Outputs are read through a copy of their voltage, so that noise has one node to look at.
      `Eout out 0 ${p} ${m} 1`,
      'Rout out 0 1e9 noisy=0',
      '.options temp=16.85 reltol=1e-7 abstol=1e-15 gmin=1e-15',
      '.control',
      'set numdgt=12',
      'op',
      `print ${out}`,
      ...FREQUENCIES.flatMap(ac),
      `noise v(out) ${drive} dec 40 20 20k`,
      'setplot noise2',
      'print onoise_total',
      'quit',
      '.endc',
      '.end',
      '',
    ].join('\n'),
  );
  const text = execFileSync('ngspice', ['-b', path], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] });
  // Where the integral over a noise spectrum fails it prints "-nan": no answer.
  const values = [...text.matchAll(/^\S.* = (-?[\d.]+e[+-]\d+|-?nan)\s*$/gm)].map((match) =>
    match[1]?.endsWith('nan') ? NaN : Number(match[1]),
  );
  if (values.length !== FREQUENCIES.length + 2) throw new Error(`ngspice said:\n${text}`);
  return { direct: values[0]!, gains: values.slice(1, -1), noise: values.at(-1)! };
}

function engine({ netlist, source, plus, minus }: Question, alive: (id: string) => boolean): Partial<Answer> {
  const network = new Network(netlist.elements, netlist.touches);
  const { nets } = network;
  const [p, m] = [nets.of(plus), nets.of(minus)];
  const gains = FREQUENCIES.map((frequency) => {
    const solution = solveAlternating(network, netlist.paths, frequency, (s) => alive(s.id));
    return magnitude(solution.gain(source, p, m) ?? { re: 0, im: 0 });
  });
  const direct = solveDirect(nets).between(p, m);
  const { loops } = solveAlternating(network, netlist.paths, hertz(1000), (s) => alive(s.id));
  const noise = noiseSolver(network, netlist.paths, [[p, m]], !dieAway(loops));
  return {
    gains,
    noise: 10 ** (noise(p, m) / 20),
    ...(direct !== undefined && { direct }),
  };
}

const dB = (ratio: number) => 20 * Math.log10(ratio);

/** Gives back whether there was noise to compare. */
function compare(question: Question, alive: (id: string) => boolean = () => true): boolean {
  const [mine, theirs] = [engine(question, alive), ngspice(question, alive)];
  for (const [index, gain] of theirs.gains.entries()) {
    const own = mine.gains![index]!;
    // Under −120 dB both solvers see the rounding of their own matrices.
    if (gain > 1e-6 || own > 1e-6)
      expect(Math.abs(dB(own / gain)), `AC ${FREQUENCIES[index]} Hz`).toBeLessThan(0.01);
  }
  if (mine.direct !== undefined) expect(Math.abs(mine.direct - theirs.direct), 'DC').toBeLessThan(1e-4);
  // Between the terminals of an ideal source there is none, and both say so.
  const silent = mine.noise! < 1e-12 && !(theirs.noise > 1e-12);
  if (silent || Number.isNaN(theirs.noise)) return false;
  expect(Math.abs(dB(mine.noise! / theirs.noise)), 'noise').toBeLessThan(0.1);
  return true;
}

/** One question for every voice of a rig at every converter channel that it reaches. */
function questionsOf(rig: Rig): { question: Question; alive: (id: string) => boolean }[] {
  const matings = mateJoints(rig);
  const [reading] = readings(matings);
  const netlist: Netlist = {
    elements: netElements(rig),
    paths: netPaths(rig),
    touches: reading ? touchLinks(matings, reading) : [],
  };
  const nets = mergeNets(netlist);
  const direct = solveDirect(nets);
  const dead = new Set(
    nets.branches.flatMap((branch) =>
      (branch.kind === 'electret' || branch.kind === 'signal') && !isAlive(branch, nets, direct)
        ? [branch.id]
        : [],
    ),
  );
  const alive = (id: string) => !dead.has(id);
  const network = new Network(netlist.elements, netlist.touches);
  const solution = solveAlternating(network, netlist.paths, hertz(1000), (s) => alive(s.id));
  const sources = netlist.elements.flatMap((e) =>
    e.kind === 'signal' || e.kind === 'electret' ? [e.id] : [],
  );
  const channels = rig.parts.flatMap((placed) =>
    (CATALOGUE.find((part) => part.id === placed.part)?.captures ?? []).flatMap((capture) =>
      capture.channels.map((c) => [`${placed.id}/${c.plus}`, `${placed.id}/${c.minus}`] as const),
    ),
  );
  // At every joint too, each contact of the jack against the last one.
  const contacts = matings.flatMap(({ joint, jackPort }) => {
    const keys = contactsOf(jackPort.connector).map((c) => contactKey(joint.jack.part, joint.jack.port, c));
    return keys.slice(0, -1).map((plus) => [plus, keys.at(-1) ?? ''] as const);
  });
  return [...channels, ...contacts].flatMap(([plus, minus]) =>
    sources
      .filter((source) => {
        // Where nothing comes ngspice has no noise to tell: it divides by the gain.
        const gain = solution.gain(source, nets.of(plus), nets.of(minus));
        return gain !== undefined && magnitude(gain) > 1e-12;
      })
      .map((source) => ({ question: { netlist, source, plus, minus }, alive })),
  );
}

describe('ngspice agrees', () => {
  it.each(readdirSync('demo/rigs'))('on the demo rig %s', (file) => {
    const result = readRig(readFileSync(join('demo/rigs', file), 'utf8'));
    if (!result.ok) throw new Error(`${file} is no rig`);
    const questions = questionsOf(result.rig);
    expect(questions.length).toBeGreaterThan(0);
    for (const { question, alive } of questions) compare(question, alive);
  });

  it('on 200 chains of catalogue parts (seed 7)', { timeout: 120_000 }, () => {
    const sounding = CATALOGUE.filter((part) =>
      part.circuit.some((e) => e.kind === 'signal' || e.kind === 'electret'),
    );
    const chains = fc.sample(
      fc.tuple(
        fc.constantFrom(...sounding),
        fc.array(fc.nat(10_000), { minLength: 2, maxLength: 5 }),
        fc.boolean(),
      ),
      { seed: 7, numRuns: 3000 },
    );
    let compared = 0;
    let noisy = 0;
    for (const [first, picks, high] of chains) {
      const laid = layChain(first, picks);
      const rig = high
        ? applyEdit(laid, { kind: 'set', part: 'p0', setting: 'output', option: 'high' })
        : laid;
      const [one] = questionsOf(rig).filter(({ question, alive }) => alive(question.source));
      if (!one) continue;
      if (compare(one.question, one.alive)) noisy += 1;
      compared += 1;
      if (compared === 200) break;
    }
    expect(compared).toBe(200);
    expect(noisy).toBeGreaterThan(100);
  });

  it.each([-20, -3, 4, 5.5])('on a mixer whose send comes back into it, the send at %s dB', (send) => {
    // Half of a pair (−6.02 dB) and the load (−0.13 dB) are lost on the way round: from a wave that dies at once to one that hardly does.
    const rig = layRig({
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-aux-fx',
        back: 'lead-jack-trs',
        out: 'lead-line-mono-both',
        recorder: 'recorder-small',
      },
      joints: [
        'mic.out mixer.mic-1',
        'mixer.aux back.a',
        'back.b mixer.pair-1-left',
        'mixer.main-left out.big',
        'out.small recorder.mic',
      ],
      settings: { recorder: { kind: 'line' }, mixer: { 'aux-pair-1': send, 'aux-mic-1': 0 } },
    });
    const questions = questionsOf(rig);
    expect(questions.length).toBeGreaterThan(2);
    for (const { question, alive } of questions) compare(question, alive);
  });

  it('on 100 random networks with stages, coils and transformers (seed 11)', { timeout: 120_000 }, () => {
    const networks = fc.sample(randomNetwork, { seed: 11, numRuns: 100 });
    for (const questions of networks) for (const question of questions) compare(question);
  });
});

const node = (n: number) => `p/n${n}`;
const span = (low: number, high: number) =>
  fc.double({ min: Math.log(low), max: Math.log(high), noNaN: true }).map((x) => Math.exp(x));

/** Asked behind the stage and before it: a source, a ladder of random series and shunt elements, a stage, another ladder behind it. */
const randomNetwork: fc.Arbitrary<Question[]> = fc
  .tuple(
    fc.array(
      fc.record({
        kind: fc.constantFrom(
          'resistor' as const,
          'capacitor' as const,
          'inductor' as const,
          'transformer' as const,
        ),
        size: span(0.1, 10),
        load: span(100, 1e5),
      }),
      { minLength: 2, maxLength: 7 },
    ),
    fc.array(span(50, 1e5), { minLength: 1, maxLength: 3 }),
    fc.double({ min: -20, max: 60, noNaN: true }),
    fc.double({ min: -130, max: -100, noNaN: true }),
    fc.boolean(),
  )
  .map(([steps, tail, gain, noise, inverts]) => {
    const elements: NetElement[] = [
      {
        placed: 'p',
        a: 'p/e',
        b: 'p/g0',
        kind: 'signal',
        id: 'p/s',
        hears: 'voice',
        sensitivity: 0,
        noise: -Infinity,
      },
      { placed: 'p', a: 'p/e', b: node(0), kind: 'resistor', ohms: 150, conductor: false },
      { placed: 'p', a: 'p/b', b: 'p/g0', kind: 'supply', volts: 9 },
      { placed: 'p', a: 'p/b', b: node(0), kind: 'resistor', ohms: 6800, conductor: false },
    ];
    let ground = 'p/g0';
    for (const [index, { kind, size, load }] of steps.entries()) {
      const ends = { placed: 'p', a: node(index), b: node(index + 1) };
      if (kind === 'resistor') elements.push({ ...ends, kind, ohms: size * 1000, conductor: false });
      if (kind === 'capacitor') elements.push({ ...ends, kind, farads: size * 1e-6 });
      if (kind === 'inductor') elements.push({ ...ends, kind, henries: size * 0.01 });
      if (kind === 'transformer') {
        const far = `p/g${index + 1}`;
        // The winding's inductance stands beside the ideal transformer, as in every real one.
        elements.push({ placed: 'p', a: node(index), b: ground, kind: 'inductor', henries: 1 });
        elements.push({
          placed: 'p',
          a: node(index),
          b: ground,
          c: node(index + 1),
          d: far,
          kind,
          ratio: size,
        });
        ground = far;
      }
      elements.push({
        placed: 'p',
        a: node(index + 1),
        b: ground,
        kind: 'resistor',
        ohms: load,
        conductor: false,
      });
    }
    elements.push({
      placed: 'p',
      a: node(steps.length),
      b: ground,
      kind: 'sense',
      id: 'p/in',
      ohms: 10_000,
      noise,
    });
    elements.push({ placed: 'p', a: 'p/o0', b: 'p/h', kind: 'drive', id: 'p/out', ohms: 100, clip: 20 });
    for (const [index, ohms] of tail.entries()) {
      elements.push({
        placed: 'p',
        a: `p/o${index}`,
        b: `p/o${index + 1}`,
        kind: 'resistor',
        ohms,
        conductor: false,
      });
      elements.push({ placed: 'p', a: `p/o${index + 1}`, b: 'p/h', kind: 'capacitor', farads: 1e-10 });
      elements.push({
        placed: 'p',
        a: `p/o${index + 1}`,
        b: 'p/h',
        kind: 'resistor',
        ohms: 20_000,
        conductor: false,
      });
    }
    const paths = [{ from: 'p/in', to: 'p/out', gain: 10 ** (gain / 20) * (inverts ? -1 : 1) }];
    const netlist = { elements, paths, touches: [] };
    return [
      { netlist, source: 'p/s', plus: `p/o${tail.length}`, minus: 'p/h' },
      { netlist, source: 'p/s', plus: node(steps.length), minus: ground },
    ];
  });
