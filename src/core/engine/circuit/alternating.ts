import { hertz, type Hertz } from '../../units';
import type { NetPath } from './netlist';
import type { SoundSource } from './excite';
import { NOTHING_COMES, type Network } from './network';
import type { Loop } from './loops';
import { drivenBy, stageOrder } from './stages';
import { ZERO, magnitude, plus, product, times, type Phasor } from './system';

export const REFERENCE_FREQUENCY: Hertz = hertz(1000);

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
  /** Stages that feed back on themselves. Their levels are those of a wave that has gone round for good; at a gain of one or more there is none. */
  readonly loops: readonly Loop[];
}

type Volts = ReadonlyMap<string, Phasor>;

/** The stages of a rig at their gains: what each exciter brings to each drive, by the senses that feed it. */
class StagedNetwork {
  private readonly pathsFrom = new Map<string, NetPath[]>();
  private readonly couplings = new Map<string, Map<string, Phasor>>();
  readonly order;

  constructor(
    private readonly network: Network,
    paths: readonly NetPath[],
    private readonly omega: number,
  ) {
    for (const path of paths) {
      if (path.gain === 0) continue;
      const known = this.pathsFrom.get(path.from);
      if (known) known.push(path);
      else this.pathsFrom.set(path.from, [path]);
    }
    const drives = new Set(paths.flatMap((path) => (path.gain === 0 ? [] : [path.to])));
    for (const drive of drives) this.couplings.set(drive, this.brought(drive));
    this.order = stageOrder(this.couplings);
  }

  /** What one volt of an exciter makes the drives give, through one stage. */
  private brought(exciter: string): Map<string, Phasor> {
    const found = new Map<string, Phasor>();
    for (const [sense, gain] of this.network.toSenses(exciter, this.omega)) {
      for (const path of this.pathsFrom.get(sense) ?? []) {
        const volts = times(gain, path.gain);
        if (magnitude(volts) < NOTHING_COMES) continue;
        found.set(path.to, plus(found.get(path.to) ?? ZERO, volts));
      }
    }
    return found;
  }

  /** The voltage of every exciter when a source gives one volt: itself, and every drive that paths bring it to. */
  excitedBy(source: string): Volts {
    return drivenBy(this.order, this.couplings, this.brought(source)).set(source, { re: 1, im: 0 });
  }
}

const isNothing = ({ re, im }: Phasor): boolean => re === 0 && im === 0;

/** Solves the circuit at `frequency`; `alive` says which sound sources work (a capsule without bias does not). */
export function solveAlternating(
  network: Network,
  paths: readonly NetPath[],
  frequency: Hertz,
  alive: (source: SoundSource) => boolean,
): AlternatingSolution {
  const omega = 2 * Math.PI * frequency;
  const staged = new StagedNetwork(network, paths, omega);
  const dead = new Set(
    [...network.exciters.values()].flatMap((e) => (e.kind !== 'drive' && !alive(e) ? [e.id] : [])),
  );
  const excited = new Map<string, Volts>();
  const excitedBy = (source: string): Volts => {
    const known = excited.get(source) ?? (dead.has(source) ? new Map() : staged.excitedBy(source));
    excited.set(source, known);
    return known;
  };
  const { component } = network.split;
  const joined = (from: number | undefined, to: number | undefined): from is number =>
    from !== undefined && to !== undefined && component[from] === component[to];
  const reaches = (source: string, where: number | undefined): boolean => {
    const volts = excitedBy(source);
    return network.excitersIn(where).some((exciter) => volts.has(exciter));
  };
  const sumOf = (source: string, from: number, to: number): Phasor => {
    const volts = excitedBy(source);
    let [re, im] = [0, 0];
    for (const [exciter, gain] of network.brings(from, to, omega)) {
      const own = volts.get(exciter);
      if (!own) continue;
      re += gain.re * own.re - gain.im * own.im;
      im += gain.re * own.im + gain.im * own.re;
    }
    return { re, im };
  };
  return {
    loops: staged.order.loops,
    contributions: (source, from, to) => {
      if (!joined(from, to) || to === undefined) return [];
      const volts = excitedBy(source);
      return network.brings(from, to, omega).flatMap(([exciter, gain]) => {
        const own = volts.get(exciter);
        return own ? [{ exciter, volts: product(gain, own) }] : [];
      });
    },
    driven: (source, drive) => 20 * Math.log10(magnitude(excitedBy(source).get(drive) ?? ZERO)),
    gain: (source, from, to) => {
      if (!joined(from, to) || to === undefined) return undefined;
      const sum = sumOf(source, from, to);
      return isNothing(sum) && !reaches(source, component[from]) ? undefined : sum;
    },
  };
}
