import { allBlocks, type Block, type Split } from './blocks';
import { solveDirect, type DirectSolution } from './direct';
import { excite, isExciter, type Exciter, type SenseBranch } from './excite';
import { Memo } from './memo';
import { mergeNets, type Nets } from './nets';
import type { NetElement, TouchLink } from './netlist';
import { noiseAnswers, type NoiseAnswers, type Port } from './noise-answers';
import { wiring, type Wiring } from './paths';
import { ZERO, buildSystem, isReactive, magnitude, minus, plus, type Phasor, type Response } from './system';

/** How the block of an exciter answers to one volt of it. */
export interface Answer {
  readonly block: Block;
  readonly response: Response;
  /** Volts at nets, found when first asked for. */
  readonly field: Map<number, Phasor>;
}

/** Under this share of a volt nothing comes: −180 dB. */
export const NOTHING_COMES = 1e-9;

/** Every exciter of a circuit, with the block in which it stands. */
interface Places {
  readonly exciters: ReadonlyMap<string, Exciter>;
  readonly blockOf: ReadonlyMap<string, Block>;
  /** The blocks that answer alike at every frequency. */
  readonly steady: ReadonlySet<Block>;
  readonly componentsOf: ReadonlyMap<string, ReadonlySet<number | undefined>>;
}

function placesOf(split: Split): Places {
  const exciters = new Map<string, Exciter>();
  const blockOf = new Map<string, Block>();
  const componentsOf = new Map<string, ReadonlySet<number | undefined>>();
  const steady = new Set<Block>();
  for (const block of split.blocks) {
    if (!block.branches.some(isExciter)) continue;
    if (!isReactive(block)) steady.add(block);
    // A transformer carries a source to a component in which it does not itself stand.
    const components = new Set(block.nets.map((net) => split.component[net]));
    for (const branch of block.branches) {
      if (!isExciter(branch)) continue;
      exciters.set(branch.id, branch);
      blockOf.set(branch.id, block);
      componentsOf.set(branch.id, components);
    }
  }
  return { exciters, blockOf, steady, componentsOf };
}

/**
 * Everything of a circuit that gains of stages do not change: nets, direct voltages, how each exciter's block answers; each worked
 * out when first asked for. Kept by content, so that a knob pays for none of it.
 */
/** Exciters with what one volt of each brings to a place. */
type Brought = readonly (readonly [exciter: string, gain: Phasor])[];

const NOBODY: readonly string[] = [];

/** Two numbers of nets in one: no rig has so many. */
const MOST_NETS = 2 ** 24;

function inhabitants(
  componentsOf: ReadonlyMap<string, ReadonlySet<number | undefined>>,
): ReadonlyMap<number | undefined, readonly string[]> {
  const found = new Map<number | undefined, string[]>();
  for (const [exciter, components] of componentsOf) {
    for (const component of components) {
      const known = found.get(component);
      if (known) known.push(exciter);
      else found.set(component, [exciter]);
    }
  }
  return found;
}

function listenersOf(split: Split, senses: readonly SenseBranch[]): Map<Block, SenseBranch[]> {
  const found = new Map<Block, SenseBranch[]>();
  for (const sense of senses) {
    for (const { block } of [...split.path(sense.from), ...split.path(sense.to)]) {
      const known = found.get(block);
      if (!known) found.set(block, [sense]);
      else if (known.at(-1) !== sense) known.push(sense);
    }
  }
  return found;
}

/** Any frequency but none: what answers alike at all of them answers so at this one. */
const STEADY = 1;

export class Network {
  private readonly circuit: {
    readonly elements: readonly NetElement[];
    readonly touches: readonly TouchLink[];
  };
  /** By angular frequency, then exciter. */
  private readonly answered = new Map<number, Map<string, Answer>>();
  /** By angular frequency and exciter: what it brings to each sense. */
  private readonly coupled = new Map<
    number,
    Map<string, readonly (readonly [sense: string, gain: Phasor])[]>
  >();
  private readonly noises = new Map<string, NoiseAnswers>();

  constructor(elements: readonly NetElement[], touches: readonly TouchLink[]) {
    this.circuit = { elements, touches };
  }

  private madeNets?: Nets;
  get nets(): Nets {
    return (this.madeNets ??= mergeNets(this.circuit));
  }

  private madeSplit?: Split;
  get split(): Split {
    return (this.madeSplit ??= allBlocks(this.nets));
  }

  private madeDirect?: DirectSolution;
  get direct(): DirectSolution {
    return (this.madeDirect ??= solveDirect(this.nets));
  }

  private madeWires?: Wiring;
  get wires(): Wiring {
    return (this.madeWires ??= wiring(this.circuit));
  }

  private madeSenses?: ReadonlyMap<string, SenseBranch>;
  get senses(): ReadonlyMap<string, SenseBranch> {
    return (this.madeSenses ??= new Map(
      this.nets.branches.flatMap((b) => (b.kind === 'sense' ? [[b.id, b] as const] : [])),
    ));
  }

  private madePlaces?: Places;
  private get places(): Places {
    return (this.madePlaces ??= placesOf(this.split));
  }

  get exciters(): ReadonlyMap<string, Exciter> {
    return this.places.exciters;
  }

  /** Connected components that each exciter's block reaches. */
  get componentsOf(): ReadonlyMap<string, ReadonlySet<number | undefined>> {
    return this.places.componentsOf;
  }

  /** The frequency under which an exciter's answer is kept: one for all where nothing in its block is reactive. */
  private slot(exciter: string, omega: number): number {
    const block = this.places.blockOf.get(exciter);
    return block && this.places.steady.has(block) ? STEADY : omega;
  }

  /** How an exciter's block answers to one volt of it; found when first asked for. */
  answer(exciter: string, frequency: number): Answer | undefined {
    const omega = this.slot(exciter, frequency);
    const at = this.answered.get(omega) ?? new Map<string, Answer>();
    this.answered.set(omega, at);
    const known = at.get(exciter);
    if (known) return known;
    const [branch, block] = [this.exciters.get(exciter), this.places.blockOf.get(exciter)];
    if (!branch || !block) return undefined;
    const [response] = buildSystem(block, omega).solve([excite(branch)]);
    if (!response) return undefined;
    const found = { block, response, field: new Map<number, Phasor>() };
    at.set(exciter, found);
    return found;
  }

  /** The voltage at a net per volt of an exciter: it reaches what hangs on its block, by the net where it hangs. */
  at(exciter: string, net: number, omega: number): Phasor {
    const answer = this.answer(exciter, omega);
    if (!answer) return ZERO;
    const known = answer.field.get(net);
    if (known) return known;
    let sum = ZERO;
    for (const step of this.split.path(net)) {
      if (step.block === answer.block) sum = plus(sum, answer.response.net(step.net));
    }
    answer.field.set(net, sum);
    return sum;
  }

  across(exciter: string, from: number, to: number, omega: number): Phasor {
    return minus(this.at(exciter, from, omega), this.at(exciter, to, omega));
  }

  private madeInhabitants?: ReadonlyMap<number | undefined, readonly string[]>;
  /** The exciters that reach a connected component. */
  excitersIn(component: number | undefined): readonly string[] {
    this.madeInhabitants ??= inhabitants(this.componentsOf);
    return this.madeInhabitants.get(component) ?? NOBODY;
  }

  private readonly brought = new Map<number, Map<number, Brought>>();
  /** What one volt of each exciter brings between two nets of one component, where it is anything; kept for the next gains. */
  brings(from: number, to: number, omega: number): Brought {
    const at = this.brought.get(omega) ?? new Map<number, Brought>();
    this.brought.set(omega, at);
    const key = from * MOST_NETS + to;
    const known = at.get(key);
    if (known) return known;
    const found = this.excitersIn(this.split.component[from]).flatMap((exciter) => {
      const gain = this.across(exciter, from, to, omega);
      return gain.re === 0 && gain.im === 0 ? [] : [[exciter, gain] as const];
    });
    at.set(key, found);
    return found;
  }

  private madeListening?: ReadonlyMap<Block, readonly SenseBranch[]>;
  /** The senses on the way to whose nets each block lies: nobody else hears what is in it. */
  private get listening(): ReadonlyMap<Block, readonly SenseBranch[]> {
    return (this.madeListening ??= listenersOf(this.split, [...this.senses.values()]));
  }

  /** What an exciter brings to each sense, where anything comes. */
  toSenses(exciter: string, frequency: number): readonly (readonly [sense: string, gain: Phasor])[] {
    const omega = this.slot(exciter, frequency);
    const at = this.coupled.get(omega) ?? new Map<string, readonly (readonly [string, Phasor])[]>();
    this.coupled.set(omega, at);
    const known = at.get(exciter);
    if (known) return known;
    const found: (readonly [string, Phasor])[] = [];
    const block = this.places.blockOf.get(exciter);
    for (const { id, from, to } of (block && this.listening.get(block)) ?? []) {
      const gain = this.across(exciter, from, to, omega);
      if (magnitude(gain) >= NOTHING_COMES) found.push([id, gain]);
    }
    at.set(exciter, found);
    return found;
  }

  /** Answers to unit currents between the nets where noise is asked for, kept for the next gains. */
  noise(ports: readonly Port[]): NoiseAnswers {
    const key = ports.map((port) => port.join()).join(' ');
    const known = this.noises.get(key) ?? noiseAnswers(this.nets, ports);
    this.noises.set(key, known);
    return known;
  }
}

/** So many circuits are kept: the readings of a rig, before and after an edit, and those of a few fixes. */
const networks = new Memo<Network>(48);

export const networkOf = (
  key: string,
  elements: readonly NetElement[],
  touches: readonly TouchLink[],
): Network => networks.get(key, () => new Network(elements, touches));

/** Forgets every kept circuit: only for measuring how long the first analysis takes. */
export const forgetNetworks = (): void => {
  networks.clear();
};
