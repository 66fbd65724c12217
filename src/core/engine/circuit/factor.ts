import { LuDecomposition, Matrix } from 'ml-matrix';
import type { Block } from './blocks';
import { Memo } from './memo';
import type { Branch } from './nets';

/** One number of a right-hand side: row, real and imaginary part. */
export type Entry = readonly [row: number, re: number, im: number];

/** A block's matrix at one frequency, decomposed once; every solution is kept too. */
export interface Factor {
  readonly isSingular: boolean;
  /** Unknowns as [Re 0 … Re n−1, Im 0 … Im n−1]. */
  readonly solve: (entries: readonly Entry[]) => Float64Array;
}

/** A pivot smaller than this share of the largest counts as none: the block is singular. */
const SMALLEST_PIVOT = 1e-16;

function isSingular(decomposition: LuDecomposition): boolean {
  const pivots = decomposition.upperTriangularMatrix.diagonal().map(Math.abs);
  return !(Math.min(...pivots) > SMALLEST_PIVOT * Math.max(...pivots));
}

/** Right-hand side of one excitation: one long column for a complex matrix, two short ones for a real one. */
function rightSide(size: number, complex: boolean, entries: readonly Entry[]): Matrix {
  const right = Matrix.zeros(complex ? 2 * size : size, complex ? 1 : 2);
  const add = (row: number, column: number, value: number) =>
    right.set(row, column, right.get(row, column) + value);
  for (const [row, re, im] of entries) {
    add(row, 0, re);
    if (complex) add(row + size, 0, im);
    else add(row, 1, im);
  }
  return right;
}

/** Decomposes an n × n matrix, or a 2n × 2n one that stands for a complex n × n matrix. */
function factorise(matrix: Matrix, size: number, complex: boolean): Factor {
  const decomposition = new LuDecomposition(matrix);
  const unsolvable = decomposition.isSingular();
  const solutions = new Memo<Float64Array>(64);
  const solve = (entries: readonly Entry[]): Float64Array => {
    const answer = new Float64Array(2 * size);
    if (unsolvable) return answer;
    const solution = decomposition.solve(rightSide(size, complex, entries));
    for (let row = 0; row < size; row += 1) {
      answer[row] = solution.get(row, 0);
      answer[row + size] = complex ? solution.get(row + size, 0) : solution.get(row, 1);
    }
    return answer;
  };
  return {
    isSingular: isSingular(decomposition),
    solve: (entries) => solutions.get(entries.join(';'), () => solve(entries)),
  };
}

function figureOf(branch: Branch): string | number {
  switch (branch.kind) {
    case 'resistor':
    case 'sense':
    case 'drive':
      return branch.ohms;
    case 'capacitor':
      return branch.farads;
    case 'inductor':
      return branch.henries;
    case 'transformer':
      return branch.ratio;
    case 'electret':
      return `${branch.capsule.dcResistance},${branch.capsule.acResistance}`;
    case 'supply':
    case 'signal':
      return '';
  }
}

const texts = new WeakMap<Block, string>();

/** Everything of a block on which its matrix depends, as text; equal text, equal matrix. */
function textOf(block: Block): string {
  const known = texts.get(block);
  if (known !== undefined) return known;
  const row = new Map(block.nets.map((net, index) => [net, index]));
  const at = (net: number) => row.get(net) ?? '';
  const text = block.branches
    .map((b) => {
      const winding = b.winding ? `${at(b.winding.from)},${at(b.winding.to)}` : '';
      return `${b.kind}:${at(b.from)}:${at(b.to)}:${winding}:${figureOf(b)}`;
    })
    .join(' ');
  const whole = `${block.nets.length} ${text}`;
  texts.set(block, whole);
  return whole;
}

/** How many decomposed matrices are kept: the blocks of a few large rigs at every frequency. */
const factors = new Memo<Factor>(6000);

/** Forgets every kept matrix: only for measuring how long the first analysis takes. */
export const forgetFactors = (): void => {
  factors.clear();
};

/** The decomposed matrix of a block, kept by the block's text and the frequency: an edit elsewhere costs nothing here. */
export function factorOf(
  block: Block,
  omega: number,
  complex: boolean,
  build: () => { matrix: Matrix; size: number },
): Factor {
  return factors.get(`${complex ? omega : omega === 0 ? 'dc' : 'ac'} ${textOf(block)}`, () => {
    const { matrix, size } = build();
    return factorise(matrix, size, complex);
  });
}
