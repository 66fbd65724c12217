import type { Part, PartPort } from '../../parts';
import { SINE_CREST } from '../../units';
import { tie, type Classes, type Departure } from './classes';
import type { Analogue, OpenEnd, Sides, Sound, Wanted } from './end';
import { Grid, NO_ADMITTANCE } from './grid';
import { rangeOf } from './part-net';
import type { Passage } from './passage';
import type { Reduced } from './reduce-part';

/** A sound at a place watched: volts RMS, complex, with every knob at the most and at the least. */
export interface Amplitude {
  readonly most: readonly [number, number];
  readonly least: readonly [number, number];
}

const MUTE: Amplitude = { most: [0, 0], least: [0, 0] };

/** What was joined, solved with everything else open. */
export interface Joined {
  readonly classes: Classes;
  readonly alternating: Grid;
  readonly direct: Grid;
  readonly sounds: readonly Sound[];
  readonly wants: readonly Wanted[];
  readonly sides: Sides;
  /** What is watched in the part, sound by sound. */
  readonly heard: ReadonlyMap<string, readonly Amplitude[]>;
  /** Direct volts that stand where something is watched, everything else open. */
  readonly standing: (form: number) => number;
  /** A stage would clip with every knob down. */
  readonly clipped: boolean;
}

function stamp(grid: Grid, reduced: Reduced, to: readonly number[]): void {
  for (const [row, values] of reduced.admittance.entries())
    for (const [column, [re, im]] of values.entries())
      if (re !== 0 || im !== 0) grid.add(to[row] ?? 0, to[column] ?? 0, re, im);
}

function stampEnd(grid: Grid, own: Grid, end: Analogue, to: readonly number[], size: number, forms: number) {
  const row = (index: number) => (index < end.size ? (to[index] ?? 0) : forms + index - end.size);
  for (let r = 0; r < own.rows; r += 1) {
    for (let c = 0; c < own.columns; c += 1) {
      const [re, im] = [own.re(r, c), own.im(r, c)];
      if (re !== 0 || im !== 0) grid.add(row(r), c < end.size ? (to[c] ?? 0) : size + c - end.size, re, im);
    }
  }
}

const eliminateAll = (grid: Grid, nodes: number): Grid => {
  const copy = grid.copy();
  for (let node = 0; node < nodes; node += 1) copy.eliminate(node, NO_ADMITTANCE);
  return copy;
};

/** The size of a complex amplitude. */
export const size = ([re, im]: readonly [number, number]): number => Math.sqrt(re * re + im * im);
const decibels = (value: number): number => 20 * Math.log10(value);

/** Peaks may stand this far over a stage's limit in the estimate before it is given up: what a load still takes off. */
const GRACE = 3;

/** What drives of the part bring, sound by sound, from what its stages sense; held under their clip levels. */
function driven(
  passage: Passage,
  part: Part,
  sounds: readonly Sound[],
  heard: ReadonlyMap<string, readonly Amplitude[]>,
  fed: boolean,
) {
  const found = new Map<string, Amplitude[]>();
  for (const { from, to, least, most, inverts, fed: needsFeed } of passage.ways) {
    if (needsFeed && !fed) continue;
    const sensed = heard.get(from);
    if (!sensed?.some((one) => size(one.most) > 0)) continue;
    const sum = found.get(to) ?? sounds.map(() => MUTE);
    const sign = inverts ? -1 : 1;
    const plus = (a: readonly [number, number], b: readonly [number, number], factor: number) =>
      [a[0] + factor * b[0], a[1] + factor * b[1]] as const;
    found.set(
      to,
      sum.map((one, index) => {
        const add = sensed[index] ?? MUTE;
        return {
          most: plus(one.most, add.most, sign * most),
          least: plus(one.least, add.least, sign * least),
        };
      }),
    );
  }
  let clipped = false;
  for (const [id, amplitudes] of found) {
    const element = part.circuit.find((e) => e.kind === 'drive' && e.id === id);
    if (element?.kind !== 'drive') continue;
    const limit = rangeOf(element.clip, part).most + SINE_CREST;
    found.set(
      id,
      amplitudes.map((one, index) => {
        const crest = sounds[index]?.crest ?? 0;
        const over = decibels(size(one.most)) + crest - limit;
        if (decibels(size(one.least)) + crest - limit > GRACE) clipped = true;
        if (!(over > 0)) return one;
        const factor = 10 ** (-over / 20);
        return { ...one, most: [one.most[0] * factor, one.most[1] * factor] as const };
      }),
    );
  }
  return { found, clipped };
}

/** Adds to a grid what the drives bring, and to what is watched through them. */
function drive(
  grid: Grid,
  reduced: Reduced,
  to: readonly number[],
  drives: ReadonlyMap<string, Amplitude[]>,
  nodes: number,
) {
  for (const [c, { id, into }] of reduced.columns.entries()) {
    for (const [index, { most, least }] of (drives.get(id) ?? []).entries()) {
      const put = (row: number, [re, im]: readonly [number, number], sign: number) => {
        grid.add(
          row,
          nodes + 2 * index,
          sign * (re * most[0] - im * most[1]),
          sign * (re * most[1] + im * most[0]),
        );
        grid.add(
          row,
          nodes + 2 * index + 1,
          sign * (re * least[0] - im * least[1]),
          sign * (re * least[1] + im * least[0]),
        );
      };
      for (const [node, amperes] of into.entries()) put(to[node] ?? 0, amperes, 1);
      for (const [f, form] of reduced.forms.entries()) put(nodes + f, form.sources[c] ?? [0, 0], -1);
    }
  }
}

function read(grid: Grid, reduced: Reduced, nodes: number, sounds: number): Map<string, Amplitude[]> {
  return new Map(
    reduced.forms.map(({ id }, f) => [
      id,
      Array.from({ length: sounds }, (_, index): Amplitude => {
        const at = (column: number): [number, number] => [
          -grid.re(nodes + f, nodes + column),
          -grid.im(nodes + f, nodes + column),
        ];
        return { most: at(2 * index), least: at(2 * index + 1) };
      }),
    ]),
  );
}

/** Sources that sound of themselves, by the columns of a part that they drive. */
export type Voices = ReadonlyMap<string, Amplitude & Sound>;

const SILENCE: Analogue = {
  place: new Map(),
  size: 0,
  alternating: new Grid(0, 0),
  direct: new Grid(0, 1),
  sounds: [],
  pairs: [],
  wants: [],
  sides: 'any',
};

/** The same for direct current, with every supply on. Forms are the wants before, then those of the part and what it looks for. */
function joinDirect(before: Analogue, { direct: dc }: Passage, classes: Classes): Grid {
  const nodes = classes.size;
  const direct = new Grid(nodes + before.wants.length + dc.forms.length, nodes + 1);
  stampEnd(direct, before.direct, before, classes.first, nodes, nodes);
  stamp(direct, dc, classes.second);
  const [supplies] = dc.columns;
  for (const [node, [amperes]] of (supplies?.into ?? []).entries())
    direct.add(classes.second[node] ?? 0, nodes, amperes);
  for (const [f, { of, sources }] of dc.forms.entries()) {
    const row = nodes + before.wants.length + f;
    for (const [node, [re]] of of.entries()) direct.add(row, classes.second[node] ?? 0, re);
    direct.add(row, nodes, -(sources[0]?.[0] ?? 0));
  }
  return direct;
}

/** Puts a part, as seen from some of its ports, on an open end; without one, the part alone with its own voices. */
export function join(
  passage: Passage,
  entry: PartPort | undefined,
  end?: OpenEnd,
  voices?: Voices,
  reading?: Departure,
  fed = false,
): Joined | undefined {
  const before = end?.analogue ?? SILENCE;
  const { alternating: ac } = passage;
  const classes: Classes | undefined =
    end && entry
      ? tie(
          reading,
          { port: end.port, place: before.place, size: before.size },
          { port: entry, place: passage.places[0], size: ac.size },
        )
      : { first: [], second: Array.from({ length: ac.size }, (_, i) => i), size: ac.size };
  if (!classes) return undefined;
  const nodes = classes.size;
  const sounds: Sound[] = [...before.sounds, ...[...(voices ?? new Map<string, Sound>()).values()]];
  const base = new Grid(nodes + ac.forms.length, nodes + 2 * sounds.length);
  stampEnd(base, before.alternating, before, classes.first, nodes, nodes);
  stamp(base, ac, classes.second);
  for (const [f, { of }] of ac.forms.entries())
    for (const [node, [re, im]] of of.entries()) base.add(nodes + f, classes.second[node] ?? 0, re, im);
  const own = new Map(
    [...(voices ?? [])].map(([id, voice], v) => [
      id,
      sounds.map((_, index) => (index === before.sounds.length + v ? voice : MUTE)),
    ]),
  );
  drive(base, ac, classes.second, own, nodes);
  // Twice: a stage may be sensed by another of the same part.
  let heard = read(eliminateAll(base, nodes), ac, nodes, sounds.length);
  let alternating = base;
  let clipped = false;
  for (let pass = 0; pass < 2; pass += 1) {
    const stages = driven(passage, passage.part, sounds, heard, fed);
    if (stages.found.size === 0) break;
    clipped = stages.clipped;
    alternating = base.copy();
    drive(alternating, ac, classes.second, stages.found, nodes);
    heard = read(eliminateAll(alternating, nodes), ac, nodes, sounds.length);
  }
  const wants: Wanted[] = [...before.wants, ...passage.wants];
  const direct = joinDirect(before, passage, classes);
  let open: Grid | undefined;
  const standing = (form: number): number => {
    open ??= eliminateAll(direct, nodes);
    return -open.re(nodes + form, nodes);
  };
  return { classes, alternating, direct, sounds, wants, sides: before.sides, heard, standing, clipped };
}
