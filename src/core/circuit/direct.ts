import { LuDecomposition, Matrix } from 'ml-matrix';
import { volts, type Volts } from '../units';
import { islands, type Island } from './islands';
import type { Branch, Nets } from './nets';

/**
 * Every ideal source has this much resistance in series, so that two of them in parallel make a large current and
 * not a singular matrix.
 */
export const SOURCE_RESISTANCE = 1e-6;

/** Direct voltages of the rig. Two nets that no direct current joins have no voltage between them: undefined. */
export interface DirectSolution {
  readonly between: (plus: number | undefined, minus: number | undefined) => Volts | undefined;
}

const conductsDirect = (branch: Branch) => branch.kind !== 'capacitor';

/** Signal sources carry no direct voltage. */
const directVolts = (branch: Branch) => (branch.kind === 'supply' ? branch.volts : 0);

function solveIsland(island: Island): Map<number, number> {
  const unknowns = new Map(island.nets.slice(1).map((net, index) => [net, index]));
  const sources = island.branches.filter((b) => b.kind === 'supply' || b.kind === 'signal');
  const size = unknowns.size + sources.length;
  const reference = new Map(island.nets.map((net) => [net, 0]));
  if (size === 0) return reference;
  const matrix = Matrix.zeros(size, size);
  const right = Matrix.zeros(size, 1);
  const add = (row: number | undefined, column: number | undefined, value: number) => {
    if (row !== undefined && column !== undefined) matrix.set(row, column, matrix.get(row, column) + value);
  };
  for (const branch of island.branches) {
    const ohms =
      branch.kind === 'resistor' ? branch.ohms : branch.kind === 'electret' ? branch.capsule.dcResistance : 0;
    if (ohms === 0) continue;
    const [from, to] = [unknowns.get(branch.from), unknowns.get(branch.to)];
    add(from, from, 1 / ohms);
    add(to, to, 1 / ohms);
    add(from, to, -1 / ohms);
    add(to, from, -1 / ohms);
  }
  for (const [index, branch] of sources.entries()) {
    const row = unknowns.size + index;
    const [from, to] = [unknowns.get(branch.from), unknowns.get(branch.to)];
    add(row, from, 1);
    add(row, to, -1);
    add(from, row, 1);
    add(to, row, -1);
    add(row, row, -SOURCE_RESISTANCE);
    right.set(row, 0, directVolts(branch));
  }
  const solution = new LuDecomposition(matrix).solve(right);
  for (const [net, index] of unknowns) reference.set(net, solution.get(index, 0));
  return reference;
}

/** Direct-current solution by modified nodal analysis, island by island. */
export function solveDirect(nets: Nets): DirectSolution {
  const islandOf = new Map<number, number>();
  const voltage = new Map<number, number>();
  for (const [index, island] of islands(nets, conductsDirect).entries()) {
    for (const [net, value] of solveIsland(island)) {
      islandOf.set(net, index);
      voltage.set(net, value);
    }
  }
  return {
    between: (plus, minus) => {
      if (plus === undefined || minus === undefined) return undefined;
      if (islandOf.get(plus) !== islandOf.get(minus)) return undefined;
      return volts((voltage.get(plus) ?? 0) - (voltage.get(minus) ?? 0));
    },
  };
}
