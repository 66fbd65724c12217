import { Matrix, solve } from 'ml-matrix';
import type { Block } from './blocks';
import type { NetPath } from './netlist';
import { HeardBlock, type Weights } from './heard-block';
import { density, type NoiseAnswers } from './noise-answers';
import type { Phasor } from './system';

/** A voltage that counts less than this at the output, −80 dB, brings no noise that could be told from none. */
const NEGLIGIBLE = 1e-4;

/** Places are the output, as number 0, and after it every sense from which anything could come. */
const OUTPUT = 0;

/** By one path a place’s noise hears a sense: `row` volts of its drive for each volt that the path gives. */
interface Edge {
  readonly to: number;
  readonly path: number;
  readonly row: Phasor;
}

interface InBand {
  readonly edges: readonly (readonly Edge[])[];
  readonly blocks: readonly HeardBlock[];
}

const none = (count: number): Weights => ({ re: new Float64Array(count), im: new Float64Array(count) });

/**
 * All that stands ahead of an output, for one circuit whatever its gains: the adjoint network (Director and Rohrer 1969). A unit
 * current into the output answers with the transfer from every branch to it. Networks without controlled sources are
 * reciprocal, so the block's own matrix serves; stages are crossed backwards, from a drive to the senses that feed it.
 */
export class Upstream {
  /** The sense of each place after the output. */
  readonly senses: readonly string[];
  /** The paths by which anything could come, by their place in the list. */
  readonly paths: readonly number[];
  private readonly pathsTo = new Map<string, number[]>();
  /** Mean square density of each place’s own stage; nothing at the output. */
  private readonly own: Float64Array;
  private readonly bands: InBand[] = [];
  /** Room for waves, used again and again. */
  private readonly room: readonly [Weights, Weights, Weights];

  constructor(
    private readonly answers: NoiseAnswers,
    private readonly all: readonly NetPath[],
    private readonly port: readonly [number, number],
  ) {
    for (const [index, { to }] of all.entries()) {
      const known = this.pathsTo.get(to);
      if (known) known.push(index);
      else this.pathsTo.set(to, [index]);
    }
    const [senses, paths] = this.reached();
    this.senses = [...senses];
    this.paths = [...paths];
    const count = this.senses.length + 1;
    this.own = Float64Array.from(['', ...this.senses], (id) =>
      density(answers.senses.get(id)?.noise ?? -Infinity),
    );
    this.room = [none(count), none(count), none(count)];
  }

  /** The senses, and the paths from them, from which anything could come through however many stages. */
  private reached(): [ReadonlySet<string>, ReadonlySet<number>] {
    const senses = new Set<string>();
    const paths = new Set<number>();
    const look = (from: number, to: number) =>
      this.answers.between(from, to, 0, ({ block }) => {
        for (const branch of block.branches) {
          for (const path of branch.kind === 'drive' ? (this.pathsTo.get(branch.id) ?? []) : []) {
            paths.add(path);
            const sense = this.all[path]?.from ?? '';
            if (this.answers.senses.has(sense)) senses.add(sense);
          }
        }
      });
    look(...this.port);
    for (const id of senses) {
      const sense = this.answers.senses.get(id);
      if (sense) look(sense.from, sense.to);
    }
    return [senses, paths];
  }

  /** What is heard at each place in a third octave, worked out once. */
  private band(band: number): InBand {
    const known = this.bands[band];
    if (known) return known;
    const numbers = new Map(this.senses.map((id, index) => [id, index + 1]));
    const blocks = new Map<Block, HeardBlock>();
    const edges = ['', ...this.senses].map((id, place): readonly Edge[] => {
      const found: Edge[] = [];
      const sense = this.answers.senses.get(id);
      const [from, to] = sense && place !== OUTPUT ? [sense.from, sense.to] : this.port;
      this.answers.between(from, to, band, (answer) => {
        const heard = blocks.get(answer.block) ?? new HeardBlock(answer.block);
        blocks.set(answer.block, heard);
        heard.hear(place, answer);
        for (const { id: drive, row } of answer.drives) {
          for (const path of this.pathsTo.get(drive) ?? []) {
            const number = numbers.get(this.all[path]?.from ?? '');
            if (number !== undefined) found.push({ to: number, path, row });
          }
        }
      });
      return found;
    });
    const made = { edges, blocks: [...blocks.values()] };
    this.bands[band] = made;
    return made;
  }

  /** Mean square density at the output of what the stage at a place makes itself. */
  stageDensity({ re, im }: Weights, place: number): number {
    const [r, i] = [re[place] ?? 0, im[place] ?? 0];
    return (this.own[place] ?? 0) * (r * r + i * i);
  }

  /** Mean square density at the output of all that makes noise. */
  density(band: number, gains: readonly NetPath[], loops: boolean): number {
    const weights = this.weights(band, gains, loops);
    let sum = 0;
    for (const block of this.blocks(band)) sum += block.density(weights);
    for (let place = 0; place < this.own.length; place += 1) sum += this.stageDensity(weights, place);
    return sum;
  }

  blocks(band: number): readonly HeardBlock[] {
    return this.band(band).blocks;
  }

  /** The weights of all places under these gains, until they are asked for again; with `loops`, stages feed back on themselves. */
  weights(band: number, gains: readonly NetPath[], loops: boolean): Weights {
    const { edges } = this.band(band);
    return loops ? looped(edges, gains) : inWaves(edges, gains, this.room);
  }
}

/** One stage after another, until nothing that counts is left. */
function inWaves(
  edges: InBand['edges'],
  gains: readonly NetPath[],
  [total, ...room]: readonly [Weights, Weights, Weights],
): Weights {
  let [wave, next] = room;
  for (const { re, im } of [total, wave, next]) {
    re.fill(0);
    im.fill(0);
  }
  wave.re[OUTPUT] = 1;
  while (onwards(edges, gains, wave, total, next)) {
    [wave, next] = [next, wave];
    next.re.fill(0);
    next.im.fill(0);
  }
  return total;
}

/** One wave counted and sent on into the next; false where nothing went on. */
function onwards(
  edges: InBand['edges'],
  gains: readonly NetPath[],
  wave: Weights,
  total: Weights,
  next: Weights,
): boolean {
  let goesOn = false;
  for (let place = 0; place < edges.length; place += 1) {
    const re = wave.re[place] ?? 0;
    const im = wave.im[place] ?? 0;
    if (re * re + im * im < NEGLIGIBLE * NEGLIGIBLE) continue;
    total.re[place] = (total.re[place] ?? 0) + re;
    total.im[place] = (total.im[place] ?? 0) + im;
    for (const { to, path, row } of edges[place] ?? []) {
      const gain = gains[path]?.gain ?? 0;
      if (gain === 0) continue;
      next.re[to] = (next.re[to] ?? 0) + gain * (row.re * re - row.im * im);
      next.im[to] = (next.im[to] ?? 0) + gain * (row.re * im + row.im * re);
      goesOn = true;
    }
  }
  return goesOn;
}

/** Where places feed one another in a circle: w = first + K·w, solved. */
function looped(edges: InBand['edges'], gains: readonly NetPath[]): Weights {
  const n = edges.length;
  const matrix = Matrix.eye(2 * n);
  const add = (row: number, column: number, value: number) =>
    matrix.set(row, column, matrix.get(row, column) + value);
  for (const [column, ahead] of edges.entries()) {
    for (const { to, path, row } of ahead) {
      const gain = gains[path]?.gain ?? 0;
      add(to, column, -gain * row.re);
      add(to + n, column + n, -gain * row.re);
      add(to, column + n, gain * row.im);
      add(to + n, column, -gain * row.im);
    }
  }
  const begun = new Array<number>(2 * n).fill(0);
  begun[OUTPUT] = 1;
  const answer = solve(matrix, Matrix.columnVector(begun)).to1DArray();
  return { re: Float64Array.from(answer.slice(0, n)), im: Float64Array.from(answer.slice(n)) };
}
