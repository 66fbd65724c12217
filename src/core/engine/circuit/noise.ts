import { dbV, type DbV } from '../../units';
import type { Block } from './blocks';
import { pathsInto, type NetPath } from './netlist';
import type { Network } from './network';
import { density, densityOf, square, type NoiseAnswers, type Port } from './noise-answers';
import { Memo } from './memo';
import { adjoint, type Weighted } from './adjoint';
import { sampleSmooth } from './sample-smooth';
import { ZERO, plus, product, type Phasor, type Response } from './system';
import { THIRD_OCTAVES } from './third-octaves';

const WIDTHS = THIRD_OCTAVES.map((band) => band.width);

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

/** The paths that feed each drive; what is shut feeds nothing. */
/** What brings noise between two nets: a stage's own, or the heat of what stands ahead of a sense or at the nets themselves. Mean square, V². */
export interface NoiseShare {
  readonly is: 'stage' | 'heat';
  /** The stage's sense, or the one ahead of which the resistors stand; absent of those at the nets themselves. */
  readonly sense?: string;
  readonly power: number;
}

/** The same noise as `noiseSolver` gives, by what brings it; every third octave is worked out. */
export function noiseShares(
  network: Network,
  paths: readonly NetPath[],
  ports: readonly Port[],
  port: readonly [number, number],
  loops = false,
): NoiseShare[] {
  const answers = network.noise(ports);
  const pathsTo = pathsInto(paths);
  const powers = new Map<string, { -readonly [K in keyof NoiseShare]: NoiseShare[K] }>();
  const add = (is: NoiseShare['is'], sense: string | undefined, power: number) => {
    const key = `${is} ${sense ?? ''}`;
    const known = powers.get(key) ?? { is, ...(sense !== undefined && { sense }), power: 0 };
    powers.set(key, known);
    known.power += power;
  };
  for (const [band, { width }] of THIRD_OCTAVES.entries()) {
    const found = adjoint(answers, pathsTo, band, port, loops);
    for (const [block, list] of found.answers)
      add('heat', found.ahead.get(block), width * blockDensity(block, list));
    for (const [id, weight] of found.weights)
      add('stage', id, width * density(answers.senses.get(id)?.noise ?? -Infinity) * square(weight));
  }
  return [...powers.values()];
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
  const pathsTo = pathsInto(paths);
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
