import { runsAlong, UNBALANCED_METRES, type Run } from '../../engine/levels';
import type { Part, PartPort } from '../../parts';
import { mate } from '../../plugs';
import { wayOver, type PortRef } from '../../rig';
import { isDigital } from '../ends';
import { growsLong, longestSold, soldLength } from './lengths';
import { betweenPieces, pieceOf, withJoint, withPiece, type Layout, type Piece } from './layout';
import type { RouteRequest } from './request';

/** A piece on a way, with the ports by which it is entered and left. */
interface Stop {
  readonly piece: Piece;
  readonly into?: string;
  readonly out?: string;
}

/** The pieces on the shortest way over joints from one piece to another. */
export const wayBetween = (layout: Layout, from: string, to: string): Stop[] | undefined =>
  wayOver(layout.joints, from, to)?.flatMap(({ id, ...ports }): Stop[] => {
    const piece = pieceOf(layout, id);
    return piece ? [{ piece, ...ports }] : [];
  });

/** Joints of a layout without those of a piece but one. */
const onlyBy = ({ joints }: Layout, id: string, kept: string) =>
  joints.filter(({ id: own, plug, jack }) => own === kept || (plug.part !== id && jack.part !== id));

/**
 * A way from one piece to another for each plug or socket at either end that leads there: both halves of a pair, and what goes by a
 * second output.
 */
export function waysBetween(layout: Layout, from: string, to: string): Stop[][] {
  const ways = [from, to].flatMap((end) =>
    layout.joints
      .filter(({ plug, jack }) => plug.part === end || jack.part === end)
      .flatMap(({ id }): Stop[][] => {
        const way = wayBetween({ ...layout, joints: onlyBy(layout, end, id) }, from, to);
        return way ? [way] : [];
      }),
  );
  return [...new Map(ways.map((way) => [way.map(({ piece }) => piece.id).join(), way])).values()];
}

const portOf = ({ part }: Piece, id: string | undefined) => part.ports.find((port) => port.id === id);

/** Metres that a way bridges; radio bridges whatever there is. */
export function metresOf(way: readonly Stop[]): number {
  return way.reduce((sum, { piece, into, out }) => {
    const [entry, exit] = [portOf(piece, into), portOf(piece, out)];
    if (entry?.connector === 'radio' || exit?.connector === 'radio') return Infinity;
    return sum + (piece.length ?? piece.part.length ?? 0) + (entry?.ownLead ?? 0) + (exit?.ownLead ?? 0);
  }, 0);
}

/** A way that has to bridge so many metres. */
export interface Stretch {
  readonly from: string;
  readonly to: string;
  readonly metres: number;
}

/** How far two places lie apart, as far as a request says. */
export const apart = (request: RouteRequest, a: string | undefined, b: string | undefined): number =>
  a === undefined || b === undefined
    ? 0
    : Math.max(
        0,
        ...(request.distances ?? [])
          .filter(({ from, to }) => (from === a && to === b) || (from === b && to === a))
          .map(({ metres }) => metres),
      );

/** What a request wants bridged: its distances between places, and the one length from sources to where they go first. */
export function stretchesOf(layout: Layout, request: RouteRequest): Stretch[] {
  const length = request.wishes?.length ?? 0;
  const found: Stretch[] = [];
  const want = (from: string, to: string, metres: number) => metres > 0 && found.push({ from, to, metres });
  const place = (index: number, of: 'sources' | 'destinations') => request[of][index]?.place;
  for (const [s, source] of layout.sources.entries()) {
    if (layout.given !== undefined) {
      want(source, layout.given, Math.max(length, apart(request, place(s, 'sources'), request.throughPlace)));
      continue;
    }
    for (const [r, recorder] of layout.recorders.entries())
      want(source, recorder, Math.max(length, apart(request, place(s, 'sources'), place(r, 'destinations'))));
  }
  if (layout.given !== undefined) {
    for (const [r, recorder] of layout.recorders.entries())
      want(layout.given, recorder, apart(request, request.throughPlace, place(r, 'destinations')));
  }
  return found;
}

const runsOn = (way: readonly Stop[]): readonly Run[] =>
  runsAlong(
    way.map(({ piece, into, out }) => ({
      part: piece.part,
      metres: piece.length ?? piece.part.length ?? 0,
      ...(into !== undefined && { into }),
      ...(out !== undefined && { out }),
    })),
  );

/** Whether the run that a piece of a way belongs to is balanced. */
const isBalanced = (way: readonly Stop[], at: number): boolean =>
  runsOn(way).some(({ first, last, balanced }) => balanced && at >= first && at <= last);

/** Runs that carry sound unbalanced over more than practice allows, between two things that are more than wiring; leads in a row are one run. */
const longRuns = (way: readonly Stop[]): number =>
  runsOn(way).filter(({ metres, balanced }) => !balanced && metres > UNBALANCED_METRES).length;

/** A long stretch that leads without balance bridge piece by piece: whatever hangs between them would have to lie on the way. */
const isPieced = (layout: Layout, { from, to, metres }: Stretch): boolean =>
  metres > UNBALANCED_METRES &&
  waysBetween(layout, from, to).some(
    (way) =>
      runsOn(way)
        .filter(({ balanced }) => !balanced)
        .reduce((sum, run) => sum + run.metres, 0) > UNBALANCED_METRES,
  );

/** How many runs of the worst way of a layout are longer without balance than practice allows. */
export function overruns(layout: Layout, request: RouteRequest): number {
  if (betweenPieces(layout).every(({ part, length }) => (length ?? part.length ?? 0) <= SHORT_METRES))
    return 0;
  const runs = layout.sources.flatMap((source) =>
    layout.recorders.flatMap((recorder) => waysBetween(layout, source, recorder).map(longRuns)),
  );
  const pieced = stretchesOf(layout, request).some((stretch) => isPieced(layout, stretch));
  return Math.max(pieced ? 1 : 0, ...runs);
}

/** Leads that are no longer than this do not make a long run between them: nobody joins so many. */
const SHORT_METRES = 2;

/** Every distance is bridged. */
export const isBridged = (layout: Layout, stretches: readonly Stretch[]): boolean =>
  stretches.every(({ from, to, metres }) => {
    const ways = waysBetween(layout, from, to);
    return ways.length > 0 && ways.every((way) => metresOf(way) >= metres - 1e-9);
  });

type Owned = (piece: Piece, atLeast: number) => number | undefined;

/** A layout in which every way over a stretch is long enough: the lead that is best made longer is. */
function lengthened(layout: Layout, stretch: Stretch, owned: Owned): Layout | undefined {
  const ways = waysBetween(layout, stretch.from, stretch.to);
  if (ways.length === 0) return undefined;
  const short = ways.find((way) => metresOf(way) < stretch.metres - 1e-9);
  const grown = short && longer(layout, short, stretch.metres, owned);
  return short ? grown && lengthened(grown, stretch, owned) : layout;
}

const grownTo = (layout: Layout, piece: Piece, length: number): Layout => ({
  ...layout,
  pieces: layout.pieces.map((one) => (one.id === piece.id ? { ...one, length } : one)),
});

/** Where none does it alone: a lead for numbers as long as such are sold, for what lies behind a hub to do the rest. */
function asLongAsSold(layout: Layout, way: readonly Stop[]): Layout | undefined {
  const [stop] = way.filter(
    ({ piece: { part, length } }) =>
      growsLong(part) && part.ports.some(isDigital) && (length ?? part.length ?? 0) < longestSold(part),
  );
  return stop && grownTo(layout, stop.piece, longestSold(stop.piece.part));
}

/** The two ends of a lead that goes into another of its kind, as XLR leads do. */
function endsOfLink({ ports }: Part): readonly [near: PartPort, far: PartPort] | undefined {
  const [one, other, ...more] = ports;
  return one && other && more.length === 0 && !isDigital(one) && mate(one, other).fits
    ? [one, other]
    : undefined;
}

/** Where no lead is sold long enough: the longest of a balanced one that goes into another of its kind, and another behind it. */
function joinedOn(layout: Layout, way: readonly Stop[]): Layout | undefined {
  const [stop] = way.filter(
    ({ piece, into, out }, at) =>
      growsLong(piece.part) &&
      endsOfLink(piece.part) &&
      into !== undefined &&
      out !== undefined &&
      (piece.length ?? 0) < longestSold(piece.part) &&
      isBalanced(way, at),
  );
  if (!stop?.into || !stop.out) return undefined;
  const { piece, into, out } = stop;
  const second = withPiece(layout, piece.part);
  const moved = second.layout.joints.map((joint) => ({
    ...joint,
    plug: movedOn(joint.plug, { part: piece.id, port: out }, second.id),
    jack: movedOn(joint.jack, { part: piece.id, port: out }, second.id),
  }));
  return withJoint(
    grownTo({ ...second.layout, joints: moved }, piece, longestSold(piece.part)),
    { part: piece.id, port: out },
    { part: second.id, port: into },
  );
}

/** What was in one end of a piece is in the same end of another. */
const movedOn = (ref: PortRef, from: PortRef, to: string): PortRef =>
  ref.part === from.part && ref.port === from.port ? { ...ref, part: to } : ref;

/** The lead that is best made long enough for a way: balanced before unbalanced, sound before numbers, then the first. */
function longer(layout: Layout, way: readonly Stop[], metres: number, owned: Owned): Layout | undefined {
  const missing = metres - metresOf(way);
  const choices = way.flatMap(({ piece }, at) => {
    if (!growsLong(piece.part)) return [];
    const wanted = (piece.length ?? piece.part.length ?? 0) + missing;
    const length = owned(piece, wanted) ?? soldLength(piece.part, wanted);
    if (length === undefined) return [];
    const rank = (isBalanced(way, at) ? 0 : 2) + (piece.part.ports.some(isDigital) ? 1 : 0);
    return [{ piece, length, rank }];
  });
  const [best] = choices.sort((a, b) => a.rank - b.rank);
  if (!best) return joinedOn(layout, way) ?? asLongAsSold(layout, way);
  return grownTo(layout, best.piece, best.length);
}

/** The layout with its leads as long as they have to be; undefined where no lead is sold that long. */
export function bridged(layout: Layout, request: RouteRequest): Layout | undefined {
  const owned = ({ part }: Piece, atLeast: number): number | undefined =>
    (request.leadLengths?.[part.id] ?? [])
      .filter((metres) => metres >= atLeast - 1e-9)
      .sort((a, b) => a - b)[0];
  return stretchesOf(layout, request).reduce<Layout | undefined>(
    (grown, stretch) => grown && lengthened(grown, stretch, owned),
    layout,
  );
}
