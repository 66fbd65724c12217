import { contactKey, magnitude, type NodeKey, type Wiring } from '../engine/circuit';
import { type JointMating } from '../engine/mate';
import { contactsOf, type Contact, type Misfit } from '../plugs';
import type { ContactRole, PartPort } from '../parts';
import { dbV, gainToDb, type DbV, type Volts } from '../units';
import type { PortRef } from '../rig';
import type { Facts } from '../engine/facts';
import { roleBehind } from '../engine/roles';
import { digitalWays } from './digital-way';

/** A jack contact with the plug contact on it, and what is measured there against the joint's ground. */
export interface ContactView {
  readonly jack: Contact;
  readonly plug: Contact | null;
  readonly uncertain: boolean;
  readonly volts: Volts | null;
  /** RMS level of the intended sources; null where none of them comes. */
  readonly level: DbV | null;
}

/** A joint as the Bench draws it. `brings` is what each plug contact has behind it, `expects` each jack contact. */
export interface JointView {
  readonly id: string;
  readonly plug: PortRef;
  readonly jack: PortRef;
  readonly plugPort: PartPort;
  readonly jackPort: PartPort;
  readonly misfit?: Misfit;
  readonly contacts: readonly ContactView[];
  readonly brings: readonly { readonly contact: Contact; readonly role: ContactRole | null }[];
  readonly expects: readonly { readonly contact: Contact; readonly role: ContactRole | null }[];
  /** The wanted sound passes here. */
  readonly alive: boolean;
}

/** What hangs on the wires alone of a joint's view. */
interface JointRoles extends Pick<JointView, 'brings' | 'expects'> {
  readonly ground: NodeKey | undefined;
}

/** Kept as long as the circuit is. */
const known = new WeakMap<Wiring, Map<string, JointRoles>>();

function rolesOf(facts: Facts, mated: JointMating): JointRoles {
  const own = known.get(facts.wires) ?? new Map<string, JointRoles>();
  known.set(facts.wires, own);
  const kept = own.get(mated.joint.id);
  if (kept) return kept;
  const { joint, plugPort, jackPort } = mated;
  const roles = (ref: PortRef, port: PartPort) =>
    contactsOf(port.connector).map((contact) => ({
      contact,
      role: roleBehind(facts, joint.id, contactKey(ref.part, ref.port, contact)),
    }));
  const found = {
    brings: roles(joint.plug, plugPort),
    expects: roles(joint.jack, jackPort),
    ground: groundNode(facts, mated),
  };
  own.set(joint.id, found);
  return found;
}

/** The wanted sound is there when at least this share of the source is. A limit of our own. */
const ALIVE_GAIN = 0.001;

function groundNode(facts: Facts, { joint, jackPort, plugPort }: JointMating): NodeKey | undefined {
  const at = (ref: PortRef, port: PartPort, behind: boolean) => {
    const contact = contactsOf(port.connector).find((c) => {
      const node = contactKey(ref.part, ref.port, c);
      return (behind ? roleBehind(facts, joint.id, node) : port.roles?.[c]) === 'ground';
    });
    return contact && contactKey(ref.part, ref.port, contact);
  };
  return at(joint.jack, jackPort, false) ?? at(joint.plug, plugPort, true) ?? at(joint.jack, jackPort, true);
}

function levelBetween(facts: Facts, plus: NodeKey, minus: NodeKey): { level: DbV; gain: number } | null {
  const [p, m] = [facts.nets.of(plus), facts.nets.of(minus)];
  let best: { level: DbV; gain: number } | null = null;
  for (const voice of facts.voices) {
    if (!facts.rig.purpose.sources.includes(voice.placed) || voice.level === -Infinity) continue;
    const gain = facts.alternating.gain(voice.id, p, m);
    if (!gain || magnitude(gain) < 1e-9) continue;
    const level = dbV(voice.level + gainToDb(magnitude(gain)));
    if (!best || level > best.level) best = { level, gain: magnitude(gain) };
  }
  return best;
}

function jointAlive(facts: Facts, mated: JointMating): boolean {
  const { joint } = mated;
  if (mated.mating.fits === false) return false;
  if (digitalWays(facts).has(joint.id)) return true;
  const nodes = contactsOf(mated.jackPort.connector).map((c) =>
    contactKey(joint.jack.part, joint.jack.port, c),
  );
  return nodes.some((plus, i) =>
    nodes.slice(i + 1).some((minus) => (levelBetween(facts, plus, minus)?.gain ?? 0) >= ALIVE_GAIN),
  );
}

function contactViews(facts: Facts, mated: JointMating): ContactView[] {
  const { joint, mating } = mated;
  const { ground } = rolesOf(facts, mated);
  return (facts.reading.meetings.get(joint.id) ?? []).map(({ jack, plug }) => {
    const node = contactKey(joint.jack.part, joint.jack.port, jack);
    const touch = mating.fits ? mating.touches.find((t) => t.jack === jack) : undefined;
    return {
      jack,
      plug,
      uncertain: (touch?.plug.length ?? 0) > 1,
      volts: ground ? (facts.direct.between(facts.nets.of(node), facts.nets.of(ground)) ?? null) : null,
      level: ground ? (levelBetween(facts, node, ground)?.level ?? null) : null,
    };
  });
}

/** Every joint with its contacts, as the given facts have it. */
export function jointViews(facts: Facts): JointView[] {
  return facts.matings.map((mated) => {
    const { joint, plugPort, jackPort, mating } = mated;
    const { brings, expects } = rolesOf(facts, mated);
    return {
      id: joint.id,
      plug: joint.plug,
      jack: joint.jack,
      plugPort,
      jackPort,
      ...(!mating.fits && { misfit: mating.misfit }),
      contacts: contactViews(facts, mated),
      brings,
      expects,
      alive: jointAlive(facts, mated),
    };
  });
}
