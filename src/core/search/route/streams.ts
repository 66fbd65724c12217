import type { Part } from '../../parts';
import { ChainFinder } from './chains';
import { chargeSockets, chargesThrough } from './charging';
import { couldRecord, exitsOf, sourceEnds, type OpenEnd } from './ends';
import { costOfOneMore, NOTHING, plus, useOf, type Cost } from './inventory';
import type { Drawer } from '../drawer';
import { withChain, withPiece, type Layout, type Piece } from './layout';
import { Legs } from './legs';
import type { Pool } from './pool';
import { assign, entriesOf, middleEnds } from './sockets';

/** Layouts of one shape as they are found, the cheapest first. */
export interface Stream {
  /** The least that the next one can cost; undefined when there is none. */
  readonly bound: Cost | undefined;
  /** The next one, or undefined: when there is none, or after one step that led to none yet. */
  step(): Layout | undefined;
}

/** What every stream of a search shares. */
export interface Ground {
  readonly sources: readonly Piece[];
  /** What every source goes into, where the user has it already. */
  readonly middle?: Part;
  /** Every recorder charges meanwhile. */
  readonly charge: boolean;
  /** The most that may be spent. */
  readonly budget: number;
  /** Each source on a side or track of its own. */
  readonly apart: boolean;
  readonly recorders: readonly Piece[];
  readonly pool: Pool;
  readonly drawer: Drawer;
  readonly longest: number;
  /** What a source that is not joined to its own supply needs beside the chain. */
  readonly extra: (source: OpenEnd) => Cost;
  /** What costs more than this is not wanted any more. */
  readonly ceiling: () => Cost | undefined;
  /** Whether the app of a recorder takes what comes to it this way. */
  readonly takes: (recorder: Piece, end: OpenEnd) => boolean;
}

const bare = ({ sources, recorders }: Ground): Layout => ({
  pieces: [...sources, ...recorders.filter((r) => !sources.includes(r))],
  joints: [],
  sources: sources.map((piece) => piece.id),
  recorders: recorders.map((piece) => piece.id),
  kind: '',
});

/** Of the two outputs of a pair the first: the other is joined with it. */
function firstOfPairs(ends: readonly OpenEnd[]): OpenEnd[] {
  const kinds = new Map<string, OpenEnd>();
  for (const end of ends) {
    const kind = `${end.port.connector} ${end.port.gender}`;
    if (!kinds.has(kind)) kinds.set(kind, end);
  }
  return [...kinds.values()];
}

const startsOf = (source: Piece): OpenEnd[] => firstOfPairs(sourceEnds(source.part));

/** A box with a socket for the charger of what stands ahead of it. */
const passesCharge = (part: Part): boolean =>
  (part.hub !== undefined || part.bus !== undefined) && chargeSockets(part).length > 0;

const toRecorder = (ground: Ground, starts: readonly OpenEnd[], recorder: Piece): ChainFinder =>
  new ChainFinder({
    starts,
    goal: recorder.part,
    ports: recorder.part.ports.filter((port) => port.direction !== 'out'),
    pool: ground.pool,
    drawer: ground.drawer,
    longest: ground.longest,
    budget: ground.budget,
    ceiling: ground.ceiling,
    ...(ground.charge && chargesThrough(recorder.part) && { via: ground.pool.parts.filter(passesCharge) }),
    ...(starts[0]?.part.power && { extra: ground.extra }),
    accepts: (port, end) =>
      couldRecord(recorder.part, port, end.labels, end.wants) && ground.takes(recorder, end),
  });

const toMiddle = (ground: Ground, source: Piece, middle: Part): ChainFinder =>
  new ChainFinder({
    starts: startsOf(source),
    goal: middle,
    ports: entriesOf(middle),
    pool: ground.pool,
    drawer: ground.drawer,
    longest: Math.min(3, ground.longest),
    budget: ground.budget,
    ceiling: ground.ceiling,
    accepts: (port, end) => exitsOf(middle, port, end.labels, end).length > 0,
  });

/** One source, one recorder, and a chain between. */
export function single(ground: Ground): Stream[] {
  const [source, recorder] = [ground.sources[0], ground.recorders[0]];
  if (!source || !recorder) return [];
  const finder = toRecorder(ground, startsOf(source), recorder);
  return [
    {
      get bound() {
        return finder.bound;
      },
      step() {
        const chain = finder.step();
        return chain && withChain(bare(ground), source.id, chain, recorder.id);
      },
    },
  ];
}

/** Every source has a socket of its own on the recorder. */
export function intoRecorder(ground: Ground): Stream[] {
  const [recorder] = ground.recorders;
  if (!recorder || ground.recorders.length > 1) return [];
  const legs = new Legs(ground.sources.map((s) => toRecorder(ground, startsOf(s), recorder)));
  return [
    {
      get bound() {
        return legs.bound;
      },
      step() {
        const chains = legs.step();
        const ports =
          chains &&
          assign(
            recorder.part,
            chains.map((chain) => chain.to),
          );
        return (
          ports &&
          layLegs(
            bare(ground),
            ground,
            chains,
            recorder.id,
            ports.map((port) => port.id),
          )
        );
      },
    },
  ];
}

const layLegs = (
  layout: Layout,
  { sources }: Ground,
  chains: Parameters<typeof withChain>[2][],
  to: string,
  ports: readonly string[],
): Layout =>
  chains.reduce(
    (grown, chain, index) => withChain(grown, sources[index]?.id ?? '', chain, to, ports[index]),
    layout,
  );

/** One source that gives each of several recorders an output of its own. */
export function outOfSource(ground: Ground): Stream[] {
  const [source] = ground.sources;
  if (!source || ground.sources.length > 1) return [];
  const legs = new Legs(ground.recorders.map((r) => toRecorder(ground, sourceEnds(source.part), r)));
  return [
    {
      get bound() {
        return legs.bound;
      },
      step() {
        const chains = legs.step();
        if (!chains || !distinct(chains.map((chain) => chain.from.id))) return undefined;
        return chains.reduce(
          (grown, chain, index) => withChain(grown, source.id, chain, ground.recorders[index]?.id ?? ''),
          bare(ground),
        );
      },
    },
  ];
}

const distinct = (ids: readonly string[]): boolean => new Set(ids).size === ids.length;

/** Sources that join in a part, or one source that a part shares out: legs into it, and legs from it to each recorder. */
function through(ground: Ground, middle: Part): Stream {
  const { sources, recorders } = ground;
  const own = ground.middle ? NOTHING : costOfOneMore(middle, useOf([]), ground.drawer);
  const legs = new Legs([
    ...sources.map((source) => toMiddle(ground, source, middle)),
    ...recorders.map((recorder) => toRecorder(ground, middleEnds(middle), recorder)),
  ]);
  return {
    get bound() {
      const rest = legs.bound;
      return rest && plus(rest, { ...own, joints: 0 });
    },
    step() {
      const chains = legs.step();
      if (!chains) return undefined;
      const [into, out] = [chains.slice(0, sources.length), chains.slice(sources.length)];
      const ports = assign(
        middle,
        into.map((chain) => chain.to),
        ground.apart,
      );
      if (!ports) return undefined;
      const exits = assign(
        middle,
        out.map((chain) => chain.from),
        false,
        ports,
      );
      if (!exits) return undefined;
      const placed = withPiece(bare(ground), middle);
      const named = {
        ...placed.layout,
        kind: middle.id,
        ...(ground.middle && { given: placed.id }),
      };
      const joined = layLegs(
        named,
        ground,
        into,
        placed.id,
        ports.map((port) => port.id),
      );
      return out.reduce((grown, chain, index) => {
        const from = exits[index] ?? chain.from;
        return withChain(grown, placed.id, { ...chain, from }, recorders[index]?.id ?? '');
      }, joined);
    },
  };
}

/** A part with sockets for every source and an end for every recorder. */
const couldStand = (part: Part, { sources, recorders, apart }: Ground): boolean =>
  // More than two sources are kept apart by a device with as many channels, and by nothing else.
  (!apart || sources.length < 3 || (part.captures ?? []).some((c) => c.channels.length >= sources.length)) &&
  entriesOf(part).length >= sources.length &&
  middleEnds(part).length >= Math.min(recorders.length, 1) &&
  part.ports.length >= sources.length + recorders.length;

/** The shapes in which these sources can come to these recorders. */
export function streamsOf(ground: Ground): Stream[] {
  if (ground.middle) return [through(ground, ground.middle)];
  if (ground.sources.length === 1 && ground.recorders.length === 1) return single(ground);
  const middles = ground.pool.parts
    .filter((part) => couldStand(part, ground))
    .map((part) => through(ground, part));
  return [...intoRecorder(ground), ...outOfSource(ground), ...middles];
}
