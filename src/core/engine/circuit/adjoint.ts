import { Matrix, solve } from 'ml-matrix';
import type { Block } from './blocks';
import type { NetPath } from './netlist';
import type { NoiseAnswers, UnitAnswer } from './noise-answers';
import { ZERO, magnitude, plus, product, times, type Phasor } from './system';

/** A voltage that counts less than this at the output, −80 dB, brings no noise that could be told from none. */
const NEGLIGIBLE = 1e-4;

export type PathsTo = ReadonlyMap<string, readonly NetPath[]>;
type Weights = ReadonlyMap<string, Phasor>;

export interface Weighted {
  readonly answer: UnitAnswer;
  readonly weight: Phasor;
}

/** What a unit answer brings backwards to each sense, by the paths that feed its drives. */
function toSenses(answers: readonly UnitAnswer[], pathsTo: PathsTo): Map<string, Phasor> {
  const found = new Map<string, Phasor>();
  for (const { drives } of answers) {
    for (const { id, row } of drives) {
      for (const path of pathsTo.get(id) ?? []) {
        found.set(path.from, plus(found.get(path.from) ?? ZERO, times(row, path.gain)));
      }
    }
  }
  return found;
}

/** Weights of senses that feed one another in a circle: w = first + K·w, solved. */
function solveWeights(first: Weights, through: ReadonlyMap<string, Weights>): Weights {
  const names = [...through.keys()];
  const n = names.length;
  const matrix = Matrix.eye(2 * n);
  for (const [column, from] of names.entries()) {
    for (const [to, { re, im }] of through.get(from) ?? []) {
      const row = names.indexOf(to);
      matrix.set(row, column, matrix.get(row, column) - re);
      matrix.set(row + n, column + n, matrix.get(row + n, column + n) - re);
      matrix.set(row, column + n, matrix.get(row, column + n) + im);
      matrix.set(row + n, column, matrix.get(row + n, column) - im);
    }
  }
  const begun = names.map((name) => first.get(name) ?? ZERO);
  const answer = solve(matrix, Matrix.columnVector([...begun.map((b) => b.re), ...begun.map((b) => b.im)]));
  return new Map(
    names.map((name, index) => [name, { re: answer.get(index, 0), im: answer.get(index + n, 0) }]),
  );
}

/** Weights of senses where stages feed back on themselves. */
function loopWeights(first: Weights, before: (id: string) => Weights): Weights {
  const through = new Map<string, Weights>();
  for (const queue = [...first.keys()]; queue.length > 0;) {
    const id = queue.pop() ?? '';
    if (through.has(id)) continue;
    const next = before(id);
    through.set(id, next);
    queue.push(...next.keys());
  }
  return solveWeights(first, through);
}

/** Weights of senses one stage after another, until nothing that counts is left. */
function waveWeights(
  first: Weights,
  before: (id: string) => Weights,
  isSense: (id: string) => boolean,
): Weights {
  const weights = new Map<string, Phasor>();
  for (let wave: Weights = first; wave.size > 0;) {
    const next = new Map<string, Phasor>();
    for (const [id, weight] of wave) {
      if (magnitude(weight) < NEGLIGIBLE || !isSense(id)) continue;
      weights.set(id, plus(weights.get(id) ?? ZERO, weight));
      for (const [ahead, gain] of before(id))
        next.set(ahead, plus(next.get(ahead) ?? ZERO, product(gain, weight)));
    }
    wave = next;
  }
  return weights;
}

/** How strongly a voltage at each sense counts at the output, and how each block answers to the output. */
export interface Adjoint {
  readonly answers: ReadonlyMap<Block, readonly Weighted[]>;
  /** The sense ahead of which a block stands; absent of what stands at the output itself. */
  readonly ahead: ReadonlyMap<Block, string>;
  readonly weights: Weights;
}

/**
 * The adjoint network (Director and Rohrer 1969): a unit current into the output answers with the transfer from every
 * branch to it. Networks without controlled sources are reciprocal, so the block's own matrix serves; stages are
 * crossed backwards, from a drive to the senses that feed it.
 */
export function adjoint(
  { senses, between }: NoiseAnswers,
  pathsTo: PathsTo,
  band: number,
  [from, to]: readonly [number, number],
  loops: boolean,
): Adjoint {
  const answersAt = (p: number, m: number): UnitAnswer[] => {
    const list: UnitAnswer[] = [];
    between(p, m, band, (answer) => list.push(answer));
    return list;
  };
  const output = answersAt(from, to);
  const found = new Map<Block, Weighted[]>();
  const ahead = new Map<Block, string>();
  const put = (list: readonly UnitAnswer[], weight: Phasor, sense?: string) => {
    for (const answer of list) {
      const known = found.get(answer.block);
      if (known) known.push({ answer, weight });
      else {
        found.set(answer.block, [{ answer, weight }]);
        if (sense !== undefined) ahead.set(answer.block, sense);
      }
    }
  };
  put(output, { re: 1, im: 0 });
  const own = new Map<string, UnitAnswer[]>();
  const ownAnswers = (id: string): UnitAnswer[] => {
    const sense = senses.get(id);
    const list = own.get(id) ?? (sense ? answersAt(sense.from, sense.to) : []);
    own.set(id, list);
    return list;
  };
  const first = toSenses(output, pathsTo);
  const before = (id: string) => toSenses(ownAnswers(id), pathsTo);
  const weights = loops ? loopWeights(first, before) : waveWeights(first, before, (id) => senses.has(id));
  for (const [id, weight] of weights) put(ownAnswers(id), weight, id);
  return { answers: found, ahead, weights };
}
