import { isPassiveLink, type Part, type PartPort } from '../../parts';
import type { OpenEnd } from '../ends';
import { kindOfChain } from './chain-kinds';
import { bare, type Ground } from './ground';
import { costOfOneMore, NOTHING, plus, useOf, type Cost } from './inventory';
import { withChain, withPiece, type Layout, type Piece } from './layout';
import type { LegStore, Stand } from './leg-store';
import { Legs, type Sockets } from './legs';
import type { Arrives } from './meeting';
import type { PartChain } from './part-chain';
import { likeSockets, socketsAlike } from './pool';
import { assign, distinctPorts, firstOfPairs, isRadioIn, middleEnds } from './sockets';

/** Packs join in their receivers, and these and what else sounds join in a box behind: two packs and a guitar in a mixer. */
export interface JoinedFirst {
  /** What names both boxes. */
  readonly name: string;
  readonly own: Cost;
  readonly make: () => Legs;
  readonly least: () => number;
  readonly lay: (chains: readonly PartChain[]) => Layout | undefined;
}

/** What is known of boxes that could stand behind. */
export interface Behind {
  /** Whether so many ways could join in a box. */
  readonly couldJoin: (box: Part, ways: number) => boolean;
  /** Tells what of a source is recorded beyond a box. */
  readonly arrivesBeyond: (box: Part) => Arrives;
  /** Where what is in a box leaves it for something that records. */
  readonly endsTo: (box: Part, recorder: Piece) => readonly OpenEnd[];
  /** Where a box stands that is to be bought. */
  readonly stands: readonly Stand[];
}

/** Which sources share a receiver, and where every chain leads: of sources, then of receivers, then to what records. */
interface Shape {
  readonly ground: Ground;
  readonly receiver: Part;
  readonly box: Part;
  readonly groups: readonly (readonly Piece[])[];
}

/** A socket for each chain that comes into the box, for each of a group in its receiver, and for each that leaves. */
interface Taken {
  readonly inBox: readonly PartPort[];
  readonly inReceivers: readonly (readonly PartPort[])[];
  readonly exits: readonly PartPort[];
}

const isPack = (part: Part): boolean =>
  part.ports.some(({ connector, direction }) => connector === 'radio' && direction === 'out');

/** How many packs a receiver takes. */
const takes = (part: Part): number => part.ports.filter(isRadioIn).length;

/** Sources that share a receiver, in the order in which they are asked for; a pack that is left over is on its own. */
function groupsOf(sources: readonly Piece[], most: number): readonly (readonly Piece[])[] {
  const packs = sources.filter(({ part }) => isPack(part));
  const groups = Array.from({ length: Math.ceil(packs.length / most) }, (_, n) =>
    packs.slice(n * most, (n + 1) * most),
  );
  return groups.filter((group) => group.length > 1);
}

const groupOf = ({ groups }: Shape, source: Piece): number =>
  groups.findIndex((group) => group.includes(source));

/** Where the chain of a leg into a box or a receiver leads. */
function goalOf(shape: Shape, leg: number): Part {
  const source = shape.ground.sources[leg];
  return source && groupOf(shape, source) >= 0 ? shape.receiver : shape.box;
}

const legsIn = ({ ground, groups }: Shape): number => ground.sources.length + groups.length;

const allThere = <T>(list: readonly (T | undefined)[]): list is readonly T[] =>
  list.every((one) => one !== undefined);

/** Room for all of these chains; undefined where they do not find sockets side by side. */
function roomFor(shape: Shape, chains: readonly PartChain[]): Taken | undefined {
  const { ground, receiver, box, groups } = shape;
  const into = chains.slice(0, legsIn(shape));
  const inBox = assign(
    box,
    into.flatMap(({ to }, leg) => (goalOf(shape, leg) === box ? [to] : [])),
    ground.apart,
  );
  const inReceivers = groups.map((group) =>
    assign(
      receiver,
      group.flatMap((source) => chains[ground.sources.indexOf(source)]?.to ?? []),
    ),
  );
  const leaving = chains.slice(legsIn(shape)).map(({ from }) => from);
  // A send is no other send, however alike their sockets are.
  const exits = inBox && (ground.callers ? distinctPorts(leaving) : assign(box, leaving, false, inBox));
  return inBox && exits && allThere(inReceivers) ? { inBox, inReceivers, exits } : undefined;
}

/** A chain into a receiver and one out of it as one. */
const overReceiver = (receiver: Part, chain: PartChain, entry: PartPort, on: PartChain): PartChain => ({
  ...on,
  from: chain.from,
  links: [...chain.links, { part: receiver, entry, exit: on.from }, ...on.links],
});

/** The way of a source into the box, over its receiver where it has one, and the socket where it ends. */
function wholeWay(
  shape: Shape,
  chains: readonly PartChain[],
  taken: Taken,
  leg: number,
): [PartChain, PartPort] | undefined {
  const { ground, receiver, groups } = shape;
  const { sources } = ground;
  const [source, chain] = [sources[leg], chains[leg]];
  if (!source || !chain) return undefined;
  const alone = sources.filter((one) => groupOf(shape, one) < 0);
  const group = groupOf(shape, source);
  if (group < 0) return [chain, taken.inBox[alone.indexOf(source)] ?? chain.to];
  const on = chains[sources.length + group];
  const entry = taken.inReceivers[group]?.[groups[group]?.indexOf(source) ?? 0] ?? chain.to;
  if (!on) return undefined;
  return [overReceiver(receiver, chain, entry, on), taken.inBox[alone.length + group] ?? on.to];
}

/** Whether every source could be recorded by everything that records. */
function allArrive(shape: Shape, chains: readonly PartChain[], taken: Taken, arrives: Arrives): boolean {
  const { sources, recorders } = shape.ground;
  return sources.every((source, leg) => {
    const way = wholeWay(shape, chains, taken, leg);
    return recorders.every((recorder, n) => {
      const out = chains[legsIn(shape) + n];
      return way && out && arrives(source, way[0], way[1], recorder, out).length > 0;
    });
  });
}

/** Which chains can be used together: they find sockets side by side, and of each source something is recorded beyond the box. */
function socketsOf(
  shape: Shape,
  arrives: Arrives,
  firstInto: (source: Piece) => PartChain | undefined,
): Sockets {
  const { ground, receiver, box, groups } = shape;
  const { sources, recorders } = ground;
  const into = Array.from({ length: legsIn(shape) }, (_, leg) => leg);
  const toBox = into.filter((leg) => goalOf(shape, leg) === box);
  /** A source that goes by a leg into the box, and its whole way there. */
  const wayBy = (leg: number, chain: PartChain): readonly [Piece, PartChain] | undefined => {
    const alone = sources[leg];
    if (alone) return [alone, chain];
    const source = groups[leg - sources.length]?.[0];
    const first = source && firstInto(source);
    return first && [source, overReceiver(receiver, first, first.to, chain)];
  };
  const classes = new Map<string, object>();
  return {
    kindOf: (leg, { from, to }) => {
      if (leg < legsIn(shape)) return socketsAlike(goalOf(shape, leg), to);
      return ground.callers ? from.id : socketsAlike(box, from);
    },
    haveRoom: (chains) => roomFor(shape, chains) !== undefined,
    isLost: () => false,
    pairs: toBox.flatMap((leg) => recorders.map((_, n) => [leg, legsIn(shape) + n] as const)),
    // What a chain brings hangs on its end alone.
    classOf: (leg, chain) => {
      if (leg >= legsIn(shape)) return chain;
      const name = `${socketsAlike(goalOf(shape, leg), chain.to)} ${chain.state}`;
      const known = classes.get(name) ?? {};
      classes.set(name, known);
      return known;
    },
    clash: ([leg, m], chain, out) => {
      const [way, recorder] = [wayBy(leg, chain), recorders[m - legsIn(shape)]];
      if (!way || !recorder) return false;
      const [source, whole] = way;
      const couldBe = (entry: PartPort) => arrives(source, whole, entry, recorder, out).length > 0;
      return !likeSockets(box, whole.to).some(couldBe);
    },
  };
}

/** Which sockets of what is bought are used makes no other way. */
const inKind = (chain: PartChain, from: boolean, to: boolean): PartChain => ({
  ...chain,
  kind: kindOfChain(from ? chain.from : undefined, chain.links, to ? chain.to : undefined),
});

function lay(shape: Shape, chains: readonly PartChain[], taken: Taken): Layout {
  const { ground, receiver, box, groups } = shape;
  const { sources, recorders, middle } = ground;
  const placed = withPiece({ ...bare(ground), kind: `${receiver.id} ${box.id}` }, box);
  let layout: Layout = { ...placed.layout, ...(middle && { given: placed.id }) };
  const isThere = middle !== undefined;
  const alone = sources.filter((one) => groupOf(shape, one) < 0);
  for (const [n, source] of alone.entries()) {
    const chain = chains[sources.indexOf(source)];
    if (chain)
      layout = withChain(layout, source.id, inKind(chain, true, isThere), placed.id, taken.inBox[n]?.id);
  }
  for (const [n, group] of groups.entries()) {
    const added = withPiece(layout, receiver);
    ({ layout } = added);
    for (const [m, source] of group.entries()) {
      const chain = chains[sources.indexOf(source)];
      const port = taken.inReceivers[n]?.[m]?.id;
      if (chain) layout = withChain(layout, source.id, inKind(chain, true, false), added.id, port);
    }
    const on = chains[sources.length + n];
    const at = taken.inBox[alone.length + n]?.id;
    if (on) layout = withChain(layout, added.id, inKind(on, false, isThere), placed.id, at);
  }
  return recorders.reduce((grown, recorder, n) => {
    const chain = chains[legsIn(shape) + n];
    const from = taken.exits[n] ?? chain?.from;
    return chain && from
      ? withChain(grown, placed.id, { ...inKind(chain, isThere, true), from }, recorder.id)
      : grown;
  }, layout);
}

function joined(shape: Shape, store: LegStore, { arrivesBeyond, endsTo }: Behind, at: Stand): JoinedFirst {
  const { ground, receiver, box, groups } = shape;
  const { sources, recorders, purse } = ground;
  const arrives = arrivesBeyond(box);
  const out = firstOfPairs(middleEnds(receiver, ground.apart ? 'two by pair' : ground.sides));
  const priced = (part: Part): Cost =>
    costOfOneMore(part, useOf([]), { ...purse, bother: { ...purse.bother, joint: 0 } });
  const boxes = [...groups.map(() => receiver), ...(ground.middle ? [] : [box])];
  return {
    name: `${receiver.id} + ${box.id}`,
    own: boxes.map(priced).reduce(plus, NOTHING),
    make: () =>
      new Legs(
        [
          ...sources.map((source, leg) => store.toMiddle(source, goalOf(shape, leg), at)),
          ...groups.map(() => store.between(receiver, out, box)),
          ...recorders.map((recorder) => store.outOf(box, endsTo(box, recorder), recorder, at)),
        ],
        socketsOf(shape, arrives, (source) => store.toMiddle(source, receiver, at).found[0]),
      ),
    least: () =>
      sources.reduce((sum, source, leg) => sum + store.leastTo(source, goalOf(shape, leg)), 0) +
      recorders.reduce((sum, recorder) => sum + store.leastFrom(box, recorder), 0),
    lay: (chains) => {
      const taken = roomFor(shape, chains);
      return taken && allArrive(shape, chains, taken, arrives) ? lay(shape, chains, taken) : undefined;
    },
  };
}

/** Each receiver for several packs, with each box in which it could join what else sounds. */
export function joinedFirst(ground: Ground, store: LegStore, behind: Behind): JoinedFirst[] {
  const { sources, pool, middle } = ground;
  return pool.parts
    .filter((part) => !isPack(part) && takes(part) > 1)
    .flatMap((receiver) => {
      const groups = groupsOf(sources, takes(receiver));
      const ways = sources.length - groups.flat().length + groups.length;
      // One receiver for all of them is a part in the middle like any other.
      if (groups.length === 0 || (ways < 2 && !middle)) return [];
      return (middle ? [middle] : pool.parts)
        .filter((box) => box !== receiver && !isPassiveLink(box) && (middle ?? behind.couldJoin(box, ways)))
        .flatMap((box) =>
          behind.stands.map((at) => joined({ ground, receiver, box, groups }, store, behind, at)),
        );
    });
}
