import type { Facts } from '../../engine';
import { supplyGraph } from '../../engine/power';
import { isSupply } from '../../parts';
import { endsOf, jointAt, portOf, type Joint, type Rig, type RigEdit } from '../../rig';
import { additionsAt } from './with-parts';

const known = new WeakMap<Facts, ReadonlySet<string>>();

/** What is charged or fed beside its host, by part; worked out once for one rig’s facts. */
function charged(facts: Facts): ReadonlySet<string> {
  const before = known.get(facts);
  if (before) return before;
  const found = new Set(
    supplyGraph(facts).feeds.flatMap(({ as, to, refused }) =>
      refused || (as !== 'charge' && as !== 'supply') ? [] : [to.part],
    ),
  );
  known.set(facts, found);
  return found;
}

/** Whether all that was charged still is: a thing put into a supply line that does not hand it on has cut it, which is no cure. */
export function staysCharged(before: Facts, after: Facts): boolean {
  const fed = charged(before);
  return fed.size === 0 || [...fed].every((part) => charged(after).has(part));
}

/** The joints by which a computer, or another host, charges something: its own ground comes along. */
function chargedByHosts(facts: Facts): Joint[] {
  return supplyGraph(facts).feeds.flatMap(({ from, as }) => {
    const host = facts.laid.get(from.part)?.part.host;
    const joint = host && (as === 'charge' || as === 'supply') ? jointAt(facts.rig, from) : undefined;
    return joint ? [joint] : [];
  });
}

/** The lead that charges pulled out of the computer. */
export const unplugged = (facts: Facts): RigEdit[] =>
  chargedByHosts(facts).map(({ id }) => ({ kind: 'unplug', joint: id }));

/** The same lead in a charger or power bank instead. */
export const fedOtherwise = (facts: Facts, rig: Rig): RigEdit[][] =>
  chargedByHosts(facts).flatMap((joint) => {
    const isHost = (id: string) => facts.laid.get(id)?.part.host !== undefined;
    const host = [joint.plug.part, joint.jack.part].find(isHost);
    const far = host === undefined ? undefined : endsOf(joint, host)?.far;
    const port = far && portOf(rig, far);
    if (!far || !port) return [];
    return additionsAt(rig, { part: far.part, port }, isSupply).map((add): RigEdit[] => [
      { kind: 'unplug', joint: joint.id },
      add,
    ]);
  });
