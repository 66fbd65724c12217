import { allBlocks, type Block, type NetInBlock } from './blocks';
import type { SenseBranch } from './excite';
import type { Branch, Nets } from './nets';
import { reduce, type Reduced } from './reduce';
import { buildSystem, isReactive, minus, type Excitation, type Phasor, type Response } from './system';
import { HIGHEST, LOWEST, THIRD_OCTAVES } from './third-octaves';

/** Boltzmann's constant, exact since 2019 (SI Brochure, 9th edition). */
const BOLTZMANN = 1.380649e-23;
/** Room temperature of handbook noise tables, 290 K. */
export const NOISE_TEMPERATURE = 290;
export const FOUR_K_T = 4 * BOLTZMANN * NOISE_TEMPERATURE;
const BANDWIDTH = HIGHEST - LOWEST;

/** Mean square density of a noise given as dBV over 20 Hz–20 kHz. */
export const density = (level: number): number => 10 ** (level / 10) / BANDWIDTH;

/** Two nets between which noise is asked for. */
export type Port = readonly [from: number | undefined, to: number | undefined];

/** A block's answer to a unit current between two nets. */
export interface UnitAnswer {
  readonly block: Block;
  readonly response: Response;
  /** Mean square density at those nets of what the block's branches bring. */
  readonly density: number;
  /** Drives of the block and how they show there. */
  readonly drives: readonly { readonly id: string; readonly row: Phasor }[];
}

/** Unit answers between any two of the nets asked for, and between those of each sense, by third octave. */
export interface NoiseAnswers {
  readonly senses: ReadonlyMap<string, SenseBranch>;
  readonly between: (from: number, to: number, band: number, use: (answer: UnitAnswer) => void) => void;
  /** Coils may make the curve ring between two points. */
  readonly mayRing: boolean;
}

interface Plan {
  readonly path: (net: number) => readonly NetInBlock[];
  readonly reduced: ReadonlyMap<Block, Reduced>;
  readonly senses: ReadonlyMap<string, SenseBranch>;
}

function plan(nets: Nets, ports: readonly Port[]): Plan {
  const senses = new Map<string, SenseBranch>();
  for (const branch of nets.branches) if (branch.kind === 'sense') senses.set(branch.id, branch);
  const keep = new Set([
    ...ports.flat().filter((net) => net !== undefined),
    ...[...senses.values()].flatMap((sense) => [sense.from, sense.to]),
  ]);
  const split = allBlocks(nets);
  const kept = new Map<Block, Set<number>>();
  for (const net of keep) {
    for (const step of split.path(net)) {
      const inside = kept.get(step.block);
      if (inside) inside.add(step.net);
      else kept.set(step.block, new Set([step.net]));
    }
  }
  const reduced = new Map([...kept].map(([block, inside]) => [block, reduce(block, inside)]));
  return { path: split.path, reduced, senses };
}

/** A unit current into one net and out of another, block by block. */
function injections(laid: Plan, from: number, to: number): Map<Block, Excitation> {
  const found = new Map<Block, Map<number, number>>();
  for (const [end, current] of [
    [from, 1],
    [to, -1],
  ] as const) {
    for (const { block, net } of laid.path(end)) {
      const reduced = laid.reduced.get(block);
      const stands = reduced?.stands(net);
      if (!reduced || stands === undefined) continue;
      const here = found.get(reduced.block) ?? new Map<number, number>();
      here.set(stands, (here.get(stands) ?? 0) + current);
      found.set(reduced.block, here);
    }
  }
  return new Map(
    [...found].flatMap(([block, currents]) => {
      // Both ends hang on the same net of this block: what flows in flows out.
      const nets = [...currents]
        .filter(([, re]) => re !== 0)
        .map(([net, re]) => [net, { re, im: 0 }] as const);
      return nets.length === 0 ? [] : [[block, { nets }] as const];
    }),
  );
}

const square = (value: Phasor): number => value.re * value.re + value.im * value.im;

/** Heat of a branch: its mean square density, and what of it shows in an answer. */
export interface Heat {
  readonly density: number;
  readonly shows: (response: Response) => Phasor;
}

/** Thermal noise 4kTR of a branch; undefined of one that is silent. */
export function heatOf(branch: Branch): Heat | undefined {
  switch (branch.kind) {
    case 'resistor':
    case 'sense':
      return {
        density: FOUR_K_T / branch.ohms,
        shows: (response) => minus(response.net(branch.from), response.net(branch.to)),
      };
    case 'drive':
      return { density: FOUR_K_T * branch.ohms, shows: (response) => response.row(branch) };
    default:
      return undefined;
  }
}

/** Mean square density of what a block's branches bring to an answer. */
function densityIn(block: Block, response: Response): number {
  return block.branches.reduce((sum, branch) => {
    const heat = heatOf(branch);
    return heat ? sum + heat.density * square(heat.shows(response)) : sum;
  }, 0);
}

function unitAnswer(block: Block, excitation: Excitation, omega: number): UnitAnswer | undefined {
  const [response] = buildSystem(block, omega).solve([excitation]);
  if (!response) return undefined;
  const drives = block.branches.flatMap((branch) => {
    const row = branch.kind === 'drive' ? response.row(branch) : undefined;
    return row && square(row) > 0 ? [{ id: branch.kind === 'drive' ? branch.id : '', row }] : [];
  });
  return { block, response, density: densityIn(block, response), drives };
}

/** A block that lies between two nets, with its answers by frequency; one for all where nothing in it is reactive. */
interface PortBlock {
  readonly block: Block;
  readonly excitation: Excitation;
  readonly reactive: boolean;
  readonly answers: UnitAnswer[];
}

/** Everything about noise that gains do not change; each answer is computed when first asked for. Only for the `ports` named beforehand. */
export function noiseAnswers(nets: Nets, asked: readonly Port[]): NoiseAnswers {
  const laid = plan(nets, asked);
  const ports = new Map<number, Map<number, PortBlock[]>>();
  const blocksAt = (from: number, to: number): PortBlock[] => {
    const row = ports.get(from) ?? new Map<number, PortBlock[]>();
    ports.set(from, row);
    const found =
      row.get(to) ??
      [...injections(laid, from, to)].map(([block, excitation]) => ({
        block,
        excitation,
        reactive: isReactive(block),
        answers: [],
      }));
    row.set(to, found);
    return found;
  };
  return {
    senses: laid.senses,
    mayRing: nets.branches.some((branch) => branch.kind === 'inductor'),
    between: (from, to, band, use) => {
      for (const { block, excitation, reactive, answers } of blocksAt(from, to)) {
        const slot = reactive ? band : 0;
        const omega = 2 * Math.PI * (THIRD_OCTAVES[band]?.centre ?? 0);
        const answer = answers[slot] ?? unitAnswer(block, excitation, omega);
        if (!answer) continue;
        answers[slot] = answer;
        use(answer);
      }
    },
  };
}
