import { LuDecomposition, Matrix } from 'ml-matrix';
import { hertz, type Hertz } from '../units';
import { SOURCE_RESISTANCE } from './direct';
import { islands, type Island } from './islands';
import type { Branch, Nets } from './nets';

export const REFERENCE_FREQUENCY: Hertz = hertz(1000);

/** A complex amplitude. */
export interface Phasor {
  readonly re: number;
  readonly im: number;
}

export type SoundSource = Extract<Branch, { kind: 'signal' | 'electret' }>;

/** Answers of the circuit to its sound sources, one at a time, at one frequency. */
export interface AlternatingSolution {
  /**
   * Voltage from `minus` to `plus` per volt of a signal source's own voltage (for an electret: per volt of its rated
   * output). Undefined where nothing joins the two nets to that source.
   */
  readonly gain: (source: string, plus: number | undefined, minus: number | undefined) => Phasor | undefined;
}

interface SolvedIsland {
  readonly rowOf: ReadonlyMap<number, number>;
  readonly sources: readonly SoundSource[];
  readonly solution: Matrix;
  readonly size: number;
}

const admittance = (branch: Branch, omega: number): Phasor => {
  switch (branch.kind) {
    case 'resistor':
      return { re: 1 / branch.ohms, im: 0 };
    case 'capacitor':
      return { re: 0, im: omega * branch.farads };
    case 'electret':
      return { re: 1 / branch.capsule.acResistance, im: 0 };
    case 'supply':
    case 'signal':
      return { re: 1 / SOURCE_RESISTANCE, im: 0 };
  }
};

/** The rated load in parallel with the capsule's own resistance: what the sensitivity was measured across. */
function electretCurrent(source: Extract<Branch, { kind: 'electret' }>): number {
  const { ratedLoad, acResistance } = source.capsule;
  return 1 / ratedLoad + 1 / acResistance;
}

/** Norton current into `from` out of `to` for one volt of the source; positive pressure makes `from` positive. */
const norton = (source: SoundSource): number =>
  source.kind === 'electret' ? electretCurrent(source) : 1 / SOURCE_RESISTANCE;

/**
 * Complex nodal analysis written as a real system of twice the size, [[G, −B], [B, G]], for a real LU decomposition;
 * sources as Norton equivalents.
 */
function solveIsland(island: Island, omega: number, alive: (source: SoundSource) => boolean): SolvedIsland {
  const rowOf = new Map(island.nets.slice(1).map((net, index) => [net, index]));
  const size = rowOf.size;
  const sources = island.branches.filter(
    (b): b is SoundSource => (b.kind === 'signal' || b.kind === 'electret') && alive(b),
  );
  if (size === 0 || sources.length === 0) return { rowOf, sources: [], solution: Matrix.zeros(0, 0), size };
  const matrix = Matrix.zeros(2 * size, 2 * size);
  const right = Matrix.zeros(2 * size, sources.length);
  const add = (row: number | undefined, column: number | undefined, { re, im }: Phasor, sign: number) => {
    if (row === undefined || column === undefined) return;
    for (const [r, c, value] of [
      [row, column, re],
      [row, column + size, -im],
      [row + size, column, im],
      [row + size, column + size, re],
    ] as const) {
      matrix.set(r, c, matrix.get(r, c) + sign * value);
    }
  };
  for (const branch of island.branches) {
    const y = admittance(branch, omega);
    const [from, to] = [rowOf.get(branch.from), rowOf.get(branch.to)];
    add(from, from, y, 1);
    add(to, to, y, 1);
    add(from, to, y, -1);
    add(to, from, y, -1);
  }
  for (const [column, source] of sources.entries()) {
    const current = norton(source);
    const [from, to] = [rowOf.get(source.from), rowOf.get(source.to)];
    if (from !== undefined) right.set(from, column, right.get(from, column) + current);
    if (to !== undefined) right.set(to, column, right.get(to, column) - current);
  }
  return { rowOf, sources, solution: new LuDecomposition(matrix).solve(right), size };
}

function phasorAt(island: SolvedIsland, net: number, column: number): Phasor {
  const row = island.rowOf.get(net);
  if (row === undefined) return { re: 0, im: 0 };
  return { re: island.solution.get(row, column), im: island.solution.get(row + island.size, column) };
}

/** Solves every island at `frequency`; `alive` says which sound sources work (a capsule without bias does not). */
export function solveAlternating(
  nets: Nets,
  frequency: Hertz,
  alive: (source: SoundSource) => boolean,
): AlternatingSolution {
  const omega = 2 * Math.PI * frequency;
  const home = new Map<number, SolvedIsland>();
  const column = new Map<string, { island: SolvedIsland; index: number }>();
  for (const island of islands(nets, () => true)) {
    const solved = solveIsland(island, omega, alive);
    for (const net of island.nets) home.set(net, solved);
    for (const [index, source] of solved.sources.entries()) column.set(source.id, { island: solved, index });
  }
  return {
    gain: (source, plus, minus) => {
      const found = column.get(source);
      if (!found || plus === undefined || minus === undefined) return undefined;
      if (home.get(plus) !== found.island || home.get(minus) !== found.island) return undefined;
      const [p, m] = [phasorAt(found.island, plus, found.index), phasorAt(found.island, minus, found.index)];
      return { re: p.re - m.re, im: p.im - m.im };
    },
  };
}

export const magnitude = ({ re, im }: Phasor): number => Math.hypot(re, im);
