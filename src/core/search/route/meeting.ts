import { isPassiveLink, type Part, type PartPort } from '../../parts';
import { MOST_COPPER } from './chains';
import type { PartChain } from './part-chain';
import { bare, startOf, type Ground } from './ground';
import { withChain, withPiece, type Piece } from './layout';
import type { Sockets } from './legs';
import { likeSockets, socketsAlike } from './pool';
import type { Rides } from './replay';
import { assign, distinctPorts } from './sockets';

/** In what states a source's own sound could be recorded beyond a chain into a part in the middle and one out of it; none where it could not. */
export type Arrives = (
  source: Piece,
  into: PartChain,
  entry: PartPort,
  recorder: Piece,
  out: PartChain,
) => readonly string[];

/** Whether copper in the middle hangs between more of it than anybody would plug: what is shared out or joined there is one piece more. */
const hangsTooMuch = (middle: Part, into: PartChain, out: PartChain): boolean =>
  isPassiveLink(middle) && into.copper[1] + out.copper[0] > MOST_COPPER;

/** Legs into a part in the middle, each with every leg out of it. */
const pairsOf = ({ sources, recorders }: Ground): readonly (readonly [number, number])[] =>
  sources.flatMap((_, n) => recorders.map((_recorder, m) => [n, sources.length + m] as const));

/** A socket of the middle for each chain into it, and one for each out of it; undefined where there are not so many. */
export function socketsFor(
  ground: Ground,
  middle: Part,
  chains: readonly PartChain[],
): { ports: readonly PartPort[]; exits: readonly PartPort[] } | undefined {
  const [into, out] = [chains.slice(0, ground.sources.length), chains.slice(ground.sources.length)];
  const ports = assign(
    middle,
    into.map((chain) => chain.to),
    ground.apart,
  );
  const leaving = out.map((chain) => chain.from);
  // A send is no other send, however alike their sockets are.
  const exits = ports && (ground.callers ? distinctPorts(leaving) : assign(middle, leaving, false, ports));
  return ports && exits && { ports, exits };
}

/** Whether a source is known to be lost by a chain into a part, at whichever of the sockets that are as good. */
function isLostInto(ground: Ground, source: Piece, chain: PartChain, middle: Part): boolean {
  const placed = withPiece(bare(ground), middle);
  return likeSockets(middle, chain.to).some((port) =>
    ground.isLost(withChain(placed.layout, source.id, chain, placed.id, port.id)),
  );
}

/** Whether two sources could leave copper by some plug of it each on a contact of its own, in some of the sockets that are as good. */
function couldLeaveApart(
  ground: Ground,
  middle: Part,
  rides: Rides,
  [one, other]: readonly [Piece, Piece],
  [a, b]: readonly [PartChain, PartChain],
): boolean {
  const [first, second] = [startOf(ground, one, a), startOf(ground, other, b)];
  if (!first || !second) return true;
  const [ofA, ofB] = [likeSockets(middle, a.to), likeSockets(middle, b.to)];
  return ofA.some((at) =>
    ofB.some(
      (beside) =>
        at !== beside &&
        middle.ports.some(
          (exit) =>
            exit !== at &&
            exit !== beside &&
            rides.leaveApart(middle, exit, [
              { start: first, into: a, entry: at },
              { start: second, into: b, entry: beside },
            ]),
        ),
    ),
  );
}

/** Where chains into a part in the middle and out of it meet: which of them can be used together. */
export function meetingIn(ground: Ground, middle: Part, rides: Rides, arrives: Arrives): Sockets {
  const { sources, recorders } = ground;
  const keptApart = ground.apart && isPassiveLink(middle);
  const clashes = (n: number, m: number, into: PartChain, out: PartChain): boolean => {
    const [source, other, recorder] = [sources[n], sources[m], recorders[m - sources.length]];
    if (source && other) return !couldLeaveApart(ground, middle, rides, [source, other], [into, out]);
    if (!source || !recorder) return false;
    const couldBe = (entry: PartPort) => arrives(source, into, entry, recorder, out).length > 0;
    return hangsTooMuch(middle, into, out) || !likeSockets(middle, into.to).some(couldBe);
  };
  /** By chain and source, at how many known ways it was asked last. */
  const asked = new Map<PartChain, Map<number, { readonly of: number; readonly lost: boolean }>>();
  const isLost = (leg: number, chain: PartChain): boolean => {
    const source = sources[leg];
    const of = ground.lostWays();
    if (!source || of === 0) return false;
    const byLeg = asked.get(chain) ?? new Map<number, { readonly of: number; readonly lost: boolean }>();
    asked.set(chain, byLeg);
    const known = byLeg.get(leg);
    if (known && (known.lost || known.of === of)) return known.lost;
    const lost = isLostInto(ground, source, chain, middle);
    byLeg.set(leg, { of, lost });
    return lost;
  };
  const classes = new Map<string, object>();
  // What a chain brings into the middle hangs on its end alone.
  const classInto = ({ to, state, copper }: PartChain): object => {
    const name = `${socketsAlike(middle, to)} ${copper[1]} ${state}`;
    const known = classes.get(name) ?? {};
    classes.set(name, known);
    return known;
  };
  return {
    kindOf: (leg, { from, to }) =>
      leg < sources.length ? socketsAlike(middle, to) : ground.callers ? from.id : socketsAlike(middle, from),
    haveRoom: (chains) => socketsFor(ground, middle, chains) !== undefined,
    isLost,
    classOf: (leg, chain) => (leg < sources.length ? classInto(chain) : chain),
    pairs: [...(keptApart ? pairsAmong(sources.length) : []), ...pairsOf(ground)],
    clash: ([n, m], into, out) => clashes(n, m, into, out),
  };
}

/** Every two of so many. */
const pairsAmong = (count: number): (readonly [number, number])[] =>
  Array.from({ length: count }, (_, n) => n).flatMap((n) =>
    Array.from({ length: count - n - 1 }, (_, k) => [n, n + 1 + k] as const),
  );
