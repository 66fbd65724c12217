import type { Part, PartPort } from '../../parts';
import { contactsOf } from '../../plugs';
import { couldRecord, isDigital, passes, sendsOf, sourceEnds, type OpenEnd, type SidesAsked } from '../ends';
import { distanceDb, dbSpl, metres, type DbSpl } from '../../units';
import { VOICE_LEVEL, WORN } from '../../engine/flow';
import { canBeApart, isCaller } from './far-ends';
import { boundsTo, type Goal, type KnownBounds } from './bounds';
import { ChainFinder, type PartChain } from './chains';
import { reachFrom } from './reach';
import { couldArrive } from './replay';
import { chargeSockets, chargesThrough } from './charging';
import { costOfOneMore, NOTHING, plus, useOf, type Cost, type Purse } from './inventory';
import { withChain, withPiece, type Layout, type Piece } from './layout';
import { Leg, Legs } from './legs';
import { growsLong } from './lengths';
import type { Pool } from './pool';
import type { RequestSource, RouteRequest } from './request';
import { assign, entriesOf, firstOfPairs, middleEnds } from './sockets';

/** Layouts of one shape as they are found, the cheapest first. */
export interface Stream {
  /** The least that the next one can cost; undefined when there is none. */
  readonly bound: Cost | undefined;
  /** The next one, or undefined: when there is none, or after one step that led to none yet. */
  step(): Layout | undefined;
  /** What the least one weighs that was left out because a chain of it has too many parts; Infinity where none was. */
  readonly cut: number;
}

/** What every stream of a search shares. */
export interface Ground {
  readonly request: RouteRequest;
  readonly sources: readonly Piece[];
  /** What every source goes into, where the user has it already. */
  readonly middle?: Part;
  /** Something has to reach farther than unbalanced leads should. */
  readonly far: boolean;
  /** Every recorder charges meanwhile. */
  readonly charge: boolean;
  /** The most that may be spent. */
  readonly budget: number;
  /** To what sides of what records it every source has to come. */
  readonly sides: SidesAsked;
  /** Each source on a side or track of its own. */
  readonly apart: boolean;
  /** Who speaks at the far ends comes back into the part in the middle. */
  readonly callers: boolean;
  readonly recorders: readonly Piece[];
  readonly pool: Pool;
  readonly purse: Purse;
  readonly longest: number;
  /** What a source that is not joined to its own supply needs beside the chain. */
  readonly extra: (source: OpenEnd) => Cost;
  /** Whether a chain over these parts to a recorder is one that was found with something needless in it. */
  readonly needless: (recorder: Piece, parts: readonly Part[]) => boolean;
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

const pressureAt = (request: RouteRequest, source: RequestSource | undefined): DbSpl =>
  dbSpl(VOICE_LEVEL[request.voice ?? 'normal'] + distanceDb(metres(source?.distance ?? WORN)));

function endsOfSource(ground: Ground, source: Piece): OpenEnd[] {
  const { request, sources } = ground;
  const pressure = pressureAt(request, request.sources[sources.indexOf(source)]);
  return sourceEnds(source.part, pressure, ground.sides);
}

/** A box with a socket for the charger of what stands ahead of it. */
export const passesCharge = (part: Part): boolean =>
  (part.hub !== undefined || part.bus !== undefined) && chargeSockets(part).length > 0;

interface Vias {
  charge?: ReadonlySet<Part>;
  far?: ReadonlySet<Part>;
  balancers?: ReadonlySet<Part>;
}

const kept = new WeakMap<Pool, Vias>();

function keptFor(pool: Pool): Vias {
  const known = kept.get(pool) ?? {};
  kept.set(pool, known);
  return known;
}

const viaCharge = (pool: Pool): ReadonlySet<Part> =>
  (keptFor(pool).charge ??= new Set(pool.parts.filter(passesCharge)));

const isBalanced = ({ roles = {} }: PartPort): boolean =>
  ['hot', 'cold'].every((role) => Object.values(roles).some((one) => one === role));

/** What makes a long run sound: an output that is balanced, numbers, radio. */
const endsUnbalance = (part: Part): boolean =>
  part.bus !== undefined ||
  part.ports.some((port) => port.connector === 'radio' || (port.direction === 'out' && isBalanced(port)));

/** What a chain that reaches far has to lead through: leads that can be balanced where its beginning is, else what ends the unbalance. */
function viaFar(pool: Pool, starts: readonly OpenEnd[]): ReadonlySet<Part> {
  const kept = keptFor(pool);
  if (!starts.every(({ port, digital }) => digital !== undefined || isBalanced(port)))
    return (kept.balancers ??= new Set(pool.parts.filter(endsUnbalance)));
  const canBe = (part: Part) =>
    growsLong(part) && part.ports.every((port) => isDigital(port) || contactsOf(port.connector).length === 3);
  return (kept.far ??= new Set(pool.parts.filter((part) => canBe(part) || endsUnbalance(part))));
}

/** Legs that ask for the same way are one. */
class LegStore {
  private readonly legs = new Map<string, Leg>();
  private readonly known = new Map<string, KnownBounds>();
  private readonly reaches = new Map<string, ReturnType<typeof reachFrom>>();
  constructor(private readonly ground: Ground) {}

  private knownTo(recorder: Piece): KnownBounds {
    const key = this.keyOf(recorder);
    const known = this.known.get(key) ?? new Map();
    this.known.set(key, known);
    return known;
  }

  /** The least that a leg from a source to a part can weigh. */
  leastTo(source: Piece, middle: Part): number {
    const key = this.keyOf(source);
    const { ground } = this;
    const reach = this.reaches.get(key) ?? reachFrom(endsOfSource(ground, source), ground.pool, ground.purse);
    this.reaches.set(key, reach);
    return reach(entriesOf(middle));
  }

  /** The least that a leg from a port of a part to a recorder can weigh. */
  private leastFromPort(recorder: Piece): (port: PartPort) => number {
    const { pool, purse } = this.ground;
    return boundsTo(this.goalAt(recorder), [], pool, purse, undefined, this.knownTo(recorder)).fromPort;
  }

  /** The same from any of its ports. */
  leastFrom(middle: Part, recorder: Piece): number {
    const ports = middle.ports.filter(({ direction }) => direction !== 'in');
    return Math.min(Infinity, ...ports.map(this.leastFromPort(recorder)));
  }

  /** Outputs of a part with a mix of their own from which a recorder could be reached. */
  sendsTo(middle: Part, recorder: Piece): string[] {
    const least = this.leastFromPort(recorder);
    return middle.ports
      .filter((port) => sendsOf(middle).has(port.id) && Number.isFinite(least(port)))
      .map(({ id }) => id);
  }

  private goalAt(recorder: Piece): Goal {
    return {
      part: recorder.part,
      ports: recorder.part.ports.filter((port) => port.direction !== 'out'),
      accepts: (port, end) => this.ground.takes(recorder, end) && couldRecord(recorder.part, port, end),
    };
  }

  private leg(key: string, make: () => ChainFinder): Leg {
    const known = this.legs.get(key) ?? new Leg(make());
    this.legs.set(key, known);
    return known;
  }

  private keyOf(piece: Piece): string {
    const { request, sources, recorders } = this.ground;
    const source = request.sources[sources.indexOf(piece)];
    return `${piece.part.id} ${source?.distance ?? ''} ${recorders.find((r) => r === piece)?.app ?? ''}`;
  }

  toRecorder(from: string, starts: readonly OpenEnd[], recorder: Piece): Leg {
    const { ground } = this;
    return this.leg(`${from} > ${this.keyOf(recorder)}`, () => {
      const [first] = starts;
      const { ports, accepts } = this.goalAt(recorder);
      return new ChainFinder({
        starts,
        goal: recorder.part,
        ports,
        accepts,
        known: this.knownTo(recorder),
        pool: ground.pool,
        purse: ground.purse,
        longest: ground.longest,
        budget: ground.budget,
        ceiling: ground.ceiling,
        ...(ground.sources.length === 1 &&
          ground.recorders.length === 1 &&
          !ground.middle && { needless: (parts: readonly Part[]) => ground.needless(recorder, parts) }),
        ...(ground.charge && chargesThrough(recorder.part) && { via: viaCharge(ground.pool) }),
        ...(ground.far && !ground.middle && { via: viaFar(ground.pool, starts) }),
        ...(first?.part.power && { extra: ground.extra }),
      });
    });
  }

  fromSource(source: Piece, recorder: Piece, all = false): Leg {
    const ends = endsOfSource(this.ground, source);
    return this.toRecorder(
      `${all ? 'all' : 'first'} ${this.keyOf(source)}`,
      all ? ends : firstOfPairs(ends),
      recorder,
    );
  }

  toMiddle(source: Piece, middle: Part): Leg {
    const { ground } = this;
    return this.leg(`${this.keyOf(source)} > ${middle.id}`, () => {
      const starts = firstOfPairs(endsOfSource(ground, source));
      return new ChainFinder({
        starts,
        goal: middle,
        ports: entriesOf(middle),
        pool: ground.pool,
        purse: ground.purse,
        longest: ground.longest,
        budget: ground.budget,
        ceiling: ground.ceiling,
        ...(ground.far && ground.middle && { via: viaFar(ground.pool, starts) }),
        accepts: (port, end) => passes(middle, port, end),
        always: true,
      });
    });
  }
}

/** The ports, where none of them comes twice. */
const allOther = (ports: readonly PartPort[]): readonly PartPort[] | undefined =>
  distinct(ports.map(({ id }) => id)) ? ports : undefined;

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
  make: () => Legs,
  extra: Cost,
  least: () => number,
  lay: (chains: readonly PartChain[]) => Layout | undefined,
): Stream {
  // Legs are begun when nothing cheaper is left: until then the stream costs at the least what stands in its middle, and what leads there.
  let legs: Legs | undefined;
  let before: Cost | undefined;
  return {
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
  };
}

/** Every source has a socket of its own on the recorder; one source and a chain is the simplest of these. */
function intoRecorder(ground: Ground, store: LegStore): Stream[] {
  const [recorder] = ground.recorders;
  if (!recorder || ground.recorders.length > 1) return [];
  if (recorder.part.ports.filter(({ direction }) => direction !== 'out').length < ground.sources.length)
    return [];
  const legs = () => new Legs(ground.sources.map((source) => store.fromSource(source, recorder)));
  return [
    over(
      legs,
      NOTHING,
      () => 0,
      (chains) => {
        const wanted = chains.map((chain) => chain.to);
        const ports = chains.length === 1 ? wanted : assign(recorder.part, wanted, ground.apart);
        return ports && layLegs(bare(ground), ground, chains, recorder.id, ports);
      },
    ),
  ];
}

/** One source that gives each of several recorders an output of its own. */
function outOfSource(ground: Ground, store: LegStore): Stream[] {
  const [source] = ground.sources;
  if (!source || ground.sources.length > 1 || ground.recorders.length < 2) return [];
  const legs = () => new Legs(ground.recorders.map((recorder) => store.fromSource(source, recorder, true)));
  return [
    over(
      legs,
      NOTHING,
      () => 0,
      (chains) =>
        distinct(chains.map((chain) => chain.from.id))
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
  const ends = middleEnds(middle, apart ? 'two by pair' : sides).filter(keeps);
  return recorders.length === 1 && !callers ? firstOfPairs(ends) : ends;
};

/** Who speaks at a far end is fed by a mix of their own, in which they are not. */
const endsTo = ({ callers }: Ground, middle: Part, recorder: Piece, ends: readonly OpenEnd[]) =>
  callers && isCaller(recorder) ? ends.filter(({ port }) => sendsOf(middle).has(port.id)) : ends;

/** Whether every source's own sound could be recorded by every recorder beyond a part in the middle. */
function allArrive(
  ground: Ground,
  middle: Part,
  into: readonly { readonly chain: PartChain; readonly port: PartPort }[],
  out: readonly { readonly chain: PartChain; readonly exits: readonly OpenEnd[] }[],
): boolean {
  return ground.sources.every((source, n) => {
    const leg = into[n];
    const start = leg && endsOfSource(ground, source).find(({ port }) => port.id === leg.chain.from.id);
    return (
      !start ||
      ground.recorders.every((recorder, m) => {
        const { chain, exits } = out[m] ?? {};
        const exit = exits?.find(({ port }) => port.id === chain?.from.id);
        if (!chain || !exit) return true;
        const ride = { start, into: leg.chain, middle, entry: leg.port, exit, out: chain, recorder };
        return couldArrive(ride, ground.pool, (end) => ground.takes(recorder, end));
      })
    );
  });
}

/** Sources that join in a part, or one source that a part shares out: legs into it, and legs from it to each recorder. */
function through(ground: Ground, store: LegStore, middle: Part): Stream {
  const { sources, recorders } = ground;
  const own = ground.middle
    ? NOTHING
    : costOfOneMore(middle, useOf([]), { ...ground.purse, bother: { ...ground.purse.bother, joint: 0 } });
  let known: readonly OpenEnd[] | undefined;
  const outEnds = () => (known ??= outOf(ground, middle));
  const legs = () =>
    new Legs([
      ...sources.map((source) => store.toMiddle(source, middle)),
      ...recorders.map((recorder) =>
        store.toRecorder(middle.id, endsTo(ground, middle, recorder, outEnds()), recorder),
      ),
    ]);
  const least = () =>
    sources.reduce((sum, source) => sum + store.leastTo(source, middle), 0) +
    recorders.reduce((sum, recorder) => sum + store.leastFrom(middle, recorder), 0);
  return over(legs, own, least, (chains) => {
    const [into, out] = [chains.slice(0, sources.length), chains.slice(sources.length)];
    const ports = assign(
      middle,
      into.map((chain) => chain.to),
      ground.apart,
    );
    const leaving = out.map((chain) => chain.from);
    // A send is no other send, however alike their sockets are.
    const exits = ports && (ground.callers ? allOther(leaving) : assign(middle, leaving, false, ports));
    if (!ports || !exits) return undefined;
    const [legsIn, legsOut] = [
      into.map((chain, index) => ({ chain, port: ports[index] ?? chain.to })),
      out.map((chain) => ({ chain, exits: outEnds() })),
    ];
    if (!allArrive(ground, middle, legsIn, legsOut)) return undefined;
    const placed = withPiece(bare(ground), middle);
    const named = { ...placed.layout, kind: middle.id, ...(ground.middle && { given: placed.id }) };
    const joined = layLegs(named, ground, into, placed.id, ports);
    return out.reduce((grown, chain, index) => {
      const from = exits[index] ?? chain.from;
      return withChain(grown, placed.id, { ...chain, from }, recorders[index]?.id ?? '');
    }, joined);
  });
}

/** A part with sockets for every source and an end for every recorder. */
const couldStand = (part: Part, { sources, recorders, apart }: Ground): boolean =>
  // More than two sources are kept apart by a device with as many channels, and by nothing else.
  (!apart || sources.length < 3 || (part.captures ?? []).some((c) => c.channels.length >= sources.length)) &&
  entriesOf(part).length >= sources.length &&
  part.ports.some((port) => port.direction !== 'in') &&
  part.ports.length >= sources.length + recorders.length;

/** The shapes in which these sources can come to these recorders. */
export function streamsOf(ground: Ground): Stream[] {
  const store = new LegStore(ground);
  if (ground.middle) {
    const { middle } = ground;
    const sends = ground.callers
      ? ground.recorders.filter(isCaller).map((recorder) => store.sendsTo(middle, recorder))
      : [];
    // Each caller is fed by an output of their own, or there is no way.
    return canBeApart(sends) ? [through(ground, store, middle)] : [];
  }
  const direct = intoRecorder(ground, store);
  if (ground.sources.length === 1 && ground.recorders.length === 1) return direct;
  const middles = ground.pool.parts
    .filter((part) => couldStand(part, ground))
    .map((part) => through(ground, store, part));
  return [...direct, ...outOfSource(ground, store), ...middles];
}
