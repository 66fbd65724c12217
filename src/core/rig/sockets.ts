import { mate } from '../plugs';
import { jointAt, laidParts, portOf } from './lookup';
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
        .filter(({ port, ref }) => port.gender === 'jack' && !jointAt(rig, ref) && mate(plug, port).fits)
        .map(({ ref }) => ref),
    );
}
