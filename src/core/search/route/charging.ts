import type { PortRef } from '../../rig';
import { settingOf } from '../../rig';
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
    if (!piece || piece.part.bus || piece.part.hub) return piece?.id;
    const other: string | undefined = piece.part.ports.find((p) => p.id !== far?.port)?.id;
    far = other === undefined ? undefined : farEnd(layout, { part: piece.id, port: other });
  }
  return undefined;
}

/** Sockets at which a charger for a host could still be plugged in: of the first box at each of its digital ports. */
export const chargingSockets = (layout: Layout, host: string): PortRef[] =>
  (pieceOf(layout, host)?.part.host?.busPorts ?? []).flatMap(({ port }) => {
    const box = firstBox(layout, host, port);
    const part = box === undefined ? undefined : pieceOf(layout, box)?.part;
    return box !== undefined && part
      ? chargeSockets(part).map((socket) => ({ part: box, port: socket }))
      : [];
  });

/**
 * Whether a host charges, or may, while it records: a digital port of it is free for a charger, it has none to fill, or what
 * fills it passes a supply on.
 */
export function suppliedPorts(layout: Layout, host: string): boolean {
  const piece = pieceOf(layout, host);
  const ports = piece?.part.host?.busPorts ?? [];
  if (!piece || ports.length === 0 || ports.some(({ port }) => !isTaken(layout, { part: host, port })))
    return true;
  return ports.some(({ port }) => {
    const box = firstBox(layout, host, port);
    const found = box === undefined ? undefined : pieceOf(layout, box);
    if (!found) return false;
    const laid = {
      placed: { id: found.id, part: found.part.id, ...(found.settings && { settings: found.settings }) },
      part: found.part,
    };
    const bySwitch = (found.part.hub?.supplied ?? []).some(
      (source) => 'setting' in source && settingOf(laid, source.setting) === source.is,
    );
    return (
      bySwitch ||
      chargeSockets(found.part).some((socket) => isTaken(layout, { part: found.id, port: socket }))
    );
  });
}

/** Whether a host that is to charge can do so only through what records on it: it has one digital port and no jack. */
export const chargesThrough = (host: Part): boolean =>
  host.host?.busPorts.length === 1 && (host.captures ?? []).length === 0;
