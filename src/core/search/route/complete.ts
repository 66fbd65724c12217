import { supplySockets } from '../../parts';
import { halved, withHeadphones, withPairs, withSecondLead, withSupply, type Stock } from './attach';
import { chargingSockets, suppliedPorts } from './charging';
import { isDigital } from './ends';
import { isTaken, type Layout } from './layout';
import type { Wishes } from './request';
import { metresOf } from './wishes';

/** Of many ways to add the same thing no more than this many are followed, the first ones. */
const MOST_WAYS = 6;

/** A supply at some charging socket of every recorder that would not charge otherwise. */
function charged(layout: Layout, stock: Stock): Layout[] {
  return layout.recorders.reduce<Layout[]>(
    (layouts, host) =>
      layouts.flatMap((one) =>
        suppliedPorts(one, host)
          ? [one]
          : chargingSockets(one, host).flatMap((at) => withSupply(one, at, stock)),
      ),
    [layout],
  );
}

/** Parts that run on a port alone, none of which is joined: they want a supply at one of them. */
function powered(layout: Layout, stock: Stock): Layout[] {
  const dark = layout.pieces.filter(
    ({ id, part }) =>
      part.power &&
      part.power.every((source) => 'port' in source && !isTaken(layout, { part: id, port: source.port })),
  );
  return dark.reduce<Layout[]>(
    (layouts, { id, part }) =>
      layouts.flatMap((one) =>
        supplySockets(part).flatMap((port) => withSupply(one, { part: id, port }, stock)),
      ),
    [layout],
  );
}

/** One of the leads made as long as what is missing, each of them in turn; those that carry sound first. */
function stretched(layout: Layout, metres: number): Layout[] {
  const missing = metres - metresOf(layout);
  if (missing <= 0) return [layout];
  const leads = layout.pieces.filter(({ part }) => part.length !== undefined);
  const analogue = leads.filter(({ part }) => !part.ports.some(isDigital));
  return [...analogue, ...leads.filter((lead) => !analogue.includes(lead))].map((lead) => ({
    ...layout,
    pieces: layout.pieces.map((piece) =>
      piece === lead ? { ...piece, length: (piece.part.length ?? 0) + missing } : piece,
    ),
  }));
}

/** What a chain from source to recorder still lacks of what was asked for: the other half of a pair, headphones, a charger, metres. */
export function completed(bare: Layout, wishes: Wishes, stock: Stock): Layout[] {
  const paired = withPairs(bare);
  // One side of a pair is enough for who asks for mono.
  const half = wishes.channels !== 'mono' && halved(paired);
  const whole = half ? withSecondLead(paired).filter((layout) => !halved(layout)) : [paired];
  const heard =
    wishes.hear || wishes.guests ? whole.flatMap((layout) => withHeadphones(layout, stock)) : whole;
  const lit = heard.flatMap((layout) => powered(layout, stock));
  const fed = wishes.charge ? lit.flatMap((layout) => charged(layout, stock)) : lit;
  const long = wishes.length === undefined ? fed : fed.flatMap((l) => stretched(l, wishes.length ?? 0));
  return long.slice(0, MOST_WAYS * (wishes.hear || wishes.guests || wishes.charge ? 8 : 1));
}
