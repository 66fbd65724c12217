import { Matrix, solve } from 'ml-matrix';
import { dbV, type DbV } from '../../units';
import type { Block } from './blocks';
import type { NetPath } from './netlist';
import type { Network } from './network';
import { density, densityOf, square, type NoiseAnswers, type Port, type UnitAnswer } from './noise-answers';
import { Memo } from './memo';
import { sampleSmooth } from './sample-smooth';
import { ZERO, magnitude, plus, product, times, type Phasor, type Response } from './system';
import { THIRD_OCTAVES } from './third-octaves';

const WIDTHS = THIRD_OCTAVES.map((band) => band.width);

/** A voltage that counts less than this at the output, −80 dB, brings no noise that could be told from none. */
const NEGLIGIBLE = 1e-4;

type PathsTo = ReadonlyMap<string, readonly NetPath[]>;
type Weights = ReadonlyMap<string, Phasor>;

interface Weighted {
  readonly answer: UnitAnswer;
  readonly weight: Phasor;
}

/** What a unit answer brings backwards to each sense, by the paths that feed its drives. */
function toSenses(answers: readonly UnitAnswer[], pathsTo: PathsTo): Map<string, Phasor> {
  const found = new Map<string, Phasor>();
  for (const { drives } of answers) {
    for (const { id, row } of drives) {
      for (const path of pathsTo.get(id) ?? []) {
        found.set(path.from, plus(found.get(path.from) ?? ZERO, times(row, path.gain)));
      }
    }
  }
  return found;
}

/** Weights of senses that feed one another in a circle: w = first + K·w, solved. */
function solveWeights(first: Weights, through: ReadonlyMap<string, Weights>): Weights {
  const names = [...through.keys()];
  const n = names.length;
  const matrix = Matrix.eye(2 * n);
  for (const [column, from] of names.entries()) {
    for (const [to, { re, im }] of through.get(from) ?? []) {
      const row = names.indexOf(to);
      matrix.set(row, column, matrix.get(row, column) - re);
      matrix.set(row + n, column + n, matrix.get(row + n, column + n) - re);
      matrix.set(row, column + n, matrix.get(row, column + n) + im);
      matrix.set(row + n, column, matrix.get(row + n, column) - im);
    }
  }
  const begun = names.map((name) => first.get(name) ?? ZERO);
  const answer = solve(matrix, Matrix.columnVector([...begun.map((b) => b.re), ...begun.map((b) => b.im)]));
  return new Map(
    names.map((name, index) => [name, { re: answer.get(index, 0), im: answer.get(index + n, 0) }]),
  );
}

/** How strongly a voltage at each sense counts at the output, and how each block answers to the output. */
interface Adjoint {
  readonly answers: ReadonlyMap<Block, readonly Weighted[]>;
  readonly weights: Weights;
}

/**
 * The adjoint network (Director and Rohrer 1969): a unit current into the output answers with the transfer from every
 * branch to it. Networks without controlled sources are reciprocal, so the block's own matrix serves; stages are
 * crossed backwards, from a drive to the senses that feed it.
 */
function adjoint(
  { senses, between }: NoiseAnswers,
  pathsTo: PathsTo,
  band: number,
  [from, to]: readonly [number, number],
  loops: boolean,
): Adjoint {
  const answersAt = (p: number, m: number): UnitAnswer[] => {
    const list: UnitAnswer[] = [];
    between(p, m, band, (answer) => list.push(answer));
    return list;
  };
  const output = answersAt(from, to);
  const found = new Map<Block, Weighted[]>();
  const put = (list: readonly UnitAnswer[], weight: Phasor) => {
    for (const answer of list) {
      const known = found.get(answer.block);
      if (known) known.push({ answer, weight });
      else found.set(answer.block, [{ answer, weight }]);
    }
  };
  put(output, { re: 1, im: 0 });
  const weights = new Map<string, Phasor>();
  const own = new Map<string, UnitAnswer[]>();
  const ownAnswers = (id: string): UnitAnswer[] => {
    const sense = senses.get(id);
    const list = own.get(id) ?? (sense ? answersAt(sense.from, sense.to) : []);
    own.set(id, list);
    return list;
  };
  const first = toSenses(output, pathsTo);
  if (loops) {
    const through = new Map<string, Weights>();
    for (const queue = [...first.keys()]; queue.length > 0;) {
      const id = queue.pop() ?? '';
      if (through.has(id)) continue;
      const next = toSenses(ownAnswers(id), pathsTo);
      through.set(id, next);
      queue.push(...next.keys());
    }
    for (const [id, weight] of solveWeights(first, through)) weights.set(id, weight);
  } else {
    for (let wave: Weights = first; wave.size > 0;) {
      const next = new Map<string, Phasor>();
      for (const [id, weight] of wave) {
        if (magnitude(weight) < NEGLIGIBLE || !senses.has(id)) continue;
        weights.set(id, plus(weights.get(id) ?? ZERO, weight));
        for (const [before, gain] of toSenses(ownAnswers(id), pathsTo)) {
          next.set(before, plus(next.get(before) ?? ZERO, product(gain, weight)));
        }
      }
      wave = next;
    }
  }
  for (const [id, weight] of weights) put(ownAnswers(id), weight);
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

/** Noise that is kept for the next gains of a circuit: a knob changes what it feeds and nothing else. */
const MOST_KEPT = 400;

/** What is kept with a circuit's answers. */
interface Kept {
  readonly upstream: Map<string, ReadonlySet<string>>;
  readonly levels: Memo<number>;
}

const kept = new WeakMap<NoiseAnswers, Kept>();

/** Drives from which anything could come between two nets, through however many stages, whatever their gains. */
function drivesUpstream(
  { senses, between }: NoiseAnswers,
  paths: readonly NetPath[],
  [from, to]: readonly [number, number],
): ReadonlySet<string> {
  const found = new Set<string>();
  const look = (p: number, m: number) =>
    between(p, m, 0, ({ block }) => {
      for (const branch of block.branches) if (branch.kind === 'drive') found.add(branch.id);
    });
  look(from, to);
  const sources = new Map<string, Set<string>>();
  for (const path of paths) {
    const known = sources.get(path.to);
    if (known) known.add(path.from);
    else sources.set(path.to, new Set([path.from]));
  }
  for (const drive of found) {
    for (const id of sources.get(drive) ?? []) {
      const sense = senses.get(id);
      if (sense) look(sense.from, sense.to);
    }
  }
  return found;
}

/** The gains on which noise between two nets hangs. */
function gainsUpstream(
  answers: NoiseAnswers,
  paths: readonly NetPath[],
  port: readonly [number, number],
): string {
  const own = kept.get(answers) ?? { upstream: new Map(), levels: new Memo<number>(MOST_KEPT) };
  kept.set(answers, own);
  const drives = own.upstream.get(port.join()) ?? drivesUpstream(answers, paths, port);
  own.upstream.set(port.join(), drives);
  return paths.flatMap((path) => (drives.has(path.to) ? [path.gain] : [])).join();
}

/**
 * Noise between two nets, 20 Hz–20 kHz, in dBV: every resistor's thermal noise (4kTR, 290 K) and every stage's
 * equivalent input noise, summed in third octaves. The sound sources' own noise is not in it. Only for the `ports`
 * named beforehand. `paths` are those of one circuit, whatever their gains.
 */
export function noiseSolver(
  network: Network,
  paths: readonly NetPath[],
  ports: readonly Port[],
  loops = false,
) {
  const answers = network.noise(ports);
  const pathsTo = new Map<string, NetPath[]>();
  for (const path of paths) {
    if (path.gain === 0) continue;
    const known = pathsTo.get(path.to);
    if (known) known.push(path);
    else pathsTo.set(path.to, [path]);
  }
  const noiseBetween = (port: readonly [number, number]): number => {
    const densityAt = (band: number): number => {
      const found = adjoint(answers, pathsTo, band, port, loops);
      let sum = 0;
      for (const [block, list] of found.answers) sum += blockDensity(block, list);
      for (const [id, weight] of found.weights) {
        sum += density(answers.senses.get(id)?.noise ?? -Infinity) * square(weight);
      }
      return sum;
    };
    const spectrum = answers.mayRing
      ? THIRD_OCTAVES.map((_, band) => densityAt(band))
      : sampleSmooth(WIDTHS, densityAt);
    const total = THIRD_OCTAVES.reduce((sum, band, index) => sum + (spectrum[index] ?? 0) * band.width, 0);
    return 10 * Math.log10(total);
  };
  return (from: number | undefined, to: number | undefined): DbV => {
    if (from === undefined || to === undefined) return dbV(-Infinity);
    const gains = gainsUpstream(answers, paths, [from, to]);
    const levels = kept.get(answers)?.levels;
    const solve = () => noiseBetween([from, to]);
    return dbV(levels ? levels.get(`${from},${to} ${loops ? 'loops' : ''} ${gains}`, solve) : solve());
  };
}
