import { EigenvalueDecomposition, Matrix, solve } from 'ml-matrix';
import { ZERO, magnitude, plus, product, type Phasor } from './system';

/** What one stage's drive brings to another's, by everything between: per volt of the first, volts of the second. */
export type Couplings = ReadonlyMap<string, ReadonlyMap<string, Phasor>>;

/** Drives that feed one another in a circle, with the gain of the circle: the largest magnitude that one turn leaves of a wave. */
export interface Loop {
  readonly drives: readonly string[];
  readonly gain: number;
}

/** Stages in an order in which each comes after all that feed it; those of a loop stand together. */
export interface StageOrder {
  readonly groups: readonly (readonly string[])[];
  readonly loops: readonly Loop[];
}

/** Strongly connected components, each after those that lead to it (Tarjan 1972). */
function components(couplings: Couplings): string[][] {
  const found: string[][] = [];
  const order = new Map<string, number>();
  const low = new Map<string, number>();
  const stack: string[] = [];
  const open = new Set<string>();
  const visit = (node: string) => {
    order.set(node, order.size);
    low.set(node, order.size - 1);
    stack.push(node);
    open.add(node);
    for (const next of couplings.get(node)?.keys() ?? []) {
      if (!order.has(next)) {
        visit(next);
        low.set(node, Math.min(low.get(node) ?? 0, low.get(next) ?? 0));
      } else if (open.has(next)) {
        low.set(node, Math.min(low.get(node) ?? 0, order.get(next) ?? 0));
      }
    }
    if (low.get(node) !== order.get(node)) return;
    const group: string[] = [];
    for (let top = stack.pop(); top !== undefined; top = stack.pop()) {
      open.delete(top);
      group.push(top);
      if (top === node) break;
    }
    found.push(group.reverse());
  };
  for (const node of couplings.keys()) if (!order.has(node)) visit(node);
  return found.reverse();
}

const isLoop = (group: readonly string[], couplings: Couplings): boolean =>
  group.length > 1 || (couplings.get(group[0] ?? '')?.has(group[0] ?? '') ?? false);

/** The couplings within a group as a real matrix [[Re, −Im], [Im, Re]]: row and column as the group names them. */
function matrixOf(group: readonly string[], couplings: Couplings): Matrix {
  const n = group.length;
  const matrix = Matrix.zeros(2 * n, 2 * n);
  for (const [column, from] of group.entries()) {
    for (const [row, to] of group.entries()) {
      const { re, im } = couplings.get(from)?.get(to) ?? ZERO;
      matrix.set(row, column, re);
      matrix.set(row + n, column + n, re);
      matrix.set(row, column + n, -im);
      matrix.set(row + n, column, im);
    }
  }
  return matrix;
}

/** The spectral radius of a loop: at one or more a wave never dies away (Barkhausen, worst phase). */
function loopGain(group: readonly string[], couplings: Couplings): number {
  const [only] = group;
  if (group.length === 1) return magnitude(couplings.get(only ?? '')?.get(only ?? '') ?? ZERO);
  const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(matrixOf(group, couplings));
  return Math.max(...realEigenvalues.map((re, index) => Math.hypot(re, imaginaryEigenvalues[index] ?? 0)));
}

export function stageOrder(couplings: Couplings): StageOrder {
  const groups = components(couplings);
  const loops = groups
    .filter((group) => isLoop(group, couplings))
    .map((group) => ({ drives: group, gain: loopGain(group, couplings) }));
  return { groups, loops };
}

/** Solves x = b + M·x within a loop: what stands at its drives once the wave has gone round and round. */
function solveLoop(group: readonly string[], couplings: Couplings, begun: readonly Phasor[]): Phasor[] {
  const n = group.length;
  const matrix = Matrix.eye(2 * n).sub(matrixOf(group, couplings));
  const right = Matrix.columnVector([...begun.map((b) => b.re), ...begun.map((b) => b.im)]);
  const answer = solve(matrix, right);
  return begun.map((_, index) => ({ re: answer.get(index, 0), im: answer.get(index + n, 0) }));
}

/** The volts of every drive that a source reaches, from what it brings to each directly; loops are solved, not walked. */
export function drivenBy(
  { groups, loops }: StageOrder,
  couplings: Couplings,
  direct: ReadonlyMap<string, Phasor>,
): Map<string, Phasor> {
  const volts = new Map(direct);
  const looped = new Set(loops.map(({ drives }) => drives));
  for (const group of groups) {
    if (!group.some((drive) => volts.has(drive))) continue;
    if (looped.has(group)) {
      const begun = group.map((drive) => volts.get(drive) ?? ZERO);
      for (const [index, value] of solveLoop(group, couplings, begun).entries())
        volts.set(group[index] ?? '', value);
    }
    for (const from of group) {
      const brought = volts.get(from);
      if (!brought) continue;
      for (const [to, gain] of couplings.get(from) ?? []) {
        if (group.includes(to)) continue;
        volts.set(to, plus(volts.get(to) ?? ZERO, product(gain, brought)));
      }
    }
  }
  return volts;
}
