import { hertz, type Hertz } from '../units';
import { blocks, type Block } from './blocks';
import type { NetPath } from './netlist';
import type { Branch, Nets } from './nets';
import {
  ZERO,
  buildSystem,
  magnitude,
  minus,
  plus,
  product,
  times,
  type Excitation,
  type Phasor,
  type Response,
} from './system';

export const REFERENCE_FREQUENCY: Hertz = hertz(1000);

export type SoundSource = Extract<Branch, { kind: 'signal' | 'electret' }>;
type Exciter = SoundSource | Extract<Branch, { kind: 'drive' }>;
type SenseBranch = Extract<Branch, { kind: 'sense' }>;

/** Answers of the circuit to its sound sources, one at a time, at one frequency. */
export interface AlternatingSolution {
  /**
   * Voltage from `minus` to `plus` per volt of a signal source's own voltage (for an electret: per volt of its rated
   * output), through every stage between. Undefined where nothing joins the two nets with one another, or where
   * nothing of that source comes.
   */
  readonly gain: (source: string, plus: number | undefined, minus: number | undefined) => Phasor | undefined;
  /** What each exciter (the source itself, and every stage it drives) brings to that voltage; they add up to `gain`. */
  readonly contributions: (
    source: string,
    plus: number | undefined,
    minus: number | undefined,
  ) => readonly { readonly exciter: string; readonly volts: Phasor }[];
  /** Level at a drive, ahead of its output impedance, in dB re the source's volt; −Infinity where nothing comes. */
  readonly driven: (source: string, drive: string) => number;
}

/** The rated load in parallel with the capsule's own resistance: what the sensitivity was measured across. */
export const electretCurrent = (source: Extract<Branch, { kind: 'electret' }>): number =>
  1 / source.capsule.ratedLoad + 1 / source.capsule.acResistance;

/** One volt of an exciter; positive pressure makes `from` positive. */
export function excite(exciter: Exciter): Excitation {
  const unit: Phasor = { re: 1, im: 0 };
  if (exciter.kind !== 'electret') return { rows: [[exciter, unit]] };
  const current = times(unit, electretCurrent(exciter));
  return {
    nets: [
      [exciter.from, current],
      [exciter.to, times(current, -1)],
    ],
  };
}

const isExciter = (branch: Branch): branch is Exciter =>
  branch.kind === 'signal' || branch.kind === 'electret' || branch.kind === 'drive';

/** How each exciter answers in its own block. */
function ownResponses(
  block: Block,
  omega: number,
  alive: (s: SoundSource) => boolean,
): Map<string, Response> {
  const exciters = block.branches
    .filter(isExciter)
    .filter((exciter) => exciter.kind === 'drive' || alive(exciter));
  if (exciters.length === 0) return new Map();
  const answers = buildSystem(block, omega).solve(exciters.map(excite));
  return new Map(
    exciters.flatMap((exciter, index) => (answers[index] ? [[exciter.id, answers[index]]] : [])),
  );
}

interface Stages {
  readonly responses: ReadonlyMap<string, Response>;
  readonly senses: ReadonlyMap<string, SenseBranch>;
  readonly paths: readonly NetPath[];
}

function across(stages: Stages, exciter: string, from: number, to: number): Phasor {
  const response = stages.responses.get(exciter);
  return response ? minus(response.net(from), response.net(to)) : ZERO;
}

/** More passes than this and the stages feed back on themselves: a loop, of which the rest is left out. */
export const MOST_STAGES = 24;
const SETTLED = 1e-12;

/** The voltage of every exciter when `source` gives one volt: itself, and every drive that paths bring it to. */
function excitation(stages: Stages, source: string): Map<string, Phasor> {
  const total = new Map<string, Phasor>([[source, { re: 1, im: 0 }]]);
  let wave = new Map(total);
  for (let pass = 0; pass < MOST_STAGES && wave.size > 0; pass += 1) {
    const next = new Map<string, Phasor>();
    for (const path of stages.paths) {
      const sense = stages.senses.get(path.from);
      if (!sense) continue;
      let sum = ZERO;
      for (const [exciter, volts] of wave) {
        const gain = across(stages, exciter, sense.from, sense.to);
        sum = plus(sum, product(gain, volts));
      }
      const brought = times(sum, path.gain);
      if (Math.hypot(brought.re, brought.im) < SETTLED) continue;
      next.set(path.to, plus(next.get(path.to) ?? ZERO, brought));
    }
    for (const [drive, volts] of next) total.set(drive, plus(total.get(drive) ?? ZERO, volts));
    wave = next;
  }
  return total;
}

/** Solves every block at `frequency`; `alive` says which sound sources work (a capsule without bias does not). */
export function solveAlternating(
  nets: Nets,
  paths: readonly NetPath[],
  frequency: Hertz,
  alive: (source: SoundSource) => boolean,
): AlternatingSolution {
  const split = blocks(nets, nets.branches);
  const responses = new Map(
    split.blocks.flatMap((block) => [...ownResponses(block, 2 * Math.PI * frequency, alive)]),
  );
  // A transformer carries a source to a floor where it does not itself stand.
  const floorsOf = new Map(
    split.blocks.flatMap((block) => {
      const floors = new Set(block.nets.map((net) => split.floor.get(net)));
      return block.branches.filter(isExciter).map((exciter) => [exciter.id, floors] as const);
    }),
  );
  const senses = new Map(
    nets.branches.flatMap((branch) => (branch.kind === 'sense' ? [[branch.id, branch] as const] : [])),
  );
  const stages: Stages = { responses, senses, paths };
  const excited = new Map<string, Map<string, Phasor>>();
  const reached = (source: string) => {
    const known = excited.get(source) ?? excitation(stages, source);
    excited.set(source, known);
    return known;
  };
  const contributions: AlternatingSolution['contributions'] = (source, from, to) => {
    if (from === undefined || to === undefined || split.floor.get(from) !== split.floor.get(to)) return [];
    return [...reached(source)]
      .filter(([exciter]) => responses.has(exciter) && floorsOf.get(exciter)?.has(split.floor.get(from)))
      .map(([exciter, volts]) => ({ exciter, volts: product(across(stages, exciter, from, to), volts) }));
  };
  return {
    contributions,
    driven: (source, drive) => 20 * Math.log10(magnitude(reached(source).get(drive) ?? ZERO)),
    gain: (source, from, to) => {
      const here = contributions(source, from, to);
      return here.length === 0 ? undefined : here.reduce((sum, { volts }) => plus(sum, volts), ZERO);
    },
  };
}
