import { hertz, type Hertz } from '../../units';
import { allBlocks, type Block, type Split } from './blocks';
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
function ownResponses(block: Block, omega: number, alive: (s: SoundSource) => boolean): Map<string, Answer> {
  const exciters = block.branches
    .filter(isExciter)
    .filter((exciter) => exciter.kind === 'drive' || alive(exciter));
  if (exciters.length === 0) return new Map();
  const answers = buildSystem(block, omega).solve(exciters.map(excite));
  return new Map(
    exciters.flatMap((exciter, index) => {
      const response = answers[index];
      return response ? [[exciter.id, { block, response }] as const] : [];
    }),
  );
}

/** How a block answers to one of its exciters. */
interface Answer {
  readonly block: Block;
  readonly response: Response;
}

interface Stages {
  readonly responses: ReadonlyMap<string, Answer>;
  readonly climb: Split['climb'];
  readonly senses: ReadonlyMap<string, SenseBranch>;
  readonly pathsFrom: ReadonlyMap<string, readonly NetPath[]>;
}

/** The voltage that an exciter's block brings to a net: it reaches what hangs on the block, by the net where it hangs. */
function reached(stages: Stages, { block, response }: Answer, net: number): Phasor {
  let sum = ZERO;
  for (const step of stages.climb(net)) if (step.block === block) sum = plus(sum, response.net(step.net));
  return sum;
}

function across(stages: Stages, exciter: string, from: number, to: number): Phasor {
  const answer = stages.responses.get(exciter);
  return answer ? minus(reached(stages, answer, from), reached(stages, answer, to)) : ZERO;
}

/** More passes than this and the stages feed back on themselves: a loop, of which the rest is left out. */
export const MOST_STAGES = 24;
const SETTLED = 1e-9;

/** The voltage of every exciter when `source` gives one volt: itself, and every drive that paths bring it to. */
function excitation(stages: Stages, source: string): Map<string, Phasor> {
  const total = new Map<string, Phasor>([[source, { re: 1, im: 0 }]]);
  let wave = new Map(total);
  for (let pass = 0; pass < MOST_STAGES && wave.size > 0; pass += 1) {
    const next = new Map<string, Phasor>();
    for (const [id, paths] of stages.pathsFrom) {
      const sense = stages.senses.get(id);
      if (!sense) continue;
      let sum = ZERO;
      for (const [exciter, volts] of wave) {
        const gain = across(stages, exciter, sense.from, sense.to);
        sum = plus(sum, product(gain, volts));
      }
      if (magnitude(sum) < SETTLED) continue;
      for (const path of paths) {
        const brought = times(sum, path.gain);
        if (magnitude(brought) < SETTLED) continue;
        next.set(path.to, plus(next.get(path.to) ?? ZERO, brought));
      }
    }
    for (const [drive, volts] of next) total.set(drive, plus(total.get(drive) ?? ZERO, volts));
    wave = next;
  }
  return total;
}

interface Field {
  readonly at: (net: number) => Phasor;
  /** Conducting parts of the circuit to which anything of it comes. */
  readonly floors: ReadonlySet<string | undefined>;
}

type Floors = ReadonlySet<string | undefined>;

/** The voltages that a source and all it drives bring to the nets, each found when first asked for. */
function fieldsOf(
  stages: Stages,
  excitedBy: (source: string) => ReadonlyMap<string, Phasor>,
  floorsOf: ReadonlyMap<string, Floors>,
): (source: string) => Field {
  const fields = new Map<string, Field>();
  const found = (source: string): Field => {
    const active = [...excitedBy(source)].flatMap(([exciter, volts]) => {
      const answer = stages.responses.get(exciter);
      return answer ? [{ exciter, answer, volts }] : [];
    });
    const seen = new Map<number, Phasor>();
    const sumAt = (net: number): Phasor =>
      active.reduce(
        (sum, { answer, volts }) => plus(sum, product(reached(stages, answer, net), volts)),
        ZERO,
      );
    const at = (net: number): Phasor => {
      const volts = seen.get(net) ?? sumAt(net);
      seen.set(net, volts);
      return volts;
    };
    return { at, floors: new Set(active.flatMap(({ exciter }) => [...(floorsOf.get(exciter) ?? [])])) };
  };
  return (source) => {
    const field = fields.get(source) ?? found(source);
    fields.set(source, field);
    return field;
  };
}

/** Solves every block at `frequency`; `alive` says which sound sources work (a capsule without bias does not). */
export function solveAlternating(
  nets: Nets,
  paths: readonly NetPath[],
  frequency: Hertz,
  alive: (source: SoundSource) => boolean,
): AlternatingSolution {
  const split = allBlocks(nets);
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
  const pathsFrom = new Map<string, NetPath[]>();
  for (const path of paths) {
    const known = pathsFrom.get(path.from);
    if (known) known.push(path);
    else pathsFrom.set(path.from, [path]);
  }
  const stages: Stages = { responses, climb: split.climb, senses, pathsFrom };
  const excited = new Map<string, Map<string, Phasor>>();
  const excitedBy = (source: string) => {
    const known = excited.get(source) ?? excitation(stages, source);
    excited.set(source, known);
    return known;
  };
  const contributions: AlternatingSolution['contributions'] = (source, from, to) => {
    if (from === undefined || to === undefined || split.floor.get(from) !== split.floor.get(to)) return [];
    const floor = split.floor.get(from);
    const found: { exciter: string; volts: Phasor }[] = [];
    for (const [exciter, volts] of excitedBy(source)) {
      if (!responses.has(exciter) || !floorsOf.get(exciter)?.has(floor)) continue;
      found.push({ exciter, volts: product(across(stages, exciter, from, to), volts) });
    }
    return found;
  };
  const fieldOf = fieldsOf(stages, excitedBy, floorsOf);
  return {
    contributions,
    driven: (source, drive) => 20 * Math.log10(magnitude(excitedBy(source).get(drive) ?? ZERO)),
    gain: (source, from, to) => {
      if (from === undefined || to === undefined || split.floor.get(from) !== split.floor.get(to)) {
        return undefined;
      }
      const field = fieldOf(source);
      return field.floors.has(split.floor.get(from)) ? minus(field.at(from), field.at(to)) : undefined;
    },
  };
}
