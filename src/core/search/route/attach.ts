import { contactsOf, mate, type Contact } from '../../plugs';
import { type Part, type PartPort, isSupply, isHeadphones, isPlainLink } from '../../parts';
import type { PortRef } from '../../rig';
import { channelsOf, copperOf, isDigital, nodesOfPort, partsSides } from '../ends';
import { compareCosts, costOf, type Purse } from './inventory';
import { isTaken, pieceOf, withJoint, withPiece, type Layout } from './layout';

/** A part at the end of a short branch, with a lead or adapter before it where it does not fit by itself. */
interface Offshoot {
  readonly leaf: Part;
  readonly port: PartPort;
  readonly by?: { readonly part: Part; readonly near: PartPort; readonly far: PartPort };
}

/** Whether every wanted contact of one end of a link comes out at the other. */
function conducts(part: Part, near: PartPort, far: PartPort, contacts: readonly string[]): boolean {
  const copper = copperOf(part);
  const [into, out] = [new Map(nodesOfPort(near, part)), nodesOfPort(far, part)];
  return contacts.every((contact) => {
    const node = into.get(contact as Contact);
    return node !== undefined && out.some(([, other]) => copper(other) === copper(node));
  });
}

/** The parts that may be used, and how many of each are owned. */
export interface Stock {
  readonly parts: readonly Part[];
  readonly purse: Purse;
}

/** What is put at the end of a branch, what may stand before it, and the contacts that must get through. */
export interface Ending {
  readonly what: string;
  readonly leaves: (parts: readonly Part[]) => { part: Part; port: PartPort }[];
  readonly isLink: (part: Part) => boolean;
  readonly contacts: (near: PartPort) => readonly string[];
}

const kept = new WeakMap<Stock, Map<string, Offshoot[]>>();

/** Ways of putting a leaf onto a port: straight, or over one lead or adapter that conducts; what costs least first. */
function offshootsAt(port: PartPort, { what, leaves, isLink, contacts }: Ending, stock: Stock): Offshoot[] {
  const cache = kept.get(stock) ?? new Map<string, Offshoot[]>();
  kept.set(stock, cache);
  const key = `${what} ${port.connector} ${port.gender}`;
  const known = cache.get(key);
  if (known) return known;
  const ends = leaves(stock.parts);
  const straight = ends
    .filter((leaf) => mate(leaf.port, port).fits)
    .map((leaf): Offshoot => ({ leaf: leaf.part, port: leaf.port }));
  const over = stock.parts.filter(isLink).flatMap((part) =>
    part.ports.flatMap((near) => {
      const far = part.ports.find((other) => other !== near);
      if (!far || !mate(near, port).fits || !conducts(part, near, far, contacts(near))) return [];
      return ends
        .filter((leaf) => mate(leaf.port, far).fits)
        .map((leaf): Offshoot => ({ leaf: leaf.part, port: leaf.port, by: { part, near, far } }));
    }),
  );
  const cost = ({ leaf, by }: Offshoot) => costOf(by ? [by.part, leaf] : [leaf], stock.purse);
  const found = [...straight, ...over].sort((x, y) => compareCosts(cost(x), cost(y)));
  cache.set(key, found);
  return found;
}

/** The layout with one thing more at the end of a branch from a free port, in the way that costs least there. */
export function withOffshootAt(
  layout: Layout,
  at: PortRef,
  ending: Ending,
  stock: Stock,
): { layout: Layout; leaf: string }[] {
  const port = pieceOf(layout, at.part)?.part.ports.find((p) => p.id === at.port);
  if (!port || isTaken(layout, at)) return [];
  return offshootsAt(port, ending, stock)
    .slice(0, 1)
    .map((branch) => {
      const grown = withOffshoot(layout, at, branch);
      return { layout: grown, leaf: grown.pieces.at(-1)?.id ?? '' };
    });
}

function withOffshoot(layout: Layout, at: PortRef, { leaf, port, by }: Offshoot): Layout {
  let [grown, here] = [layout, at];
  if (by) {
    const link = withPiece(grown, by.part);
    grown = withJoint(link.layout, here, { part: link.id, port: by.near.id });
    here = { part: link.id, port: by.far.id };
  }
  const end = withPiece(grown, leaf);
  return withJoint(end.layout, here, { part: end.id, port: port.id });
}

const SUPPLY: Ending = {
  what: 'supply',
  leaves: (parts) =>
    parts.filter(isSupply).flatMap((part) =>
      (part.outlets ?? []).flatMap((outlet) => {
        const port = part.ports.find((p) => p.id === outlet.port);
        return port ? [{ part, port }] : [];
      }),
    ),
  isLink: (part) => isPlainLink(part) && part.ports.every(isDigital),
  contacts: () => ['V', 'G'],
};

/** The layout with a supply at one of its sockets, in the ways that cost least. */
export function withSupply(layout: Layout, at: PortRef, stock: Stock, most = 1): Layout[] {
  const port = pieceOf(layout, at.part)?.part.ports.find((p) => p.id === at.port);
  if (!port || isTaken(layout, at)) return [];
  return offshootsAt(port, SUPPLY, stock)
    .slice(0, most)
    .map((branch) => withOffshoot(layout, at, branch));
}

/** Free sockets from which headphones could be fed, those nearest to the recorder first. */
function listeningPorts(layout: Layout): PortRef[] {
  return layout.pieces.toReversed().flatMap(({ id, part }) =>
    part.ports
      .filter((port) => !isDigital(port) && (port.direction === 'out' || port.direction === 'both'))
      .filter((port) => Object.values(port.roles ?? {}).some((role) => role === 'left' || role === 'right'))
      .map((port) => ({ part: id, port: port.id }))
      .filter((ref) => !isTaken(layout, ref)),
  );
}

const HEADPHONES: Ending = {
  what: 'headphones',
  leaves: (parts) =>
    parts.filter(isHeadphones).flatMap((part) => {
      const [port] = part.ports;
      return port ? [{ part, port }] : [];
    }),
  isLink: (part) => isPlainLink(part) && !part.ports.some(isDigital),
  contacts: ({ connector }) => contactsOf(connector),
};

/** The layout with headphones in a socket, at what costs least there. */
export function withHeadphonesAt(layout: Layout, at: PortRef, stock: Stock): Layout[] {
  const port = pieceOf(layout, at.part)?.part.ports.find((p) => p.id === at.port);
  if (!port || isTaken(layout, at)) return [];
  return offshootsAt(port, HEADPHONES, stock)
    .slice(0, 1)
    .map((branch) => withOffshoot(layout, at, branch));
}

/** The layout with headphones, in each socket that could feed them. */
export const withHeadphones = (layout: Layout, stock: Stock): Layout[] =>
  listeningPorts(layout).flatMap((at) => withHeadphonesAt(layout, at, stock));

/** Further sockets of a pair of neighbours that go together: the right of a pair whose left is joined already. */
export function withPairs(layout: Layout): Layout {
  let grown = layout;
  for (const { plug, jack } of layout.joints) {
    const [a, b] = [pieceOf(layout, plug.part), pieceOf(layout, jack.part)];
    if (!a || !b) continue;
    const used = (id: string, port: string) => isTaken(grown, { part: id, port });
    const joined = a.part.ports.find((p) => p.id === plug.port);
    const others = a.part.ports.filter(
      (port) =>
        port.connector === joined?.connector && port.direction === joined.direction && !isDigital(port),
    );
    const opposite = b.part.ports.find((p) => p.id === jack.port);
    for (const port of others) {
      if (used(a.id, port.id)) continue;
      const match = b.part.ports.find(
        (other) => !used(b.id, other.id) && other.direction === opposite?.direction && mate(port, other).fits,
      );
      if (match) grown = withJoint(grown, { part: a.id, port: port.id }, { part: b.id, port: match.id });
    }
  }
  return grown;
}

/** A further socket of a part like one that is used, by preference on a channel that nothing else is on. */
function sibling(layout: Layout, ref: PortRef): PartPort | undefined {
  const piece = pieceOf(layout, ref.part);
  const port = piece?.part.ports.find((p) => p.id === ref.port);
  if (!piece || !port) return undefined;
  const taken = piece.part.ports.filter((other) => isTaken(layout, { part: ref.part, port: other.id }));
  const channels = new Set(taken.flatMap((other) => channelsOf(piece.part, other)));
  const free = piece.part.ports.filter(
    (other) =>
      !taken.includes(other) &&
      other.connector === port.connector &&
      other.gender === port.gender &&
      other.direction === port.direction,
  );
  return free.find((other) => !channelsOf(piece.part, other).some((c) => channels.has(c))) ?? free[0];
}

/** Every joint of a piece: its own end, and the other. */
const jointsAt = ({ joints }: Layout, id: string): { own: PortRef; far: PortRef }[] =>
  joints
    .filter(({ plug, jack }) => plug.part === id || jack.part === id)
    .map(({ plug, jack }) => (plug.part === id ? { own: plug, far: jack } : { own: jack, far: plug }));

/** A second lead beside one between two parts that have a further socket alike at either end. */
export function withSecondLead(layout: Layout): Layout[] {
  return layout.pieces.flatMap((lead) => {
    if (!isPlainLink(lead.part) || lead.part.ports.some(isDigital)) return [];
    const ends = jointsAt(layout, lead.id);
    if (ends.length !== 2) return [];
    const second = withPiece(layout, lead.part);
    let grown: Layout | undefined = second.layout;
    for (const { own, far } of ends) {
      const port = sibling(layout, far);
      grown =
        grown &&
        port &&
        withJoint(grown, { part: second.id, port: own.port }, { part: far.part, port: port.id });
    }
    return grown ? [grown] : [];
  });
}

/** The other of the two joints of a piece; undefined where it has more or fewer. */
function onward(layout: Layout, { part, port }: PortRef): { own: PortRef; far: PortRef } | undefined {
  const all = jointsAt(layout, part);
  return all.length === 2 ? all.find(({ own }) => own.port !== port) : undefined;
}

/** A way that is joined, and the port from which its other half could be led beside it. */
export interface Half {
  readonly first: { readonly own: PortRef; readonly far: PortRef };
  readonly start: PortRef;
}

/** The one output of a source that is joined, with another like it. */
function halvesAtSources(layout: Layout): Half[] {
  return layout.sources.flatMap((source) => {
    const [first, ...more] = jointsAt(layout, source);
    const start = first && sibling(layout, first.own);
    return first && start && more.length === 0 ? [{ first, start: { part: source, port: start.id } }] : [];
  });
}

/** Plugs of copper that parts the sides, of which one is joined and the other hangs loose. */
export function halvesAtCopper(layout: Layout): Half[] {
  return layout.pieces.flatMap(({ id, part }) =>
    jointsAt(layout, id).flatMap((first): Half[] => {
      const port = part.ports.find((one) => one.id === first.own.port);
      if (port?.gender !== 'plug' || !partsSides(part, port)) return [];
      const start = sibling(layout, first.own);
      return start ? [{ first, start: { part: id, port: start.id } }] : [];
    }),
  );
}

/**
 * The other half of a pair led beside the one that is joined, over the like of everything that stands on that way, to a further
 * socket of what has one alike: lead, DI box and lead once more. It begins at the other output of a source, or at the other plug of
 * copper that parts the sides.
 */
export function withSecondWay(layout: Layout): Layout[] {
  return [...halvesAtSources(layout), ...halvesAtCopper(layout)].flatMap(({ first, start }) => {
    let [grown, here, at, pieces] = [layout, start, first.far, 0];
    for (let next = onward(layout, at); next; next = onward(layout, at)) {
      const part = pieceOf(layout, at.part)?.part;
      if (!part || part.host) return [];
      const second = withPiece(grown, part);
      grown = withJoint(second.layout, here, { part: second.id, port: at.port });
      [here, at, pieces] = [{ part: second.id, port: next.own.port }, next.far, pieces + 1];
      const end = sibling(grown, at);
      if (end && pieces > 1) return [withJoint(grown, here, { part: at.part, port: end.id })];
    }
    return [];
  });
}

/** Sources of which one output of a pair is joined and the other is left loose: half of them would be missing. */
export const halvedSources = (layout: Layout): readonly string[] =>
  layout.sources.filter((id) => {
    const ports = (pieceOf(layout, id)?.part.ports ?? []).filter(
      (port) =>
        port.direction === 'out' &&
        !isDigital(port) &&
        Object.values(port.roles ?? {}).some((role) => role !== 'ground'),
    );
    const taken = (port: PartPort) => isTaken(layout, { part: id, port: port.id });
    return ports.some(
      (port) => taken(port) && ports.some((other) => other.connector === port.connector && !taken(other)),
    );
  });
