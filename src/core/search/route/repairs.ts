import { checkOf, sourcesOf, type Cure } from '../../checks';
import { supplySockets } from '../../parts';
import type { Outcome } from '../../judge';
import { applyEdit, laidParts, type Rig } from '../../rig';
import { exchanges } from '../fixes/at-hand';
import { withHeadphones, withSecondLead, withSupply, type Stock } from './attach';
import { pieceOf, type Layout } from './layout';
import type { RouteRequest } from './request';
import { bridgings } from './growing';
import { withPadAt, withSlipIn } from './slip-in';

/** Of the supplies for one socket the cheapest may be too weak. */
const MOST_SUPPLIES = 3;

/** Layouts in which two plugs that are in one another's sockets at a source have changed places; also where all that is said of it is a note. */
export function exchangedIn(layout: Layout, rig: Rig, { findings }: Pick<Outcome, 'findings'>): Layout[] {
  const ids = new Set(findings.filter((f) => checkOf(f.code)?.cures.includes('exchange')).flatMap(sourcesOf));
  return laidParts(rig)
    .filter(({ placed }) => ids.has(placed.id))
    .flatMap((laid) => exchanges(rig, laid))
    .map((edit) => ({ ...layout, joints: applyEdit(rig, edit).joints }));
}

/** Sockets for power on any part of a layout. */
const allPowerSockets = (layout: Layout) =>
  layout.pieces.flatMap(({ id, part }) =>
    part.host ? [] : supplySockets(part).map((port) => ({ part: id, port })),
  );

/** Layouts with one thing more that may cure what the pipeline found: a supply, a second lead, something in a socket, a transformer or a pad in a joint. */
export function repairsOf(
  layout: Layout,
  { findings }: Outcome,
  request: RouteRequest,
  stock: Stock,
): Layout[] {
  const curedBy = (cure: Cure) =>
    findings.filter((f) => f.severity !== 'note' && checkOf(f.code)?.cures.includes(cure));
  const supplied =
    curedBy('supply').length > 0
      ? allPowerSockets(layout).flatMap((at) => withSupply(layout, at, stock, MOST_SUPPLIES))
      : [];
  const doubled = curedBy('pair').length > 0 ? withSecondLead(layout) : [];
  const unnoticed = curedBy('headphones').flatMap(({ where }) => pieceOf(layout, where.part ?? '') ?? []);
  const noticed = unnoticed.length > 0 ? withHeadphones(layout, stock) : [];
  const hot = curedBy('padding').flatMap(({ recorder }) => recorder ?? []);
  const padded = hot.length > 0 ? withPadAt(layout, hot, stock.parts) : [];
  const parted = curedBy('parting').length > 0 ? withSlipIn(layout, stock.parts) : [];
  return [...supplied, ...doubled, ...noticed, ...parted, ...padded].flatMap((one) =>
    bridgings(one, request),
  );
}

/** Layouts with a pad ahead of what records, where knobs alone keep it from clipping. What it sounds like is another thing then, and nothing is known to weigh for sure. */
export const paddedFor = (layout: Layout, request: RouteRequest, { parts }: Stock): Layout[] =>
  withPadAt(layout, layout.recorders, parts)
    .map(({ sounds: _, ...padded }): Layout => ({ ...padded, sure: 0 }))
    .flatMap((padded) => bridgings(padded, request));
