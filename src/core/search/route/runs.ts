import { runsAlong, UNBALANCED_METRES, type Run } from '../../engine/levels';
import { wayOver } from '../../rig';
import { betweenPieces, pieceOf, type Layout, type Piece } from './layout';
import type { RouteRequest } from './request';

/** A piece on a way, with the ports by which it is entered and left. */
export interface Stop {
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

/** The most metres between any two places of a request, or from a source to what records it. */
export const mostApart = ({ wishes, distances = [] }: RouteRequest): number =>
  Math.max(wishes?.length ?? 0, ...distances.map(({ metres }) => metres));

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
export const isBalancedAt = (way: readonly Stop[], at: number): boolean =>
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
