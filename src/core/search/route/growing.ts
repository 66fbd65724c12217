import type { Part } from '../../parts';
import { mate } from '../../plugs';
import type { PortRef } from '../../rig';
import { isDigital } from '../ends';
import { withJoint, withPiece, type Layout, type Piece } from './layout';
import { growsLong, longestSold, soldLength } from './lengths';
import type { RouteRequest } from './request';
import { isBalancedAt, metresOf, stretchesOf, waysBetween, type Stop, type Stretch } from './runs';

/** The first way over a stretch that is too short; undefined where all reach, null where there is none. */
function shortOver(layout: Layout, { from, to, metres }: Stretch): readonly Stop[] | undefined | null {
  const ways = waysBetween(layout, from, to);
  return ways.length === 0 ? null : ways.find((way) => metresOf(way) < metres - 1e-9);
}

/** Metres of a lead as it lies. */
const lengthOf = ({ part, length }: Piece): number => length ?? part.length ?? 0;

const grownTo = (layout: Layout, piece: Piece, length: number): Layout => ({
  ...layout,
  pieces: layout.pieces.map((one) => (one.id === piece.id ? { ...one, length } : one)),
});

/** Where no lead does it alone: one for numbers as long as such are sold, for what lies behind a hub to do the rest. */
function asLongAsSold(layout: Layout, way: readonly Stop[]): Layout | undefined {
  const stop = way.find(
    ({ piece }) =>
      growsLong(piece.part) && piece.part.ports.some(isDigital) && lengthOf(piece) < longestSold(piece.part),
  );
  return stop && grownTo(layout, stop.piece, longestSold(stop.piece.part));
}

/** A lead that goes into another of its kind, as XLR leads do. */
function isLink({ ports }: Part): boolean {
  const [one, other, ...more] = ports;
  return (
    one !== undefined && other !== undefined && more.length === 0 && !isDigital(one) && mate(one, other).fits
  );
}

/** A lead of a balanced run that goes into another of its kind. */
interface Linkable {
  readonly piece: Piece;
  readonly into: string;
  readonly out: string;
}

const linkables = (way: readonly Stop[]): readonly Linkable[] =>
  way.flatMap(({ piece, into, out }, at) =>
    growsLong(piece.part) &&
    isLink(piece.part) &&
    into !== undefined &&
    out !== undefined &&
    isBalancedAt(way, at)
      ? [{ piece, into, out }]
      : [],
  );

/** What was in one end of a piece is in the same end of another. */
const movedOn = (ref: PortRef, from: PortRef, to: string): PortRef =>
  ref.part === from.part && ref.port === from.port ? { ...ref, part: to } : ref;

/** The same with another lead behind one, which is so long. */
function withAnother(layout: Layout, { piece, into, out }: Linkable, metres: number): Layout {
  const second = withPiece(layout, piece.part);
  const from = { part: piece.id, port: out };
  const joints = second.layout.joints.map((joint) => ({
    ...joint,
    plug: movedOn(joint.plug, from, second.id),
    jack: movedOn(joint.jack, from, second.id),
  }));
  return withJoint(grownTo({ ...second.layout, joints }, piece, metres), from, {
    part: second.id,
    port: into,
  });
}

/** Where no lead is sold long enough: the longest of a balanced one, and another behind it. */
function joinedOn(layout: Layout, way: readonly Stop[]): Layout | undefined {
  const link = linkables(way).find(({ piece }) => lengthOf(piece) < longestSold(piece.part));
  return link && withAnother(layout, link, longestSold(link.piece.part));
}

type Owned = (piece: Piece, atLeast: number) => number | undefined;

/** The lead that is best made long enough for a way: balanced before unbalanced, sound before numbers, then the first. */
function longer(layout: Layout, way: readonly Stop[], metres: number, owned: Owned): Layout | undefined {
  const missing = metres - metresOf(way);
  const choices = way.flatMap(({ piece }, at) => {
    if (!growsLong(piece.part)) return [];
    const wanted = lengthOf(piece) + missing;
    const length = owned(piece, wanted) ?? soldLength(piece.part, wanted);
    if (length === undefined) return [];
    const rank = (isBalancedAt(way, at) ? 0 : 2) + (piece.part.ports.some(isDigital) ? 1 : 0);
    return [{ piece, length, rank }];
  });
  const [best] = choices.sort((a, b) => a.rank - b.rank);
  if (!best) return joinedOn(layout, way) ?? asLongAsSold(layout, way);
  return grownTo(layout, best.piece, best.length);
}

/** A layout in which every way over a stretch is long enough: the lead that is best made longer is. */
function lengthened(layout: Layout, stretch: Stretch, owned: Owned): Layout | undefined {
  const short = shortOver(layout, stretch);
  if (!short) return short === null ? undefined : layout;
  const grown = longer(layout, short, stretch.metres, owned);
  return grown && lengthened(grown, stretch, owned);
}

/** Metres of the leads of a kind that are owned, the longest first. */
const ownedOf = ({ drawer = {}, leadLengths = {} }: RouteRequest, part: Part): readonly number[] => {
  const count = drawer[part.id] ?? 0;
  const written = [...(leadLengths[part.id] ?? [])].slice(0, count);
  const rest = new Array<number>(count - written.length).fill(part.length ?? 0);
  return [...written, ...rest].sort((a, b) => b - a);
};

/** So many of the first of some lengths, one in another, that they reach; undefined where all together do not. */
function rowOf(lengths: readonly number[], metres: number): readonly number[] | undefined {
  const row: number[] = [];
  let left = metres;
  for (const length of lengths) {
    if (left <= 1e-9) break;
    row.push(length);
    left -= length;
  }
  return left <= 1e-9 ? row : undefined;
}

/** The same with leads that are owned, one in another; undefined where they do not reach, or one alone does. */
function joinedOfOwned(layout: Layout, stretch: Stretch, request: RouteRequest): Layout | undefined {
  const short = shortOver(layout, stretch);
  if (!short) return short === null ? undefined : layout;
  for (const link of linkables(short)) {
    const { piece } = link;
    const used = layout.pieces.filter((one) => one.part === piece.part && one.id !== piece.id).length;
    const row = rowOf(
      ownedOf(request, piece.part).slice(used),
      stretch.metres - metresOf(short) + lengthOf(piece),
    );
    const [first, ...others] = row ?? [];
    if (first === undefined || others.length === 0) continue;
    // From the last to the first: each goes between the first and what is behind it.
    let grown = layout;
    for (const metres of [...others].reverse()) {
      const known = new Set(grown.pieces.map(({ id }) => id));
      const longer = withAnother(grown, link, first);
      const added = longer.pieces.find(({ id }) => !known.has(id));
      grown = added ? grownTo(longer, added, metres) : longer;
    }
    return joinedOfOwned(grown, stretch, request);
  }
  return undefined;
}

/** The layout with its leads as long as they have to be, as they are sold, and of those that are owned, one in another; none where neither reaches. */
export function bridgings(layout: Layout, request: RouteRequest): readonly Layout[] {
  const owned = ({ part }: Piece, atLeast: number): number | undefined =>
    (request.leadLengths?.[part.id] ?? [])
      .filter((metres) => metres >= atLeast - 1e-9)
      .sort((a, b) => a - b)[0];
  const over = (grow: (grown: Layout, stretch: Stretch) => Layout | undefined): Layout | undefined =>
    stretchesOf(layout, request).reduce<Layout | undefined>(
      (grown, stretch) => grown && grow(grown, stretch),
      layout,
    );
  const sold = over((grown, stretch) => lengthened(grown, stretch, owned));
  const joined = over((grown, stretch) => joinedOfOwned(grown, stretch, request));
  return [...(sold ? [sold] : []), ...(joined && joined !== layout ? [joined] : [])];
}
