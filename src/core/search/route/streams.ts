import { isPassiveLink, type Part, type PartPort } from '../../parts';
import { HEAPED } from '../bother';
import { asked, askedOfHalf, isHalf, sendsOf, type OpenEnd, type Sides } from '../ends';
import { canBeApart, isCaller } from './far-ends';
import { boxNames, kindOfChain, socketKind } from './chain-kinds';
import type { PartChain } from './part-chain';
import { bare, endsOfSource, isOneChain, startOf, type Ground } from './ground';
import { meetingIn, socketsFor, type Arrives } from './meeting';
import { Rides } from './replay';
import { joinedFirst } from './joined-first';
import { costOfOneMore, NOTHING, plus, useOf, type Cost } from './inventory';
import { withChain, withPiece, type Layout, type Piece } from './layout';
import { LegStore, type Stand } from './leg-store';
import { Legs } from './legs';
import { middleOf } from './middles';
import { assign, entriesOf, firstOfPairs, isSide, middleEnds, openingsOf, splitEnds } from './sockets';
import { sharedOn } from './shared-on';
import { loadOneAnother } from './rough';
import { reachAfter, standsApart } from '../standing';

/** Layouts of one shape as they are found, the cheapest first. */
export interface Stream {
  /** What stands in its middle; all copper is one. */
  readonly middle: string;
  /** The least that the next one can cost; undefined when there is none. */
  readonly bound: Cost | undefined;
  /** The next one, or undefined: when there is none, or after one step that led to none yet. */
  step(): Layout | undefined;
  /** One of what its legs have come to so far, whatever could cost less; or undefined, after one step that led to none yet. */
  throwTogether(): Layout | undefined;
  /** There is nothing more to be thrown together. */
  readonly areThrown: boolean;
  /** What the least one weighs that was left out because a chain of it has too many parts; Infinity where none was. */
  readonly cut: number;
}

const distinct = (ids: readonly string[]): boolean => new Set(ids).size === ids.length;

const layLegs = (
  layout: Layout,
  { sources }: Ground,
  chains: readonly PartChain[],
  to: string,
  ports: readonly PartPort[],
): Layout =>
  chains.reduce(
    (grown, chain, index) => withChain(grown, sources[index]?.id ?? '', chain, to, ports[index]?.id),
    layout,
  );

/** A stream over combinations of legs; `least`: all of them weigh no less. */
function over(
  middle: string,
  make: () => Legs,
  extra: Cost,
  least: () => number,
  lay: (chains: readonly PartChain[]) => Layout | undefined,
): Stream {
  // Legs are begun when nothing cheaper is left: until then the stream costs at the least what stands in its middle, and what leads there.
  let legs: Legs | undefined;
  let before: Cost | undefined;
  return {
    middle,
    get bound() {
      if (!legs) {
        before ??= plus(extra, { ...NOTHING, weight: least() });
        return Number.isFinite(before.weight) ? before : undefined;
      }
      const rest = legs.bound;
      return rest && plus(rest, extra);
    },
    get cut() {
      return (legs?.cut ?? Infinity) + extra.weight;
    },
    step() {
      if (!legs) {
        legs = make();
        return undefined;
      }
      const chains = legs.step();
      return chains && lay(chains);
    },
    throwTogether() {
      const chains = legs?.throwTogether();
      return chains && lay(chains);
    },
    get areThrown() {
      return legs?.areThrown ?? false;
    },
  };
}

/** A stream with nothing in its middle: what it weighs is its legs alone. */
const overLegs = (make: () => Legs, lay: (chains: readonly PartChain[]) => Layout | undefined): Stream =>
  over('', make, NOTHING, () => 0, lay);

/** A socket of what records for each chain that comes there. */
function socketsOn(recorder: Piece, chains: readonly PartChain[], apart: boolean): PartPort[] | undefined {
  const wanted = chains.map((chain) => chain.to);
  return wanted.length === 1 ? wanted : assign(recorder.part, wanted, apart);
}

/** Every source has a socket of its own on the recorder; one source and a chain is the simplest of these. */
function intoRecorder(ground: Ground, store: LegStore): Stream[] {
  const [recorder] = ground.recorders;
  if (!recorder || ground.recorders.length > 1) return [];
  if (recorder.part.ports.filter(({ direction }) => direction !== 'out').length < ground.sources.length)
    return [];
  const legs = () => new Legs(ground.sources.map((source) => store.fromSource(source, recorder)));
  return [
    overLegs(legs, (chains) => {
      const ports = socketsOn(recorder, chains, ground.apart);
      return ports && layLegs(bare(ground), ground, chains, recorder.id, ports);
    }),
  ];
}

/** Whether recorders would get a side each of what is one programme: its two outputs are a pair. */
function partsPair(ground: Ground, source: Piece, chains: readonly PartChain[]): boolean {
  const sides = endsOfSource(ground, source).filter(
    ({ port }) => isSide(port) && chains.some(({ from }) => from === port),
  );
  return firstOfPairs(sides).length < sides.length;
}

/** One source that gives each of several recorders an output of its own. */
function outOfSource(ground: Ground, store: LegStore): Stream[] {
  const [source] = ground.sources;
  if (!source || ground.sources.length > 1 || ground.recorders.length < 2) return [];
  const outputs = new Set(endsOfSource(ground, source).map(({ begins, port }) => (begins?.from ?? port).id));
  if (outputs.size < ground.recorders.length) return [];
  const legs = () => new Legs(ground.recorders.map((recorder) => store.fromSource(source, recorder, true)));
  return [
    overLegs(legs, (chains) =>
      distinct(chains.map((chain) => chain.from.id)) && !partsPair(ground, source, chains)
        ? chains.reduce(
            (grown, chain, index) => withChain(grown, source.id, chain, ground.recorders[index]?.id ?? ''),
            bare(ground),
          )
        : undefined,
    ),
  ];
}

/** What leaves the middle: for one recorder the first output of a pair, which the other goes with; several take what they can get. */
const outOf = ({ recorders, sides, apart, sources, callers }: Ground, middle: Part): readonly OpenEnd[] => {
  // What is to be kept apart needs as many channels all the way.
  const keeps = ({ digital }: OpenEnd) =>
    !apart || !digital || (digital.device.captures ?? []).some((c) => c.channels.length >= sources.length);
  const ends =
    apart && isPassiveLink(middle)
      ? splitEnds(middle, sources.length)
      : middleEnds(middle, apart ? 'two by pair' : sides).filter(keeps);
  return recorders.length === 1 && !callers ? firstOfPairs(ends) : ends;
};

/** Who speaks at a far end is fed by a mix of their own, in which they are not. */
const endsTo = ({ callers }: Ground, middle: Part, recorder: Piece, ends: readonly OpenEnd[]) =>
  callers && isCaller(recorder) ? ends.filter(({ port }) => sendsOf(middle).has(port.id)) : ends;

/**
 * To what sides a source has to come beyond an output of a part: where it is half of a pair, the other half brings the other side. `isWhole`:
 * the source leaves by no other like it, as what comes into one socket of a line pair does.
 */
function sidesBeyond({ sides }: Ground, start: OpenEnd, exit: OpenEnd, isWhole: () => boolean): Sides {
  const end = asked(exit, sides);
  const wanted = end.analogue?.sides ?? 'any';
  if (isHalf(start)) return askedOfHalf(wanted);
  return isHalf(end) && isWhole() ? sides : wanted;
}

/** Tells of chains into a part in the middle, and out of it to a recorder, in what states a source's own sound could be recorded beyond both. */
function arrivals(ground: Ground, middle: Part, rides: Rides, exits: () => readonly OpenEnd[]): Arrives {
  return (
    source: Piece,
    into: PartChain,
    entry: PartPort,
    recorder: Piece,
    out: PartChain,
  ): readonly string[] => {
    const start = startOf(ground, source, into);
    const exit = exits().find(({ port }) => port.id === out.from.id);
    if (!start || !exit) return ['unknown'];
    const isWhole = () => !rides.leavesBeside({ start, into, entry }, middle, exit.port);
    const sides = ground.apart ? 'two by pair' : sidesBeyond(ground, start, exit, isWhole);
    const ride = { start, into, middle, entry, exit: exit.port, sides, out, recorder };
    return rides.arrives(ride, (end) => ground.takes(recorder, end));
  };
}

/** Whether every way over a part in the middle reaches from thing to thing; each leg was found as if nothing lay beyond that part. */
function canStandSo(
  { recorders }: Ground,
  middle: Part,
  into: readonly PartChain[],
  out: readonly PartChain[],
): boolean {
  return out.every((chain, n) => {
    const recorder = recorders[n];
    if (!recorder || chain.reach !== 'free') return true;
    return into.every(
      ({ reach }) => !standsApart(reachAfter(reach, middle, chain.from), recorder.part, chain.to),
    );
  });
}

/** A box makes another way than another box does; copper, with as many sockets as it may have, is copper. */
const nameInKind = (middle: Part): string => (isPassiveLink(middle) ? 'copper' : middle.id);

/** The whole way as one chain. */
function asOneChain(layout: Layout, middle: Part, into: PartChain, out: PartChain): Layout {
  const links = [...into.links, { part: middle }, ...out.links];
  const weight = into.cost.weight + out.cost.weight;
  const way = { from: socketKind(into.from), boxes: boxNames(links), to: socketKind(out.to), weight };
  return { ...layout, kind: ` ${kindOfChain(into.from, links, out.to)}`, ways: [way] };
}

/** A part in the middle, to which nothing is joined yet. */
function withMiddle(ground: Ground, middle: Part): { layout: Layout; id: string } {
  const { layout, id } = withPiece(bare(ground), middle);
  const named = { ...layout, kind: nameInKind(middle), middle: middle.id };
  return { id, layout: { ...named, ...(ground.middle && { given: id }) } };
}

/**
 * What it weighs that copper in the middle joins sources which it should not (rough.ts): for sure where it ties its sockets to one another, and
 * where each is wanted on every side, be it that a box behind mixes what comes on a contact each: that box could have them in sockets of its own (ours).
 */
const heapedIn = ({ sources, apart, sides }: Ground, middle: Part): number =>
  !apart &&
  isPassiveLink(middle) &&
  (sides === 'each' || !middleOf(middle).parts) &&
  loadOneAnother(sources.map(({ part }) => part))
    ? HEAPED
    : 0;

/** Sources that join in a part, or one source that a part shares out: legs into it, and legs from it to each recorder. */
function through(ground: Ground, store: LegStore, middle: Part, at: Stand = 'ahead'): Stream {
  const { sources, recorders } = ground;
  const heaped = heapedIn(ground, middle);
  const own = ground.middle
    ? NOTHING
    : plus(
        costOfOneMore(middle, useOf([]), { ...ground.purse, bother: { ...ground.purse.bother, joint: 0 } }),
        { ...NOTHING, weight: heaped },
      );
  let known: readonly OpenEnd[] | undefined;
  const outEnds = () => (known ??= outOf(ground, middle));
  const rides = new Rides(ground.pool);
  const arrives = arrivals(ground, middle, rides, outEnds);
  // Which sockets of what is bought are used makes no other way; of a box that is there some may be wanted for something else.
  const isBought = !ground.middle;
  const intoBought = (chain: PartChain): PartChain =>
    isBought ? { ...chain, kind: kindOfChain(chain.from, chain.links, undefined) } : chain;
  const outOfBought = (chain: PartChain): PartChain =>
    isBought ? { ...chain, kind: kindOfChain(undefined, chain.links, chain.to) } : chain;
  const legs = () =>
    new Legs(
      [
        ...sources.map((source) => store.toMiddle(source, middle, at)),
        ...recorders.map((recorder) =>
          store.outOf(middle, endsTo(ground, middle, recorder, outEnds()), recorder, at),
        ),
      ],
      meetingIn(ground, middle, rides, arrives),
    );
  const least = () =>
    isBought && !couldServe(middle, ground)
      ? Infinity
      : sources.reduce((sum, source) => sum + store.leastTo(source, middle), 0) +
        recorders.reduce((sum, recorder) => sum + store.leastFrom(middle, recorder), 0);
  return over(nameInKind(middle), legs, own, least, (chains) => {
    const [into, out] = [chains.slice(0, sources.length), chains.slice(sources.length)];
    const taken = socketsFor(ground, middle, chains);
    if (!taken) return undefined;
    const { ports, exits } = taken;
    if (!canStandSo(ground, middle, into, out)) return undefined;
    const sounds = sources.flatMap((source, n) =>
      recorders.map((recorder, m) => {
        const [one, other] = [into[n], out[m]];
        return one && other
          ? arrives(source, one, ports[n] ?? one.to, recorder, other).join(' or ')
          : 'unknown';
      }),
    );
    if (sounds.includes('')) return undefined;
    const placed = withMiddle(ground, middle);
    const named = { ...placed.layout, sounds: sounds.join(' | '), sure: heaped, isHeaped: heaped > 0 };
    const joined = layLegs(named, ground, into.map(intoBought), placed.id, ports);
    const whole = out.reduce((grown, chain, index) => {
      const from = exits[index] ?? chain.from;
      return withChain(grown, placed.id, { ...outOfBought(chain), from }, recorders[index]?.id ?? '');
    }, joined);
    const [before, behind] = [into[0], out[0]];
    return isOneChain(ground) && before && behind ? asOneChain(whole, middle, before, behind) : whole;
  });
}

/** Sources that come to one recorder, from whose output it goes on to the other: a recorder’s line output into a camera. */
function onward(ground: Ground, store: LegStore, first: Piece, second: Piece): Stream[] {
  const outputs = middleEnds(first.part, ground.apart ? 'two by pair' : ground.sides);
  if (outputs.length === 0) return [];
  const legs = () =>
    new Legs([
      ...ground.sources.map((source) => store.fromSource(source, first)),
      store.onward(first, firstOfPairs(outputs), second),
    ]);
  return [
    overLegs(legs, (chains) => {
      const [into, out] = [chains.slice(0, -1), chains.at(-1)];
      const ports = socketsOn(first, into, ground.apart);
      if (!ports || !out) return undefined;
      const laid = layLegs(bare(ground), ground, into, first.id, ports);
      return withChain(laid, first.id, out, second.id);
    }),
  ];
}

/** Where so many sources can come into a part: into the sockets of a splitter, whose plug is where it leaves. */
const joinedAt = (part: Part, sources: number): readonly PartPort[] => {
  const entries = entriesOf(part);
  const sockets = entries.filter(({ gender }) => gender === 'jack');
  return sources > 1 && isPassiveLink(part) && sockets.length > 0 ? sockets : entries;
};

/** A part with sockets for every source and an end for every recorder, as far as its ports tell. */
const couldStand = (part: Part, { sources, recorders, apart }: Ground): boolean =>
  part.ports.length >= sources.length + recorders.length &&
  part.ports.filter(({ direction }) => direction !== 'in').length >= recorders.length &&
  // More than two sources are kept apart by a device with as many channels, and by nothing else.
  (!apart || sources.length < 3 || (part.captures ?? []).some((c) => c.channels.length >= sources.length)) &&
  openingsOf(joinedAt(part, sources.length)) >= sources.length;

/** Whether by its circuit the sources meet at an output, or are kept apart that have to be, and it gives as many outputs as there are recorders. */
const couldServe = (part: Part, { sources, recorders, apart }: Ground): boolean =>
  (isPassiveLink(part) || middleOf(part).joins >= sources.length) &&
  (!apart || (isPassiveLink(part) ? middleOf(part).parts : middleOf(part).apart >= sources.length)) &&
  (recorders.length === 1 || middleOf(part).outputs >= recorders.length);

/** What is bought for the middle of a long way stands at either end of it. */
const standsIn = ({ far, middle }: Ground): readonly Stand[] =>
  far && !middle ? ['ahead', 'behind'] : ['ahead'];

/** A stream for each part that could stand in the middle. */
function middlesFor(ground: Ground, store: LegStore, isWanted: (part: Part) => boolean): Stream[] {
  const stands = standsIn(ground);
  return ground.pool.parts
    .filter((part) => isWanted(part) && couldStand(part, ground))
    .flatMap((part) => stands.map((at) => through(ground, store, part, at)));
}

/** The same ways as chains from one source to one recorder are, by the box that they lead over: the cheapest over each is soon found. */
export function streamsByBox(ground: Ground): Stream[] {
  const store = new LegStore(ground);
  return middlesFor(ground, store, (part) => !isPassiveLink(part));
}

/** Packs in receivers for several, and these with what else sounds in a box behind. */
function inReceivers(ground: Ground, store: LegStore): Stream[] {
  const couldJoin = (box: Part, ways: number): boolean => {
    const fewer = { ...ground, sources: ground.sources.slice(0, ways) };
    return couldStand(box, fewer) && couldServe(box, { ...fewer, ...(ground.apart && ground) });
  };
  const arrivesBeyond = (box: Part) =>
    arrivals(ground, box, new Rides(ground.pool), () => outOf(ground, box));
  const leaves = (box: Part, recorder: Piece) => endsTo(ground, box, recorder, outOf(ground, box));
  const stands = standsIn(ground);
  return joinedFirst(ground, store, { couldJoin, arrivesBeyond, endsTo: leaves, stands }).map((one) =>
    over(one.name, one.make, one.own, one.least, one.lay),
  );
}

/** The shapes in which these sources can come to these recorders. */
export function streamsOf(ground: Ground): Stream[] {
  const store = new LegStore(ground);
  if (ground.middle) {
    const { middle } = ground;
    const sends = ground.callers
      ? ground.recorders.filter(isCaller).map((recorder) => store.sendsTo(middle, recorder))
      : [];
    // Each caller is fed by an output of their own, or there is no way.
    if (!canBeApart(sends)) return [];
    return [...inReceivers(ground, store), through(ground, store, middle)];
  }
  const direct = intoRecorder(ground, store);
  if (isOneChain(ground)) return direct;
  // Packs that one receiver takes together share it: a box that each of them comes into by itself is no answer beside that. Ours.
  const first = inReceivers(ground, store);
  const middles = first.length > 0 ? first : middlesFor(ground, store, () => true);
  const [one, other, ...more] = ground.recorders;
  const onwards =
    one && other && more.length === 0
      ? [...onward(ground, store, one, other), ...onward(ground, store, other, one)]
      : [];
  const shared = sharedOn(ground, store).map(({ joins, make, own, least, lay }) =>
    over(nameInKind(joins), make, own, least, lay),
  );
  return [...direct, ...outOfSource(ground, store), ...onwards, ...middles, ...shared];
}
