import { isSymmetrical, type Part } from '../parts';
import type { RigEdit } from './edits';
import { keepRoles, type Kept } from './keep-roles';
import { endsOf, jointsOf, portOf } from './lookup';
import { matchPorts } from './match-ports';
import type { Rig } from './types.generated';

/** With so many leads in it a box is exchanged for one in which each keeps its role: on a desk of ten leads there are millions of ways else. */
const MANY_LEADS = 4;

const kept = new WeakMap<Rig, Map<string, readonly Kept[] | undefined>>();

/** The leads in a placed part, in the order of its joints; undefined where an end of one is not known. Every part that could stand there asks. */
function leadsIn(rig: Rig, placedId: string): readonly Kept[] | undefined {
  const byPart = kept.get(rig) ?? new Map<string, readonly Kept[] | undefined>();
  kept.set(rig, byPart);
  if (!byPart.has(placedId)) byPart.set(placedId, leadsOf(rig, placedId));
  return byPart.get(placedId);
}

function leadsOf(rig: Rig, placedId: string): readonly Kept[] | undefined {
  const joints = jointsOf(rig, placedId);
  // What is plugged into itself keeps its own sockets, and no other part has them.
  if (joints.some(({ plug, jack }) => plug.part === jack.part)) return undefined;
  const ends = joints.flatMap((joint) => endsOf(joint, placedId) ?? []);
  const leads = ends.flatMap(({ near, far }): Kept[] => {
    const [own, other] = [portOf(rig, near), portOf(rig, far)];
    return own && other ? [{ own, far: other }] : [];
  });
  return leads.length === ends.length ? leads : undefined;
}

/** The swap in which each lead keeps its role: an output's lead in an output. */
export function likest(rig: Rig, placedId: string, to: Part): RigEdit | undefined {
  const leads = leadsIn(rig, placedId);
  const ports = leads && keepRoles(to, leads);
  return ports && { kind: 'swap', part: placedId, to: to.id, ports };
}

/**
 * Every way that makes a difference in which `to` can stand in the place of a placed part with all its joints kept; the port order is theirs. Of a box with
 * four leads and more the one in which each lead keeps its role.
 */
export function swapEdits(rig: Rig, placedId: string, to: Part): RigEdit[] {
  const leads = leadsIn(rig, placedId);
  if (!leads) return [];
  if (leads.length >= MANY_LEADS) {
    const kept = likest(rig, placedId, to);
    return kept ? [kept] : [];
  }
  const ways = matchPorts(
    to,
    leads.map(({ far }) => far),
  );
  const differing = isSymmetrical(to) ? ways.slice(0, 1) : ways;
  return differing.map((ports) => ({ kind: 'swap', part: placedId, to: to.id, ports }));
}
