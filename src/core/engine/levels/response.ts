import { gainToDb, hertz, type Hertz } from '../../units';
import { magnitude, nodeKey } from '../circuit';
import type { Facts } from '../facts';
import type { Staircase } from './staircase';

/** Half the power, dB. */
const HALF_POWER = 10 * Math.log10(2);
const [LOWEST, HIGHEST, PER_OCTAVE] = [20, 20_000, 6];

export interface ResponsePoint {
  readonly hertz: Hertz;
  /** Against 1 kHz, dB; −Infinity where nothing comes. */
  readonly decibels: number;
}

/** The gain of a whole chain over frequency. */
export interface ChainResponse {
  readonly points: readonly ResponsePoint[];
  /** Where it has fallen by 3 dB on either side of 1 kHz; null where it does not within 20 Hz to 20 kHz. */
  readonly from: Hertz | null;
  readonly to: Hertz | null;
}

/** Six frequencies an octave, 20 Hz to 20 kHz. */
export const FREQUENCIES: readonly Hertz[] = Array.from(
  { length: Math.round(Math.log2(HIGHEST / LOWEST) * PER_OCTAVE) + 1 },
  (_, n) => hertz(Math.min(HIGHEST, LOWEST * 2 ** (n / PER_OCTAVE))),
);

/** So often is a stretch halved: to a hundredth of a semitone. */
const HALVINGS = 8;

/** Where a curve crosses −3 dB between two places, the first of them above it. */
function crossing(levelAt: (at: Hertz) => number, above: Hertz, below: Hertz): Hertz {
  let [high, low] = [above, below];
  for (let n = 0; n < HALVINGS; n += 1) {
    const middle = hertz(Math.sqrt(high * low));
    if (levelAt(middle) < -HALF_POWER) low = middle;
    else high = middle;
  }
  return hertz(Math.sqrt(high * low));
}

/** The first place from 1 kHz outward where the curve has lost half the power. */
function edge(points: readonly ResponsePoint[], levelAt: (at: Hertz) => number): Hertz | null {
  for (const [index, point] of points.entries()) {
    const before = points[index - 1];
    if (before && point.decibels < -HALF_POWER) return crossing(levelAt, before.hertz, point.hertz);
  }
  return null;
}

/** The response of a chain from its source to its converter, by the circuit itself; undefined where nothing comes at 1 kHz. */
export function chainResponse(facts: Facts, { chain, input }: Staircase): ChainResponse | undefined {
  const spec = input.capture.channels[chain.number - 1];
  const voice = facts.voices.find((one) => one.placed === chain.source);
  if (!spec || !voice) return undefined;
  const net = (node: string) => facts.nets.of(nodeKey(input.placed, node));
  const levelAt = (at: Hertz): number => {
    const gain = facts.alternatingAt(at).gain(voice.id, net(spec.plus), net(spec.minus));
    return gain ? gainToDb(magnitude(gain)) : -Infinity;
  };
  const middle = levelAt(hertz(1000));
  if (!Number.isFinite(middle)) return undefined;
  const against = (at: Hertz) => levelAt(at) - middle;
  const points = FREQUENCIES.map((at) => ({ hertz: at, decibels: against(at) }));
  const centre = { hertz: hertz(1000), decibels: 0 };
  return {
    points,
    from: edge([centre, ...points.filter((p) => p.hertz < 1000).toReversed()], against),
    to: edge([centre, ...points.filter((p) => p.hertz > 1000)], against),
  };
}
