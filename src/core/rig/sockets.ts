import { mate } from '../plugs';
import { isFree, joinedTo, laidParts, portOf } from './lookup';
import type { PortRef, Rig } from './types.generated';

/** Every free socket of the rig, on any part but its own, that takes the plug of a joint. */
export function freeSocketsFor(rig: Rig, jointId: string): PortRef[] {
  const joint = rig.joints.find((j) => j.id === jointId);
  const plug = joint && portOf(rig, joint.plug);
  if (!plug) return [];
  return laidParts(rig)
    .filter(({ placed }) => placed.id !== joint.plug.part)
    .flatMap(({ placed, part }) =>
      part.ports
        .map((port) => ({ port, ref: { part: placed.id, port: port.id } }))
        .filter(({ port, ref }) => port.gender === 'jack' && isFree(rig, ref) && mate(plug, port).fits)
        .map(({ ref }) => ref),
    );
}

/** A free port of the one, and one of the other, that go together. */
export interface Bridge {
  readonly a: PortRef;
  readonly b: PortRef;
}

/** Every way to join two groups of parts, each all that hangs together with a part, by one plug in one socket. */
export function bridges(rig: Rig, from: string, to: string): Bridge[] {
  const freeOf = (start: string) => {
    const group = joinedTo(rig, start);
    return laidParts(rig)
      .filter(({ placed }) => group.has(placed.id))
      .flatMap(({ placed, part }) =>
        part.ports.map((port) => ({ port, ref: { part: placed.id, port: port.id } })),
      )
      .filter(({ ref }) => isFree(rig, ref));
  };
  const far = freeOf(to);
  return freeOf(from).flatMap((a) =>
    far.filter((b) => mate(a.port, b.port).fits).map((b) => ({ a: a.ref, b: b.ref })),
  );
}
