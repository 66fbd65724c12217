import type { AppId } from '../../apps';
import type { Part } from '../../parts';
import { applyEdit, freshId, type Joint, type PortRef, type Rig } from '../../rig';
import type { PartChain } from './chains';
import { costOf, type Cost } from './inventory';
import type { Drawer } from '../drawer';
import type { RouteRequest } from './request';

/** A part of a layout by the id that it bears in the rig. */
export interface Piece {
  readonly id: string;
  readonly part: Part;
  readonly label?: string;
  readonly app?: AppId;
  readonly settings?: Rig['parts'][number]['settings'];
  readonly length?: number;
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
}

/** The parts that were put between. */
export const between = ({ pieces, sources, recorders, given }: Layout): Part[] =>
  pieces.flatMap(({ id, part }) =>
    sources.includes(id) || recorders.includes(id) || id === given ? [] : [part],
  );

/** What the parts between cost, and how many joints there are to make. */
export const layoutCost = (layout: Layout, drawer: Drawer): Cost => ({
  ...costOf(between(layout), drawer),
  joints: layout.joints.length,
});

export const isTaken = (layout: Layout, ref: PortRef): boolean =>
  layout.joints.some(
    ({ plug, jack }) =>
      (plug.part === ref.part && plug.port === ref.port) ||
      (jack.part === ref.part && jack.port === ref.port),
  );

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
  return { ...joined, kind: `${layout.kind} ${chain.kind}` };
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
  return applyEdit(rig, { kind: 'tracks', apart: request.wishes?.channels === 'apart' });
}
