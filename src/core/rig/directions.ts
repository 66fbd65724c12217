import type { PartPort } from '../parts';
import { endsOf, jointsOf, portOf } from './lookup';
import type { Joint, Rig } from './types.generated';

/** Which way sound goes by a lead of a part, as far as that is known: into the part or out of it. */
export type Direction = 'in' | 'out' | undefined;

/** What hangs on a part by one of its joints, without what is reached over the part itself. */
function beyond(rig: Rig, placedId: string, joint: Joint): ReadonlySet<string> {
  const seen = new Set([placedId]);
  const waiting = [endsOf(joint, placedId)?.far.part];
  for (let next = waiting.pop(); next !== undefined; next = waiting.pop()) {
    const id = next;
    if (seen.has(id)) continue;
    seen.add(id);
    waiting.push(...jointsOf(rig, id).flatMap((one) => endsOf(one, id)?.far.part ?? []));
  }
  seen.delete(placedId);
  return seen;
}

function directionOf(rig: Rig, placedId: string, joint: Joint): Direction {
  const { sources, recorders } = rig.purpose;
  const hanging = beyond(rig, placedId, joint);
  const [comes, goes] = [sources, recorders].map((ids) => ids.some((id) => hanging.has(id)));
  if (comes !== goes) return comes ? 'in' : 'out';
  const near = endsOf(joint, placedId)?.near;
  const own = near && portOf(rig, near)?.direction;
  return own === 'in' || own === 'out' ? own : undefined;
}

/** Which way sound goes by each lead of a part, in the order of its joints: by what hangs on it, else by the socket that it is in. */
export const directionsAt = (rig: Rig, placedId: string): Direction[] =>
  jointsOf(rig, placedId).map((joint) => directionOf(rig, placedId, joint));

/** Whether sound can go so by a port. */
export const goesSo = ({ direction }: PartPort, wanted: Direction): boolean =>
  wanted === undefined || (wanted === 'in' ? direction !== 'out' : direction !== 'in');
