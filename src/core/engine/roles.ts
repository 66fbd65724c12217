import { contactKey, readNode, type NodeKey, type Wiring } from './circuit';
import type { ContactRole } from '../parts';
import type { Contact } from '../plugs';
import type { Facts } from './facts';

/** A lead's conductor and the contacts on its way stay under this; anything more is a component. */
const CONDUCTOR_OHMS = 20;

function roleAt(facts: Facts, node: NodeKey): ContactRole | undefined {
  const { placed, port, contact } = readNode(node);
  if (port === undefined || contact === undefined) return undefined;
  return facts.laid.get(placed)?.part.ports.find((p) => p.id === port)?.roles?.[contact];
}

/** The role of a contact: its part's own, else that of the first named contact at the far end of its conductors. */
function roleFound(facts: Facts, joint: string, node: NodeKey): ContactRole | null {
  const own = roleAt(facts, node);
  if (own) return own;
  const seen = new Set([node]);
  let found: ContactRole | undefined;
  for (const at of seen) {
    for (const step of facts.wires.get(at) ?? []) {
      if (step.joint === joint || step.ohms > CONDUCTOR_OHMS || seen.has(step.to)) continue;
      const role = roleAt(facts, step.to);
      // A sleeve that lies on two springs of a jack bears what the ground there says.
      if (role === 'ground') return role;
      found ??= role;
      if (!role) seen.add(step.to);
    }
  }
  return found ?? null;
}

/** Kept as long as the circuit is: no knob of a stage changes what hangs behind a contact. */
const known = new WeakMap<Wiring, Map<string, ContactRole | null>>();

/** What lies behind a contact of a joint, on its own side. */
export function roleBehind(facts: Facts, joint: string, node: NodeKey): ContactRole | null {
  const roles = known.get(facts.wires) ?? new Map<string, ContactRole | null>();
  known.set(facts.wires, roles);
  const key = `${joint} ${node}`;
  const role = roles.get(key);
  if (role !== undefined) return role;
  const found = roleFound(facts, joint, node);
  roles.set(key, found);
  return found;
}

/** What ground and microphone of a headset may be taken for by the other side: a receiver's sound comes on a left or a right. */
const EXCHANGED: Partial<Record<ContactRole, readonly ContactRole[]>> = {
  microphone: ['ground'],
  ground: ['microphone', 'left', 'right'],
};

type Exchange = readonly { readonly jack: Contact; readonly plug: Contact }[];
const exchanges = new WeakMap<Wiring, Map<string, Exchange>>();

/** The contacts of a joint at which one side has ground where the other has the microphone, or its sound where the other has ground. */
export function exchangedAt(facts: Facts, joint: string): Exchange {
  const byJoint = exchanges.get(facts.wires) ?? new Map<string, Exchange>();
  exchanges.set(facts.wires, byJoint);
  const found = byJoint.get(joint) ?? exchangeOf(facts, joint);
  byJoint.set(joint, found);
  return found;
}

function exchangeOf(facts: Facts, joint: string): Exchange {
  const mated = facts.matings.find((m) => m.joint.id === joint);
  if (!mated) return [];
  const { plug: plugRef, jack: jackRef } = mated.joint;
  return (facts.reading.meetings.get(joint) ?? []).flatMap(({ jack, plug }) => {
    if (plug === null) return [];
    const brings = roleBehind(facts, joint, contactKey(plugRef.part, plugRef.port, plug));
    const expects = roleBehind(facts, joint, contactKey(jackRef.part, jackRef.port, jack));
    return brings && expects && EXCHANGED[expects]?.includes(brings) ? [{ jack, plug }] : [];
  });
}
