import type { Outcome } from '../../judge';
import { powerSockets, withHeadphones, withSecondLead, withSupply, type Stock } from './attach';
import { pieceOf, type Layout } from './layout';

/** Of the supplies for one socket the cheapest may be too weak. */
const MOST_SUPPLIES = 3;

/** Sockets for power on any part of a layout. */
const allPowerSockets = (layout: Layout) =>
  layout.pieces.flatMap(({ id, part }) =>
    part.host ? [] : powerSockets(part).map((port) => ({ part: id, port })),
  );

/** Layouts with one thing more that may cure what the pipeline found: a supply, a second lead, something in a socket. */
export function repairsOf(layout: Layout, { findings }: Outcome, stock: Stock): Layout[] {
  const codes = new Set(findings.map((finding) => finding.code));
  const wantsPower = codes.has('starved') || codes.has('brown-out') || codes.has('part-unpowered');
  const supplied = wantsPower
    ? allPowerSockets(layout).flatMap((at) => withSupply(layout, at, stock, MOST_SUPPLIES))
    : [];
  const doubled = codes.has('one-side-only') ? withSecondLead(layout) : [];
  const unnoticed = findings
    .filter((finding) => finding.code === 'not-noticed')
    .flatMap((finding) => pieceOf(layout, finding.where.part ?? '') ?? []);
  const noticed = unnoticed.length > 0 ? withHeadphones(layout, stock) : [];
  return [...supplied, ...doubled, ...noticed];
}
