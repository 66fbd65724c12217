import type { Block } from './blocks';
import { heatOf, type UnitAnswer } from './noise-answers';
import type { Phasor } from './system';

/** How strongly a voltage at each place counts at the output. */
export interface Weights {
  readonly re: Float64Array;
  readonly im: Float64Array;
}

interface Heard {
  readonly place: number;
  readonly answer: UnitAnswer;
}

/** Mean square density of the heat of one block at an output that hears it at one or several places. */
export class HeardBlock {
  private readonly heard: Heard[] = [];
  /** Of each two places what their answers have in common, as far as it was asked. */
  private readonly common = new Map<number, Phasor>();

  constructor(readonly block: Block) {}

  hear(place: number, answer: UnitAnswer): void {
    this.heard.push({ place, answer });
  }

  /** The first place that counts at the output and hears it. */
  firstPlace({ re, im }: Weights): number | undefined {
    return this.heard.find(({ place }) => re[place] !== 0 || im[place] !== 0)?.place;
  }

  /** Answers of one block add with their phase: the sum over all pairs of places, w·G·w*. */
  density({ re, im }: Weights): number {
    let sum = 0;
    for (const [a, { place, answer }] of this.heard.entries()) {
      const [r, i] = [re[place] ?? 0, im[place] ?? 0];
      if (r === 0 && i === 0) continue;
      sum += (r * r + i * i) * answer.density;
      for (let b = 0; b < a; b += 1) {
        const other = this.heard[b]?.place ?? 0;
        const [s, j] = [re[other] ?? 0, im[other] ?? 0];
        if (s === 0 && j === 0) continue;
        const { re: common, im: turned } = this.commonOf(a, b);
        sum += 2 * ((r * s + i * j) * common - (i * s - r * j) * turned);
      }
    }
    // Where all cancels, what rounding leaves may be a hair below nothing.
    return Math.max(0, sum);
  }

  /** What the answers at two places have in common: the sum over the branches of density times one times the other’s conjugate. */
  private commonOf(a: number, b: number): Phasor {
    const key = a * this.heard.length + b;
    const known = this.common.get(key);
    if (known) return known;
    const [one, other] = [this.heard[a]?.answer, this.heard[b]?.answer];
    const sum = { re: 0, im: 0 };
    if (!one || !other) return sum;
    for (const branch of this.block.branches) {
      const heat = heatOf(branch);
      if (!heat) continue;
      const [x, y] = [heat.shows(one.response), heat.shows(other.response)];
      sum.re += heat.density * (x.re * y.re + x.im * y.im);
      sum.im += heat.density * (x.im * y.re - x.re * y.im);
    }
    this.common.set(key, sum);
    return sum;
  }
}
