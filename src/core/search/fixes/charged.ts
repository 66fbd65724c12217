import type { Facts } from '../../engine';
import { chargingFeeds } from '../../engine/earth';
import { isSupply } from '../../parts';
import { endsOf, jointAt, portOf, type Joint, type Rig, type RigEdit } from '../../rig';
import { additionsAt } from './with-parts';

const known = new WeakMap<Facts, ReadonlySet<string>>();

/** What is charged or fed beside its host, by part; worked out once for one rig’s facts. */
function charged(facts: Facts): ReadonlySet<string> {
  const before = known.get(facts);
  if (before) return before;
  const found = new Set(chargingFeeds(facts).map(({ to }) => to.part));
  known.set(facts, found);
  return found;
}

/** Whether a thing was put into a supply line that does not hand it on: what was charged is not any more, and that is no cure. */
export const cutsCharge = (edits: readonly RigEdit[], before: Facts, after: Facts): boolean =>
  edits.some(({ kind }) => kind === 'insert') &&
  [...charged(before)].some((part) => !charged(after).has(part));

/** The joints by which a computer, or another host, charges something: its own ground comes along. */
const chargedByHosts = (facts: Facts): Joint[] =>
  chargingFeeds(facts).flatMap(({ from }) => {
    const joint = facts.laid.get(from.part)?.part.host ? jointAt(facts.rig, from) : undefined;
    return joint ? [joint] : [];
  });

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
