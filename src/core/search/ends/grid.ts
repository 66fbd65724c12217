/** Halves first, so that the array is one of floating-point numbers, and stays one when they are zeros. */
const ZEROS: number[] = Array.from({ length: 1024 }, () => 0.5).fill(0);

/** So many zeros; a copy of some that are there takes a tenth of the time that making them does. */
function zeros(count: number): number[] {
  return count <= ZEROS.length ? ZEROS.slice(0, count) : new Array<number>(count).fill(0);
}

/**
 * A small dense complex matrix, rows by columns, real and imaginary parts side by side. Rows of the first `nodes` unknowns are
 * equations of Kirchhoff's current law; rows after them are forms, sums of the unknowns that somebody watches. Columns after the
 * first `nodes` are excitations, of equations as they stand on the right-hand side, of forms with the sign turned.
 */
export class Grid {
  /** A plain array: small grids are made by the hundred thousand, and a typed one takes far longer to make. */
  private readonly values: number[];

  constructor(
    readonly rows: number,
    readonly columns: number,
    values?: number[],
  ) {
    this.values = values ?? zeros(2 * rows * columns);
  }

  private at(row: number, column: number): number {
    return 2 * (row * this.columns + column);
  }

  re(row: number, column: number): number {
    return this.values[this.at(row, column)] ?? 0;
  }

  im(row: number, column: number): number {
    return this.values[this.at(row, column) + 1] ?? 0;
  }

  add(row: number, column: number, re: number, im = 0): void {
    const at = this.at(row, column);
    this.values[at] = (this.values[at] ?? 0) + re;
    this.values[at + 1] = (this.values[at + 1] ?? 0) + im;
  }

  copy(): Grid {
    return new Grid(this.rows, this.columns, this.values.slice());
  }

  /**
   * Takes an unknown out of every other row (Schur complement, one step of Gauss elimination). One whose own admittance is
   * nothing beside `scale` floats: nothing is known of it, and it is left out.
   */
  eliminate(node: number, scale: number): void {
    const { values, columns, rows } = this;
    const own = this.at(node, node);
    const [pr, pi] = [values[own] ?? 0, values[own + 1] ?? 0];
    const size = pr * pr + pi * pi;
    if (!(Math.sqrt(size) > scale)) return;
    const from = this.at(node, 0);
    for (let row = 0; row < rows; row += 1) {
      if (row === node) continue;
      const at = this.at(row, node);
      const [ar, ai] = [values[at] ?? 0, values[at + 1] ?? 0];
      if (ar === 0 && ai === 0) continue;
      const fr = (ar * pr + ai * pi) / size;
      const fi = (ai * pr - ar * pi) / size;
      const to = this.at(row, 0);
      for (let k = 0; k < 2 * columns; k += 2) {
        const [br, bi] = [values[from + k] ?? 0, values[from + k + 1] ?? 0];
        values[to + k] = (values[to + k] ?? 0) - (fr * br - fi * bi);
        values[to + k + 1] = (values[to + k + 1] ?? 0) - (fr * bi + fi * br);
      }
      values[at] = 0;
      values[at + 1] = 0;
    }
  }
}

/** Admittances smaller than this, in siemens, are the solver's rounding: 1 TΩ. */
export const NO_ADMITTANCE = 1e-12;
