import type { Facts } from '../facts';
import { supplyGraph, type Feed, type SupplyGraph } from './feeds';

/** Volts at the end of a supply line: typical, and the least with thin leads and a low socket. */
export interface Arriving {
  readonly typical: number;
  readonly least: number;
}

/** Volts of a supply: 5 nominal; a port of high power has 4.75 at the least (USB 2.0, 7.2.2). */
const AT_SOCKET: Arriving = { typical: 5, least: 4.75 };
/** What falls from the plug of a hub without a supply to its sockets: at most 100 mV (USB 2.0, 7.2.2). */
const IN_HUB = 0.1;
/** Ohms a metre of one conductor: 24 AWG, and 28 AWG in thin leads (ASTM B258 wire table; from memory). */
const PER_METRE = { typical: 0.0842, least: 0.213 } as const;
/** Ohms of one contact: 30 mΩ at most when new (USB 2.0, 6.7; from memory). There are two plugs in a line, and there and back. */
const CONTACTS = 4 * 0.03;

/** The least that a device on a bus must do with, behind a hub without a supply (USB 2.0, 7.2.2). */
export const LEAST_VOLTS = 4.4;

/** Ohms of a supply line, there and back. */
export const lineOhms = (metres: number, perMetre: number): number => 2 * metres * perMetre + CONTACTS;

/** What is lost in a hub or adapter that has no supply of its own. */
const lostInside = (graph: SupplyGraph, placed: string): number => (graph.isSupplied(placed) ? 0 : IN_HUB);

function atSocket(graph: SupplyGraph, feed: Feed, seen: ReadonlySet<Feed>): Arriving {
  const above = graph.feeds.find(
    ({ to, as }) =>
      to.part === feed.from.part && (graph.isSupplied(to.part) ? as === 'supply' : as === 'onward'),
  );
  if (!above || seen.has(above)) return AT_SOCKET;
  const { typical, least } = arriving(graph, above, new Set([...seen, feed]));
  const lost = lostInside(graph, feed.from.part);
  return { typical: typical - lost, least: least - lost };
}

/** Volts at the far end of a supply line, with what flows in it and in those above it. */
export function arriving(graph: SupplyGraph, feed: Feed, seen: ReadonlySet<Feed> = new Set()): Arriving {
  const from = atSocket(graph, feed, seen);
  const drop = (perMetre: number) => (feed.takes / 1000) * lineOhms(feed.metres, perMetre);
  return { typical: from.typical - drop(PER_METRE.typical), least: from.least - drop(PER_METRE.least) };
}

/** Supply lines of devices at whose end fewer volts stand than they must do with, as things usually are. */
export const sagging = (facts: Facts): { readonly feed: Feed; readonly volts: Arriving }[] => {
  const graph = supplyGraph(facts);
  return graph.feeds.flatMap((feed) => {
    if (feed.as !== 'device' || feed.refused || feed.takes === 0) return [];
    const volts = arriving(graph, feed);
    return volts.typical < LEAST_VOLTS ? [{ feed, volts }] : [];
  });
};
