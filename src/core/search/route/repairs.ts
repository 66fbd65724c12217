import { checkOf, type Cure } from '../../checks';
import { supplySockets } from '../../parts';
import type { Outcome } from '../../judge';
import { withHeadphones, withSecondLead, withSupply, type Stock } from './attach';
import { pieceOf, type Layout } from './layout';
import type { RouteRequest } from './request';
import { bridged } from './runs';

/** Of the supplies for one socket the cheapest may be too weak. */
const MOST_SUPPLIES = 3;

/** Sockets for power on any part of a layout. */
const allPowerSockets = (layout: Layout) =>
  layout.pieces.flatMap(({ id, part }) =>
    part.host ? [] : supplySockets(part).map((port) => ({ part: id, port })),
  );

/** Layouts with one thing more that may cure what the pipeline found: a supply, a second lead, something in a socket. */
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
  return [...supplied, ...doubled, ...noticed].flatMap((one) => bridged(one, request) ?? []);
}
