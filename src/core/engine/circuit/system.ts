import { Matrix } from 'ml-matrix';
import type { Block } from './blocks';
import { factorOf, type Entry } from './factor';
import type { Branch } from './nets';

/**
 * Every ideal source has this much resistance in series, so that two of them in parallel make a large current and
 * not a singular matrix.
 */
export const SOURCE_RESISTANCE = 1e-6;

/** A complex amplitude. */
export interface Phasor {
  readonly re: number;
  readonly im: number;
}

export const ZERO: Phasor = { re: 0, im: 0 };
export const magnitude = ({ re, im }: Phasor): number => Math.sqrt(re * re + im * im);
export const plus = (a: Phasor, b: Phasor): Phasor => ({ re: a.re + b.re, im: a.im + b.im });
export const minus = (a: Phasor, b: Phasor): Phasor => ({ re: a.re - b.re, im: a.im - b.im });
export const times = (a: Phasor, factor: number): Phasor => ({ re: a.re * factor, im: a.im * factor });
export const product = (a: Phasor, b: Phasor): Phasor => ({
  re: a.re * b.re - a.im * b.im,
  im: a.re * b.im + a.im * b.re,
});

/** A sum and one product more, in one step. */
export const plusProduct = (sum: Phasor, a: Phasor, b: Phasor): Phasor => ({
  re: sum.re + a.re * b.re - a.im * b.im,
  im: sum.im + a.re * b.im + a.im * b.re,
});

/** Branches that bring an equation and a current of their own: v(from) − v(to) − z·i = e. */
const hasRow = (branch: Branch): boolean =>
  branch.kind === 'supply' ||
  branch.kind === 'signal' ||
  branch.kind === 'drive' ||
  branch.kind === 'inductor' ||
  branch.kind === 'transformer';

function admittance(branch: Branch, omega: number): Phasor {
  switch (branch.kind) {
    case 'resistor':
    case 'sense':
      return { re: 1 / branch.ohms, im: 0 };
    case 'capacitor':
      return { re: 0, im: omega * branch.farads };
    case 'electret':
      return { re: 1 / (omega === 0 ? branch.capsule.dcResistance : branch.capsule.acResistance), im: 0 };
    default:
      return ZERO;
  }
}

function seriesImpedance(branch: Branch, omega: number): Phasor {
  switch (branch.kind) {
    case 'drive':
      return { re: branch.ohms, im: 0 };
    case 'inductor':
      return { re: SOURCE_RESISTANCE, im: omega * branch.henries };
    case 'transformer':
      return ZERO;
    default:
      return { re: SOURCE_RESISTANCE, im: 0 };
  }
}

/** What drives a block: currents into nets, and voltages of branches that have a row. */
export interface Excitation {
  readonly nets?: readonly (readonly [net: number, current: Phasor])[];
  readonly rows?: readonly (readonly [branch: Branch, volts: Phasor])[];
}

/** Answer to one excitation; nets of other blocks, and references, stay at zero. */
export interface Response {
  readonly net: (net: number) => Phasor;
  /** The unknown of a branch that has a row: by reciprocity also the answer of the excited port to its voltage. */
  readonly row: (branch: Branch) => Phasor;
}

/** A block's matrix at one frequency, factorised. */
export interface System {
  /** No single answer: a pivot vanishes against the largest. */
  readonly isSingular: () => boolean;
  readonly solve: (excitations: readonly Excitation[]) => Response[];
}

interface Unknowns {
  readonly netRow: ReadonlyMap<number, number>;
  readonly branchRow: ReadonlyMap<Branch, number>;
  readonly size: number;
}

const numbered = new WeakMap<Block, Unknowns>();

function numberUnknowns(block: Block): Unknowns {
  const known = numbered.get(block);
  if (known) return known;
  const rows = block.branches.filter(hasRow);
  const unknowns = {
    netRow: new Map(block.nets.map((net, index) => [net, index])),
    branchRow: new Map(rows.map((branch, index) => [branch, block.nets.length + index])),
    size: block.nets.length + rows.length,
  };
  numbered.set(block, unknowns);
  return unknowns;
}

/** Adds to the complex matrix, kept as [[Re, −Im], [Im, Re]] so that a real decomposition solves it. */
class Stamper {
  readonly matrix: Matrix;
  constructor(
    private readonly size: number,
    private readonly complex: boolean,
  ) {
    const side = complex ? 2 * size : size;
    this.matrix = Matrix.zeros(side, side);
  }

  add(row: number | undefined, column: number | undefined, { re, im }: Phasor): void {
    if (row === undefined || column === undefined) return;
    this.put(row, column, re);
    if (!this.complex) return;
    this.put(row + this.size, column + this.size, re);
    if (im === 0) return;
    this.put(row, column + this.size, -im);
    this.put(row + this.size, column, im);
  }

  private put(row: number, column: number, value: number): void {
    this.matrix.set(row, column, this.matrix.get(row, column) + value);
  }
}

const one: Phasor = { re: 1, im: 0 };

function stamp(stamper: Stamper, unknowns: Unknowns, branch: Branch, omega: number): void {
  const [from, to] = [unknowns.netRow.get(branch.from), unknowns.netRow.get(branch.to)];
  const row = unknowns.branchRow.get(branch);
  if (row === undefined) {
    const y = admittance(branch, omega);
    stamper.add(from, from, y);
    stamper.add(to, to, y);
    stamper.add(from, to, times(y, -1));
    stamper.add(to, from, times(y, -1));
    return;
  }
  const couple = (net: number | undefined, factor: Phasor) => {
    stamper.add(row, net, factor);
    stamper.add(net, row, factor);
  };
  if (branch.kind === 'transformer' && branch.winding) {
    couple(unknowns.netRow.get(branch.winding.from), one);
    couple(unknowns.netRow.get(branch.winding.to), times(one, -1));
    couple(from, times(one, -branch.ratio));
    couple(to, times(one, branch.ratio));
    return;
  }
  couple(from, one);
  couple(to, times(one, -1));
  stamper.add(row, row, times(seriesImpedance(branch, omega), -1));
}

/** Whether a block answers differently at different frequencies. */
export const isReactive = (block: Block): boolean =>
  block.branches.some((branch) => branch.kind === 'capacitor' || branch.kind === 'inductor');

function entriesOf(unknowns: Unknowns, excitation: Excitation): Entry[] {
  const entries: Entry[] = [];
  const put = (row: number | undefined, value: Phasor) =>
    row !== undefined && entries.push([row, value.re, value.im]);
  for (const [net, current] of excitation.nets ?? []) put(unknowns.netRow.get(net), current);
  for (const [branch, volts] of excitation.rows ?? []) put(unknowns.branchRow.get(branch), volts);
  return entries;
}

const NOTHING: Response = { net: () => ZERO, row: () => ZERO };

/** Modified nodal analysis of a block at angular frequency `omega` in rad/s; 0 is direct current. */
export function buildSystem(block: Block, omega: number): System {
  const unknowns = numberUnknowns(block);
  const { size } = unknowns;
  if (size === 0) return { isSingular: () => false, solve: (excitations) => excitations.map(() => NOTHING) };
  const complex = omega !== 0 && isReactive(block);
  const factor = factorOf(block, omega, complex, () => {
    const stamper = new Stamper(size, complex);
    for (const branch of block.branches) stamp(stamper, unknowns, branch, omega);
    return { matrix: stamper.matrix, size };
  });
  const solve = (excitation: Excitation): Response => {
    const answer = factor.solve(entriesOf(unknowns, excitation));
    const read = (row: number | undefined): Phasor =>
      row === undefined ? ZERO : { re: answer[row] ?? 0, im: answer[row + size] ?? 0 };
    return {
      net: (net) => read(unknowns.netRow.get(net)),
      row: (branch) => read(unknowns.branchRow.get(branch)),
    };
  };
  return { isSingular: () => factor.isSingular, solve: (excitations) => excitations.map(solve) };
}
