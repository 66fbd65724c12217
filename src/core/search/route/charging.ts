import type { PortRef } from '../../rig';
import { type Part, supplySockets } from '../../parts';
import { isTaken, pieceOf, type Layout } from './layout';

/** Sockets of a box from which what stands ahead of it could be charged: never the plug that leads there. */
export const chargeSockets = (part: Part): string[] =>
  supplySockets(part).filter((id) => id !== part.bus?.port && id !== part.hub?.upstream);

/** The part at the other end of a joint. */
function farEnd(layout: Layout, ref: PortRef): PortRef | undefined {
  const joint = layout.joints.find(
    ({ plug, jack }) =>
      (plug.part === ref.part && plug.port === ref.port) ||
      (jack.part === ref.part && jack.port === ref.port),
  );
  if (!joint) return undefined;
  return joint.plug.part === ref.part && joint.plug.port === ref.port ? joint.jack : joint.plug;
}

/** From a digital port of a host over plain leads to the first part with electronics. */
function firstBox(layout: Layout, host: string, port: string): string | undefined {
  const seen = new Set([host]);
  let far = farEnd(layout, { part: host, port });
  while (far && !seen.has(far.part)) {
    seen.add(far.part);
    const piece = pieceOf(layout, far.part);
    if (!piece || piece.part.bus || piece.part.hub || piece.part.outlets) return piece?.id;
    const other: string | undefined = piece.part.ports.find((p) => p.id !== far?.port)?.id;
    far = other === undefined ? undefined : farEnd(layout, { part: piece.id, port: other });
  }
  return undefined;
}

/** Where a charger for a host could still be plugged in: a digital port of its own that is free, or the first box at one. */
export const chargingSockets = (layout: Layout, host: string): PortRef[] =>
  (pieceOf(layout, host)?.part.host?.busPorts ?? []).flatMap(({ port }) => {
    if (!isTaken(layout, { part: host, port })) return [{ part: host, port }];
    const box = firstBox(layout, host, port);
    const part = box === undefined ? undefined : pieceOf(layout, box)?.part;
    return box !== undefined && part
      ? chargeSockets(part).map((socket) => ({ part: box, port: socket }))
      : [];
  });

/** A host that has no digital port charges by a socket of its own, which is nothing to ask about. */
const chargesByItself = (layout: Layout, host: string): boolean =>
  (pieceOf(layout, host)?.part.host?.busPorts ?? []).length === 0;

/** Whether a host charges while it records: a charger is in a port of its own, or in the socket of what fills it. */
export function suppliedPorts(layout: Layout, host: string): boolean {
  if (chargesByItself(layout, host)) return true;
  return (pieceOf(layout, host)?.part.host?.busPorts ?? []).some(({ port }) => {
    const box = firstBox(layout, host, port);
    const found = box === undefined ? undefined : pieceOf(layout, box);
    if (!found) return false;
    if (found.part.outlets) return true;
    return chargeSockets(found.part).some((socket) => isTaken(layout, { part: found.id, port: socket }));
  });
}

/** Whether a host that is to charge can do so only through what records on it: it has one digital port and no jack. */
export const chargesThrough = (host: Part): boolean =>
  host.host?.busPorts.length === 1 && (host.captures ?? []).length === 0;
