import { dbV, type DbV } from '../../units';
import { allBlocks, type Block, type Split } from './blocks';
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
} from './system';
import { sampleSmooth } from './sample-smooth';
import { HIGHEST, LOWEST, THIRD_OCTAVES } from './third-octaves';

/** Boltzmann's constant, exact since 2019 (SI Brochure, 9th edition). */
const BOLTZMANN = 1.380649e-23;
/** Room temperature of handbook noise tables, 290 K. */
export const NOISE_TEMPERATURE = 290;

export const FOUR_K_T = 4 * BOLTZMANN * NOISE_TEMPERATURE;
const WIDTHS = THIRD_OCTAVES.map((band) => band.width);
const BANDWIDTH = HIGHEST - LOWEST;

/** A voltage that counts less than this at the output, −80 dB, brings no noise that could be told from none. */
const NEGLIGIBLE = 1e-4;

type SenseBranch = Extract<Branch, { kind: 'sense' }>;

/** Mean square density of a noise given as dBV over 20 Hz–20 kHz. */
const density = (level: number): number => 10 ** (level / 10) / BANDWIDTH;

/** Two nets between which noise is asked for. */
export type Port = readonly [from: number | undefined, to: number | undefined];

interface Plan {
  readonly climb: Split['climb'];
  readonly reduced: ReadonlyMap<Block, Reduced>;
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
  const split = allBlocks(nets);
  const kept = new Map<Block, Set<number>>();
  for (const net of keep) {
    for (const step of split.climb(net)) {
      const inside = kept.get(step.block);
      if (inside) inside.add(step.net);
      else kept.set(step.block, new Set([step.net]));
    }
  }
  const reduced = new Map([...kept].map(([block, inside]) => [block, reduce(block, inside)]));
  const pathsTo = new Map<string, NetPath[]>();
  for (const path of paths) pathsTo.set(path.to, [...(pathsTo.get(path.to) ?? []), path]);
  return { climb: split.climb, reduced, senses, pathsTo };
}

/** A block's answer to a unit current between two nets. */
interface UnitAnswer {
  readonly block: Block;
  readonly response: Response;
  /** Mean square density at those nets of what the block's branches bring. */
  readonly density: number;
  /** Drives of the block that show there, with the paths that feed them. */
  readonly drives: readonly { readonly row: Phasor; readonly paths: readonly NetPath[] }[];
}

interface Weighted {
  readonly answer: UnitAnswer;
  readonly weight: Phasor;
}

/** How strongly a voltage at each sense counts at the output, and how each block answers to the output. */
interface Adjoint {
  readonly answers: ReadonlyMap<Block, readonly Weighted[]>;
  readonly weights: ReadonlyMap<string, Phasor>;
}

/** A unit current into one net and out of another, block by block. */
function injections(laid: Plan, from: number, to: number): Map<Block, Excitation> {
  const found = new Map<Block, Map<number, number>>();
  for (const [end, current] of [
    [from, 1],
    [to, -1],
  ] as const) {
    for (const { block, net } of laid.climb(end)) {
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

/** Mean square density at the output of what one block's branches bring, by their answers at nets and rows. */
function densityOf(block: Block, net: (n: number) => Phasor, row: (b: Branch) => Phasor): number {
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

function unitAnswer(laid: Plan, block: Block, excitation: Excitation, omega: number): UnitAnswer | undefined {
  const [response] = buildSystem(block, omega).solve([excitation]);
  if (!response) return undefined;
  const drives = block.branches.flatMap((branch) => {
    const paths = branch.kind === 'drive' ? laid.pathsTo.get(branch.id) : undefined;
    return paths ? [{ row: response.row(branch), paths }] : [];
  });
  return { block, response, density: densityOf(block, response.net, response.row), drives };
}

/** A block that lies between two nets, with its answers by frequency; one for all where nothing in it is reactive. */
interface PortBlock {
  readonly block: Block;
  readonly excitation: Excitation;
  readonly reactive: boolean;
  readonly answers: UnitAnswer[];
}

/** Unit answers between two nets at one frequency, each computed when first asked for. */
function answering(laid: Plan) {
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
  return (from: number, to: number, index: number, use: (answer: UnitAnswer) => void): void => {
    for (const { block, excitation, reactive, answers } of blocksAt(from, to)) {
      const slot = reactive ? index : 0;
      const omega = 2 * Math.PI * (THIRD_OCTAVES[index]?.centre ?? 0);
      const answer = answers[slot] ?? unitAnswer(laid, block, excitation, omega);
      if (!answer) continue;
      answers[slot] = answer;
      use(answer);
    }
  };
}

/**
 * The adjoint network (Director and Rohrer 1969): a unit current into the output answers with the transfer from every
 * branch to it. Networks without controlled sources are reciprocal, so the block's own matrix serves; stages are
 * crossed backwards, from a drive to the senses that feed it.
 */
function adjoint(
  laid: Plan,
  answers: (from: number, to: number, use: (answer: UnitAnswer) => void) => void,
  from: number,
  to: number,
): Adjoint {
  const found = new Map<Block, Weighted[]>();
  const weights = new Map<string, Phasor>();
  let wave: { from: number; to: number; weight: Phasor }[] = [{ from, to, weight: { re: 1, im: 0 } }];
  for (let pass = 0; pass < MOST_STAGES && wave.length > 0; pass += 1) {
    const next = new Map<string, Phasor>();
    for (const { from: p, to: m, weight } of wave) {
      answers(p, m, (answer) => {
        const list = found.get(answer.block);
        if (list) list.push({ answer, weight });
        else found.set(answer.block, [{ answer, weight }]);
        for (const { row, paths } of answer.drives) {
          const brought = product(row, weight);
          if (magnitude(brought) === 0) continue;
          for (const path of paths)
            if (path.gain !== 0)
              next.set(path.from, plus(next.get(path.from) ?? ZERO, times(brought, path.gain)));
        }
      });
    }
    wave = [...next].flatMap(([id, weight]) => {
      const sense = laid.senses.get(id);
      if (!sense || magnitude(weight) < NEGLIGIBLE) return [];
      weights.set(id, plus(weights.get(id) ?? ZERO, weight));
      return [{ from: sense.from, to: sense.to, weight }];
    });
  }
  return { answers: found, weights };
}

/** Mean square density at the output of what one block's branches bring; several answers of one block add with their phase. */
function blockDensity(block: Block, list: readonly Weighted[]): number {
  const [only, ...others] = list;
  if (only && others.length === 0) return square(only.weight) * only.answer.density;
  const sum = (read: (response: Response) => Phasor) =>
    list.reduce((total, { answer, weight }) => plus(total, product(read(answer.response), weight)), ZERO);
  return densityOf(
    block,
    (n) => sum((response) => response.net(n)),
    (b) => sum((response) => response.row(b)),
  );
}

/**
 * Noise between two nets, 20 Hz–20 kHz, in dBV: every resistor's thermal noise (4kTR, 290 K) and every stage's
 * equivalent input noise, summed in third octaves. The sound sources' own noise is not in it. Only for the `ports`
 * named beforehand.
 */
export function noiseSolver(nets: Nets, paths: readonly NetPath[], ports: readonly Port[]) {
  const laid = plan(nets, paths, ports);
  const answers = answering(laid);
  // Without coils every pole is real and the curve bends gently; with them it may ring between two points.
  const mayRing = nets.branches.some((branch) => branch.kind === 'inductor');
  return (from: number | undefined, to: number | undefined): DbV => {
    if (from === undefined || to === undefined) return dbV(-Infinity);
    const densityAt = (index: number): number => {
      const found = adjoint(laid, (p, m, use) => answers(p, m, index, use), from, to);
      const thermal = [...found.answers].reduce((s, [block, list]) => s + blockDensity(block, list), 0);
      return [...found.weights].reduce(
        (s, [id, weight]) => s + density(laid.senses.get(id)?.noise ?? -Infinity) * square(weight),
        thermal,
      );
    };
    const spectrum = mayRing
      ? THIRD_OCTAVES.map((_, index) => densityAt(index))
      : sampleSmooth(WIDTHS, densityAt);
    const total = THIRD_OCTAVES.reduce((sum, band, index) => sum + (spectrum[index] ?? 0) * band.width, 0);
    return dbV(10 * Math.log10(total));
  };
}
