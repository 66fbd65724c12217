import { EigenvalueDecomposition, Matrix, solve } from 'ml-matrix';
import { ZERO, magnitude, plus, product, type Phasor } from './system';

/** What one stage's drive brings to another's, by everything between: per volt of the first, volts of the second. */
export type Couplings = ReadonlyMap<string, ReadonlyMap<string, Phasor>>;

/** Drives that feed one another in a circle, with the gain of the circle: the largest magnitude that one turn leaves of a wave. */
export interface Loop {
  readonly drives: readonly string[];
  /** Exact where it is `WEAK` or more; else no more than this. */
  readonly gain: number;
}

/** In a loop under this a wave dies away in some tens of turns at the most: −6 dB a turn. */
const WEAK = 0.5;

/** Whether a wave in the loops dies away so soon that it may be followed round. */
export const dieAway = (loops: readonly Loop[]): boolean => loops.every(({ gain }) => gain < WEAK);

/** A complex matrix by rows, from column to row as the group names them. */
interface Turn {
  readonly n: number;
  readonly re: Float64Array;
  readonly im: Float64Array;
}

function turnOf(group: readonly string[], couplings: Couplings): Turn {
  const n = group.length;
  const [re, im] = [new Float64Array(n * n), new Float64Array(n * n)];
  for (const [column, from] of group.entries()) {
    for (const [row, to] of group.entries()) {
      const coupling = couplings.get(from)?.get(to);
      if (!coupling) continue;
      re[row * n + column] = coupling.re;
      im[row * n + column] = coupling.im;
    }
  }
  return { n, re, im };
}

function squared({ n, re, im }: Turn): Turn {
  const [x, y] = [new Float64Array(n * n), new Float64Array(n * n)];
  for (let i = 0; i < n; i += 1) {
    for (let k = 0; k < n; k += 1) {
      const [a, b] = [re[i * n + k] ?? 0, im[i * n + k] ?? 0];
      if (a === 0 && b === 0) continue;
      for (let j = 0; j < n; j += 1) {
        const [c, d] = [re[k * n + j] ?? 0, im[k * n + j] ?? 0];
        x[i * n + j] = (x[i * n + j] ?? 0) + a * c - b * d;
        y[i * n + j] = (y[i * n + j] ?? 0) + a * d + b * c;
      }
    }
  }
  return { n, re: x, im: y };
}

/** The largest sum of magnitudes in a row. */
function rowNorm({ n, re, im }: Turn): number {
  let most = 0;
  for (let i = 0; i < n; i += 1) {
    let sum = 0;
    for (let j = 0; j < n; j += 1) sum += Math.hypot(re[i * n + j] ?? 0, im[i * n + j] ?? 0);
    most = Math.max(most, sum);
  }
  return most;
}

/** So many times a turn is squared: 32 turns at once tell within a tenth or so what one leaves. */
const SQUARINGS = 5;

/** No less than the spectral radius: ‖Mᵏ‖ to the power 1/k (Gelfand). */
function radiusAtMost(turn: Turn): number {
  let [power, turns] = [turn, 1];
  for (let i = 0; i < SQUARINGS; i += 1) [power, turns] = [squared(power), turns * 2];
  return rowNorm(power) ** (1 / turns);
}

/** As a real matrix [[Re, −Im], [Im, Re]], whose eigenvalues are those of the complex one and their conjugates. */
function realOf({ n, re, im }: Turn): Matrix {
  const matrix = Matrix.zeros(2 * n, 2 * n);
  for (let row = 0; row < n; row += 1) {
    for (let column = 0; column < n; column += 1) {
      const [a, b] = [re[row * n + column] ?? 0, im[row * n + column] ?? 0];
      matrix.set(row, column, a);
      matrix.set(row + n, column + n, a);
      matrix.set(row, column + n, -b);
      matrix.set(row + n, column, b);
    }
  }
  return matrix;
}

/** The spectral radius of a loop: at one or more a wave never dies away (Barkhausen, worst phase). */
function gainOf(group: readonly string[], couplings: Couplings): number {
  const turn = turnOf(group, couplings);
  if (turn.n === 1) return Math.hypot(turn.re[0] ?? 0, turn.im[0] ?? 0);
  const most = radiusAtMost(turn);
  if (most < WEAK) return most;
  const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(realOf(turn));
  return Math.max(...realEigenvalues.map((re, index) => Math.hypot(re, imaginaryEigenvalues[index] ?? 0)));
}

export const loopOf = (group: readonly string[], couplings: Couplings): Loop => ({
  drives: group,
  gain: gainOf(group, couplings),
});

/** What is left of a wave that may be forgotten: −240 dB. */
const GONE = 1e-12;

/** The sum of a wave and all that its turns leave of it. */
function followed({ drives }: Loop, couplings: Couplings, begun: readonly Phasor[]): Phasor[] {
  const sum = [...begun];
  let wave: readonly Phasor[] = begun;
  const first = Math.max(...begun.map(magnitude));
  while (Math.max(...wave.map(magnitude)) > GONE * first) {
    const next = drives.map((): Phasor => ZERO);
    for (const [column, from] of drives.entries()) {
      for (const [row, to] of drives.entries()) {
        const coupling = couplings.get(from)?.get(to);
        if (coupling) next[row] = plus(next[row] ?? ZERO, product(coupling, wave[column] ?? ZERO));
      }
    }
    for (const [row, value] of next.entries()) sum[row] = plus(sum[row] ?? ZERO, value);
    wave = next;
  }
  return sum;
}

/** Solves x = b + M·x within a loop: what stands at its drives once the wave has gone round and round. */
export function solveLoop(loop: Loop, couplings: Couplings, begun: readonly Phasor[]): Phasor[] {
  if (loop.gain < WEAK) return followed(loop, couplings, begun);
  const n = loop.drives.length;
  const matrix = Matrix.eye(2 * n).sub(realOf(turnOf(loop.drives, couplings)));
  const right = Matrix.columnVector([...begun.map((b) => b.re), ...begun.map((b) => b.im)]);
  const answer = solve(matrix, right);
  return begun.map((_, index) => ({ re: answer.get(index, 0), im: answer.get(index + n, 0) }));
}
