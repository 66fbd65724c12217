import { dbV, type DbV } from '../../units';
import type { NetPath } from './netlist';
import type { Network } from './network';
import type { NoiseAnswers, Port } from './noise-answers';
import { Memo } from './memo';
import { sampleSmooth } from './sample-smooth';
import { THIRD_OCTAVES } from './third-octaves';
import { Upstream } from './upstream';

const WIDTHS = THIRD_OCTAVES.map((band) => band.width);

/** Noise that is kept for the next gains of a circuit: a knob changes what it feeds and nothing else. */
const MOST_KEPT = 400;

/** What is kept with a circuit's answers. */
interface Kept {
  readonly upstream: Map<string, Upstream>;
  readonly levels: Memo<number>;
}

const kept = new WeakMap<NoiseAnswers, Kept>();

function keptWith(answers: NoiseAnswers): Kept {
  const known = kept.get(answers) ?? {
    upstream: new Map<string, Upstream>(),
    levels: new Memo<number>(MOST_KEPT),
  };
  kept.set(answers, known);
  return known;
}

/** What stands ahead of an output; `paths` are those of one circuit, whatever their gains. */
function upstreamOf(
  answers: NoiseAnswers,
  paths: readonly NetPath[],
  port: readonly [number, number],
): Upstream {
  const { upstream } = keptWith(answers);
  const key = port.join();
  const known = upstream.get(key) ?? new Upstream(answers, paths, port);
  upstream.set(key, known);
  return known;
}

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
  const upstream = upstreamOf(answers, paths, port);
  const powers = new Map<string, { -readonly [K in keyof NoiseShare]: NoiseShare[K] }>();
  const add = (is: NoiseShare['is'], sense: string | undefined, power: number) => {
    if (power === 0) return;
    const key = `${is} ${sense ?? ''}`;
    const known = powers.get(key) ?? { is, ...(sense !== undefined && { sense }), power: 0 };
    powers.set(key, known);
    known.power += power;
  };
  for (const [band, { width }] of THIRD_OCTAVES.entries()) {
    const weights = upstream.weights(band, paths, loops);
    for (const one of upstream.blocks(band)) {
      const place = one.firstPlace(weights);
      add('heat', place ? upstream.senses[place - 1] : undefined, width * one.density(weights));
    }
    for (const [index, id] of upstream.senses.entries())
      add('stage', id, width * upstream.stageDensity(weights, index + 1));
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
  const noiseBetween = (upstream: Upstream): number => {
    const densityAt = (band: number): number => upstream.density(band, paths, loops);
    const spectrum = answers.mayRing
      ? THIRD_OCTAVES.map((_, band) => densityAt(band))
      : sampleSmooth(WIDTHS, densityAt);
    const total = THIRD_OCTAVES.reduce((sum, band, index) => sum + (spectrum[index] ?? 0) * band.width, 0);
    return 10 * Math.log10(total);
  };
  return (from: number | undefined, to: number | undefined): DbV => {
    if (from === undefined || to === undefined) return dbV(-Infinity);
    const upstream = upstreamOf(answers, paths, [from, to]);
    const gains = upstream.paths.map((path) => paths[path]?.gain).join();
    const { levels } = keptWith(answers);
    return dbV(levels.get(`${from},${to} ${loops ? 'loops' : ''} ${gains}`, () => noiseBetween(upstream)));
  };
}
