import type { PartPort } from '../../parts';
import { tie, type Classes, type Departure } from './classes';
import type { Analogue, OpenEnd, Sides, Sound, Wanted } from './end';
import { Grid, NO_ADMITTANCE } from './grid';
import type { Passage } from './passage';
import type { Reduced } from './reduce-part';
import { driven, MUTE, type Amplitude } from './stages';

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
  /** Of a bare microphone: every stage that senses it has not much less noise than a line input. */
  readonly inLine: boolean;
  /** The same without what stages bring. */
  readonly unstaged: Grid;
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

/** What stages bring to what copper has joined. */
interface Brought {
  readonly alternating: Grid;
  readonly heard: Joined['heard'];
  readonly staged: boolean;
  readonly clipped: boolean;
  readonly inLine: boolean;
}

const NOTHING_HEARD: Joined['heard'] = new Map();

/** Twice: a stage may be sensed by another of the same part. */
function brought(base: Grid, passage: Passage, to: Classes, sounds: readonly Sound[], fed: boolean): Brought {
  const { alternating: ac, part } = passage;
  // Copper listens nowhere.
  const listens = ac.forms.length > 0;
  const readIn = (grid: Grid) => read(eliminateAll(grid, to.size), ac, to.size, sounds.length);
  let found: Brought = {
    alternating: base,
    heard: listens ? readIn(base) : NOTHING_HEARD,
    staged: false,
    clipped: false,
    inLine: false,
  };
  for (let pass = 0; listens && pass < 2; pass += 1) {
    const stages = driven(passage, part, sounds, found.heard, fed);
    if (stages.found.size === 0) break;
    const alternating = base.copy();
    drive(alternating, ac, to.second, stages.found, to.size);
    const { clipped } = stages;
    const inLine = pass === 0 ? stages.inLine : found.inLine;
    found = { alternating, heard: readIn(alternating), staged: true, clipped, inLine };
  }
  return found;
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
  if (voices) {
    const own = new Map(
      [...voices].map(([id, voice], v) => [
        id,
        sounds.map((_, index) => (index === before.sounds.length + v ? voice : MUTE)),
      ]),
    );
    drive(base, ac, classes.second, own, nodes);
  }
  const { staged, ...stages } = brought(base, passage, classes, sounds, fed);
  const wants: Wanted[] = [...before.wants, ...passage.wants];
  const direct = joinDirect(before, passage, classes);
  let open: Grid | undefined;
  const standing = (form: number): number => {
    open ??= eliminateAll(direct, nodes);
    return -open.re(nodes + form, nodes);
  };
  return {
    ...stages,
    classes,
    direct,
    sounds: staged ? sounds.map((sound) => ({ ...sound, bare: false })) : sounds,
    wants,
    sides: before.sides,
    standing,
    unstaged: base,
  };
}
