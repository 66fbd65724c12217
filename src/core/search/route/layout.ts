import { applyEdit, freshId, portsInOpening, type Joint, type PortRef, type Rig } from '../../rig';
import type { AppId } from '../../apps';
import type { Part } from '../../parts';
import { boxNames, socketKind } from './chain-kinds';
import type { PartChain } from './part-chain';
import { costFor, NOTHING, plus, type Cost, type Purse } from './inventory';
import { priceOf } from './lengths';
import type { RouteRequest } from './request';

/** A part of a layout by the id that it bears in the rig. */
export interface Piece {
  readonly id: string;
  readonly part: Part;
  readonly label?: string;
  readonly app?: AppId;
  readonly settings?: Rig['parts'][number]['settings'];
  /** Metres of a lead that is not as long as its kind is by itself. */
  readonly length?: number;
}

/** What a chain was when it was laid: the kinds of sockets at its ends, its boxes, and what it weighed. */
export interface LaidWay {
  readonly from: string;
  readonly boxes: readonly string[];
  readonly to: string;
  readonly weight: number;
}

/** Parts and joints of a whole route before it is judged. Sources and recorders are the user's own and cost nothing. */
export interface Layout {
  readonly pieces: readonly Piece[];
  readonly joints: readonly Joint[];
  readonly sources: readonly string[];
  readonly recorders: readonly string[];
  readonly kind: string;
  /** A piece that the user has there already. */
  readonly given?: string;
  /** Pieces that the user has there and that bring no sound. */
  readonly carried?: readonly string[];
  /** What comes to its recorders over a part in the middle, as open ends tell it: layouts of which the same is said sound alike. */
  readonly sounds?: string;
  /** The part in its middle, where every chain leads into that or out of it. */
  readonly middle?: string;
  /** Its chains in the order in which they were laid. */
  readonly ways?: readonly LaidWay[];
  /** What its chains are known to weigh beside their parts, whatever is found when it is judged. */
  readonly sure?: number;
  /** Copper brings sources together that it should not, wherever behind it they meet. */
  readonly isHeaped?: boolean;
}

/** The pieces that were put between. */
export const betweenPieces = ({ pieces, sources, recorders, given, carried = [] }: Layout): Piece[] =>
  pieces.filter(({ id }) => ![...sources, ...recorders, ...carried].includes(id) && id !== given);

/** The parts that were put between. */
export const between = (layout: Layout): Part[] => betweenPieces(layout).map(({ part }) => part);

/** Which parts a layout is made of, whatever is joined to what. */
export const partsIn = ({ pieces }: Layout): string =>
  pieces
    .map(({ part }) => part.id)
    .sort()
    .join();

/** A piece with its price as long as it is. */
export interface Item {
  readonly part: Part;
  readonly price: number;
  /** Metres of a lead. */
  readonly length?: number;
}

/** What has to be bought, one entry a piece, and what comes from the drawer. Of owned leads the long ones go where length is needed. */
export function split(
  layout: Layout,
  { drawer, lengths }: Pick<Purse, 'drawer' | 'lengths'>,
): { buy: Item[]; own: Item[] } {
  const [buy, own]: Item[][] = [[], []];
  const free = new Map<string, number[]>();
  const owned = (part: Part): number[] => {
    const known = free.get(part.id);
    if (known) return known;
    const written = [...(lengths?.[part.id] ?? [])].slice(0, drawer[part.id] ?? 0);
    const rest = Math.max(0, (drawer[part.id] ?? 0) - written.length);
    const all = [...written, ...new Array<number>(rest).fill(part.length ?? 0)].sort((a, b) => a - b);
    free.set(part.id, all);
    return all;
  };
  const pieces = [...betweenPieces(layout)].sort((a, b) => (b.length ?? 0) - (a.length ?? 0));
  for (const { part, length } of pieces) {
    const stock = owned(part);
    const metres = length ?? part.length;
    const at = stock.findIndex((has) => has >= (length ?? 0) - 1e-9);
    if (at >= 0) {
      const [has] = stock.splice(at, 1);
      own?.push({ part, price: 0, ...(metres !== undefined && has !== undefined && { length: has }) });
    } else {
      buy?.push({ part, price: priceOf(part, length), ...(metres !== undefined && { length: metres }) });
    }
  }
  return { buy: buy ?? [], own: own ?? [] };
}

/** What the parts between cost, and how many joints there are to make. */
export function layoutCost(layout: Layout, purse: Purse): Cost {
  const { buy } = split(layout, purse);
  const bought = buy.reduce((sum, { price }) => plus(sum, costFor(1, price, 0, purse)), NOTHING);
  return plus(bought, costFor(0, 0, layout.joints.length, purse));
}

const hasJoint = ({ joints }: Layout, part: string, port: string): boolean =>
  joints.some(
    ({ plug, jack }) =>
      (plug.part === part && plug.port === port) || (jack.part === part && jack.port === port),
  );

/** Whether a plug is in a port, or in another that shares its opening. */
export function isTaken(layout: Layout, { part: id, port }: PortRef): boolean {
  if (hasJoint(layout, id, port)) return true;
  const part = pieceOf(layout, id)?.part;
  const own = part?.ports.find((one) => one.id === port);
  if (!part || own?.opening === undefined) return false;
  return portsInOpening(part, own).some((other) => hasJoint(layout, id, other.id));
}

export const pieceOf = (layout: Layout, id: string): Piece | undefined =>
  layout.pieces.find((piece) => piece.id === id);

/** A layout with one piece more, under a fresh id. */
export function withPiece(layout: Layout, part: Part): { layout: Layout; id: string } {
  const id = freshId(part.id, new Set(layout.pieces.map((piece) => piece.id)));
  return { id, layout: { ...layout, pieces: [...layout.pieces, { id, part }] } };
}

/** A layout with a plug pushed home; which end is the plug follows from the ports. */
export function withJoint(layout: Layout, a: PortRef, b: PortRef): Layout {
  const isPlug = pieceOf(layout, a.part)?.part.ports.find((p) => p.id === a.port)?.gender === 'plug';
  const joint = { id: `j${layout.joints.length + 1}`, plug: isPlug ? a : b, jack: isPlug ? b : a };
  return { ...layout, joints: [...layout.joints, joint] };
}

/** A layout with a chain laid from one of its pieces to another. `to` takes another of its like ports where one is taken. */
export function withChain(
  layout: Layout,
  from: string,
  chain: PartChain,
  to: string,
  toPort = chain.to.id,
): Layout {
  let grown = layout;
  let at: PortRef = { part: from, port: chain.from.id };
  for (const link of chain.links) {
    const added = withPiece(grown, link.part);
    grown = withJoint(added.layout, at, { part: added.id, port: link.entry.id });
    at = { part: added.id, port: link.exit.id };
  }
  const joined = withJoint(grown, at, { part: to, port: toPort });
  const sure = (layout.sure ?? 0) + chain.sure;
  const way: LaidWay = {
    from: socketKind(chain.from),
    boxes: boxNames(chain.links),
    to: socketKind(chain.to),
    weight: chain.cost.weight,
  };
  const ways = [...(layout.ways ?? []), way];
  return { ...joined, kind: `${layout.kind} ${chain.kind}`, ways, ...(sure > 0 && { sure }) };
}

/** The layout as a rig that the pipeline takes. */
export function rigOf(layout: Layout, request: RouteRequest): Rig {
  const distances = Object.fromEntries(
    request.sources.flatMap(({ distance }, index) => {
      const id = layout.sources[index];
      return distance === undefined || id === undefined ? [] : [[id, distance]];
    }),
  );
  const used = new Set(layout.pieces.map(({ part }) => part.id));
  const own = (request.ownParts ?? []).filter((part) => used.has(part.id));
  const rig: Rig = {
    format: 'symplex-rig',
    version: 1,
    id: 'route',
    name: 'Route',
    parts: layout.pieces.map(({ id, part, label, app, settings, length }) => ({
      id,
      part: part.id,
      ...(label !== undefined && { label }),
      ...(settings && { settings }),
      ...(length !== undefined && { length }),
      ...(app !== undefined && { app }),
    })),
    joints: layout.joints,
    surroundings: {
      voice: request.voice ?? 'normal',
      ...(Object.keys(distances).length > 0 && { distances }),
    },
    purpose: { sources: layout.sources, recorders: layout.recorders },
    ...(request.policies && { policies: request.policies }),
    ...(own.length > 0 && { ownParts: own }),
  };
  const { channels } = request.wishes ?? {};
  return applyEdit(rig, { kind: 'tracks', apart: channels === 'apart', side: channels === 'mono' });
}
