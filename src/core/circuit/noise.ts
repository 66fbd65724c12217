import { dbV, type DbV } from '../units';
import { blocks, endsOf, type Block } from './blocks';
import { MOST_STAGES } from './alternating';
import type { NetPath } from './netlist';
import type { Branch, Nets } from './nets';
import { reduce, type Reduced } from './reduce';
import {
  ZERO,
  buildSystem,
  isReactive,
  magnitude,
  minus,
  plus,
  product,
  times,
  type Excitation,
  type Phasor,
  type Response,
  type System,
} from './system';
import { sampleSmooth } from './sample-smooth';
import { HIGHEST, LOWEST, THIRD_OCTAVES } from './third-octaves';

/** Boltzmann's constant, exact since 2019 (SI Brochure, 9th edition). */
const BOLTZMANN = 1.380649e-23;
/** Room temperature of handbook noise tables, 290 K. */
export const NOISE_TEMPERATURE = 290;

export const FOUR_K_T = 4 * BOLTZMANN * NOISE_TEMPERATURE;
const BANDWIDTH = HIGHEST - LOWEST;

type SenseBranch = Extract<Branch, { kind: 'sense' }>;

/** Mean square density of a noise given as dBV over 20 Hz–20 kHz. */
const density = (level: number): number => 10 ** (level / 10) / BANDWIDTH;

/** Two nets between which noise is asked for. */
export type Port = readonly [from: number | undefined, to: number | undefined];

interface Plan {
  readonly blockOf: ReadonlyMap<number, Reduced>;
  readonly senses: ReadonlyMap<string, SenseBranch>;
  readonly pathsTo: ReadonlyMap<string, readonly NetPath[]>;
}

function plan(nets: Nets, paths: readonly NetPath[], ports: readonly Port[]): Plan {
  const senses = new Map<string, SenseBranch>();
  for (const branch of nets.branches) if (branch.kind === 'sense') senses.set(branch.id, branch);
  const keep = new Set([
    ...ports.flat().filter((net) => net !== undefined),
    ...[...senses.values()].flatMap((sense) => [sense.from, sense.to]),
  ]);
  const split = blocks(nets, nets.branches);
  const blockOf = new Map<number, Reduced>();
  for (const block of split.blocks) {
    const inside = new Set(block.nets.filter((net) => keep.has(net)));
    if (inside.size === 0) continue;
    const here = new Set(block.branches.flatMap((branch) => endsOf(branch).flat()));
    const reduced = reduce(block, inside, new Set([...split.references].filter((net) => here.has(net))));
    for (const net of block.nets) blockOf.set(net, reduced);
  }
  const pathsTo = new Map<string, NetPath[]>();
  for (const path of paths) pathsTo.set(path.to, [...(pathsTo.get(path.to) ?? []), path]);
  return { blockOf, senses, pathsTo };
}

/** A block's answer to a unit current, and how strongly it counts. */
interface Answer {
  readonly response: Response;
  readonly weight: Phasor;
}

/** How strongly a voltage at each sense counts at the output, and how each block answers to the output. */
interface Adjoint {
  readonly answers: ReadonlyMap<Block, readonly Answer[]>;
  readonly weights: ReadonlyMap<string, Phasor>;
}

/** A unit current into one net and out of another, block by block. */
function injections(laid: Plan, from: number, to: number): Map<Block, Excitation> {
  const found = new Map<Block, [number, Phasor][]>();
  for (const [net, current] of [
    [from, { re: 1, im: 0 }],
    [to, { re: -1, im: 0 }],
  ] as const) {
    const reduced = laid.blockOf.get(net);
    const stands = reduced?.stands(net);
    if (!reduced || stands === undefined) continue;
    found.set(reduced.block, [...(found.get(reduced.block) ?? []), [stands, current]]);
  }
  return new Map([...found].map(([block, nets]) => [block, { nets }]));
}

/**
 * The adjoint network (Director and Rohrer 1969): a unit current into the output answers with the transfer from every
 * branch to it. Networks without controlled sources are reciprocal, so the block's own matrix serves; stages are
 * crossed backwards, from a drive to the senses that feed it.
 */
function adjoint(laid: Plan, system: (block: Block) => System, from: number, to: number): Adjoint {
  const answers = new Map<Block, Answer[]>();
  const weights = new Map<string, Phasor>();
  let wave: { from: number; to: number; weight: Phasor }[] = [{ from, to, weight: { re: 1, im: 0 } }];
  for (let pass = 0; pass < MOST_STAGES && wave.length > 0; pass += 1) {
    const next = new Map<string, Phasor>();
    for (const { from: p, to: m, weight } of wave) {
      for (const [block, excitation] of injections(laid, p, m)) {
        const [response] = system(block).solve([excitation]);
        if (!response) continue;
        answers.set(block, [...(answers.get(block) ?? []), { response, weight }]);
        for (const drive of block.branches) {
          if (drive.kind !== 'drive') continue;
          for (const path of laid.pathsTo.get(drive.id) ?? []) {
            const brought = times(product(response.row(drive), weight), path.gain);
            next.set(path.from, plus(next.get(path.from) ?? ZERO, brought));
          }
        }
      }
    }
    wave = [...next].flatMap(([id, weight]) => {
      const sense = laid.senses.get(id);
      if (!sense || magnitude(weight) === 0) return [];
      weights.set(id, plus(weights.get(id) ?? ZERO, weight));
      return [{ from: sense.from, to: sense.to, weight }];
    });
  }
  return { answers, weights };
}

const square = (value: Phasor): number => value.re * value.re + value.im * value.im;

/** Mean square density at the output of what one block's branches bring. */
function blockDensity(block: Block, answers: readonly Answer[]): number {
  const net = (n: number) =>
    answers.reduce((sum, { response, weight }) => plus(sum, product(response.net(n), weight)), ZERO);
  const row = (b: Branch) =>
    answers.reduce((sum, { response, weight }) => plus(sum, product(response.row(b), weight)), ZERO);
  return block.branches.reduce((sum, branch) => {
    switch (branch.kind) {
      case 'resistor':
      case 'sense':
        return sum + (FOUR_K_T / branch.ohms) * square(minus(net(branch.from), net(branch.to)));
      case 'drive':
        return sum + FOUR_K_T * branch.ohms * square(row(branch));
      default:
        return sum;
    }
  }, 0);
}

/**
 * Noise between two nets, 20 Hz–20 kHz, in dBV: every resistor's thermal noise (4kTR, 290 K) and every stage's
 * equivalent input noise, summed in third octaves. The sound sources' own noise is not in it. Only for the `ports`
 * named beforehand.
 */
export function noiseSolver(nets: Nets, paths: readonly NetPath[], ports: readonly Port[]) {
  const laid = plan(nets, paths, ports);
  const systems = new Map<Block, System[]>();
  // Without coils every pole is real and the curve bends gently; with them it may ring between two points.
  const mayRing = nets.branches.some((branch) => branch.kind === 'inductor');
  return (from: number | undefined, to: number | undefined): DbV => {
    if (from === undefined || to === undefined) return dbV(-Infinity);
    const densityAt = (index: number): number => {
      const omega = 2 * Math.PI * (THIRD_OCTAVES[index]?.centre ?? 0);
      const system = (block: Block): System => {
        const known = systems.get(block) ?? [];
        systems.set(block, known);
        // A block without coils and capacitors is the same at every frequency.
        return (known[isReactive(block) ? index : 0] ??= buildSystem(block, omega));
      };
      const { answers, weights } = adjoint(laid, system, from, to);
      const thermal = [...answers].reduce((s, [block, list]) => s + blockDensity(block, list), 0);
      return [...weights].reduce(
        (s, [id, weight]) => s + density(laid.senses.get(id)?.noise ?? -Infinity) * square(weight),
        thermal,
      );
    };
    const spectrum = mayRing
      ? THIRD_OCTAVES.map((_, index) => densityAt(index))
      : sampleSmooth(THIRD_OCTAVES.length, densityAt);
    const total = THIRD_OCTAVES.reduce((sum, band, index) => sum + (spectrum[index] ?? 0) * band.width, 0);
    return dbV(10 * Math.log10(total));
  };
}
