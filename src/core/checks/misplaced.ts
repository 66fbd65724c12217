import type { Facts } from '../engine';
import { contactKey, nodeKey, type NodeKey, type Step } from '../engine/circuit';
import { socketsOf, type Arrival } from '../engine/flow';
import {
  SOUND_PASSES_OHMS,
  jointBefore,
  outputContacts,
  outward,
  placedOf,
  portOfNode,
  soundContacts,
  soundWires,
} from '../engine/outward';
import { mate } from '../plugs';
import { endsOf, isFree, jointsOf, portOf, type LaidPart, type PortRef } from '../rig';
import { failing } from './failing';

/** An output stage is met when no more than this lies between: no input of the trade is so low. Typical. */
const OUTPUT_WITHIN_OHMS = 1000;

/** A source that runs into a socket at which nothing listens, and a socket of the same part that would do. */
export interface Misplaced {
  /** Across the joint, from the source's side to the socket. */
  readonly step: Step & { readonly joint: string };
  readonly better?: PortRef;
  readonly source: string;
  readonly recorder: string;
}

/** The nearest contact of another part's output that a source's contact runs into, with the step to it. */
function drivenContact(facts: Facts, contact: NodeKey): Step | undefined {
  const found = outward(facts.wires, contact, OUTPUT_WITHIN_OHMS);
  const driver = facts.elements.find((e) => (e.kind === 'signal' || e.kind === 'drive') && found.has(e.a));
  return driver && jointBefore(found, driver.a);
}

/** Whether a converter of the rig listens behind a socket. */
const listensAt = (facts: Facts, { part, port }: PortRef): boolean =>
  facts.inputs.some((input) => input.placed === part && socketsOf(input.capture).includes(port));

/** Whether sound that is put on a contact comes to such a node by the wires of the rig; `ends`: it goes no farther than there. */
function soundReaches(
  facts: Facts,
  contact: NodeKey,
  isMeant: (node: NodeKey) => boolean,
  ends: (node: NodeKey) => boolean = () => false,
): boolean {
  const seen = new Set<NodeKey>([contact]);
  for (const node of seen) {
    if (isMeant(node)) return true;
    if (ends(node)) continue;
    for (const step of soundWires(facts).get(node) ?? []) {
      if (step.ohms <= SOUND_PASSES_OHMS) seen.add(step.to);
    }
  }
  return false;
}

/** Where a phone or computer plays: by itself, or by what is in its port. */
function playerOf(facts: Facts, host: LaidPart): LaidPart {
  const [player] = [...facts.playsAt].flatMap(([id, of]) =>
    of === host.placed.id ? [facts.laid.get(id)] : [],
  );
  return player ?? host;
}

/** Contacts on which a device plays. */
const playedContacts = (laid: LaidPart): NodeKey[] =>
  laid.part.ports.flatMap((port) => outputContacts(laid, port));

const groundContacts = (laid: LaidPart): NodeKey[] =>
  laid.part.ports.flatMap((port) =>
    Object.entries(port.roles ?? {})
      .filter(([, role]) => role === 'ground')
      .map(([contact]) => contactKey(laid.placed.id, port.id, contact)),
  );

/**
 * Devices whose playback is meant to be recorded and comes to no input by any wire: what is recorded of it leaks over a shared ground.
 */
function leaking(facts: Facts): readonly Arrival[] {
  const inputs = new Set([
    ...facts.inputs.flatMap((i) => i.capture.channels.map((c) => nodeKey(i.placed, c.plus))),
    ...facts.elements.flatMap((e) => (e.kind === 'sense' ? [e.a, e.b] : [])),
  ]);
  const grounds = new Set(
    [...facts.laid.values()].flatMap(groundContacts).map((contact) => facts.nets.of(contact)),
  );
  const isGround = (node: NodeKey) => grounds.has(facts.nets.of(node));
  return facts.arrivals.filter(({ state, source }) => {
    const laid = state === 'recorded' ? facts.laid.get(source) : undefined;
    if (!laid?.part.host) return false;
    const player = playerOf(facts, laid);
    const played = playedContacts(player);
    const own = [source, player.placed.id];
    const isOther = (node: NodeKey) => inputs.has(node) && !own.includes(placedOf(node));
    return played.length > 0 && !played.some((contact) => soundReaches(facts, contact, isOther, isGround));
  });
}

/** Whether sound put on a port's contacts comes to a converter, or to a stage that leads there, by the wires of the rig. */
function leadsToInput(facts: Facts, ref: PortRef): boolean {
  const laid = facts.laid.get(ref.part);
  const port = laid?.part.ports.find((p) => p.id === ref.port);
  if (!laid || !port || port.direction === 'out') return false;
  if (listensAt(facts, ref)) return true;
  const heard = new Set(
    facts.inputs.flatMap((input) =>
      input.plugged || input.placed === ref.part
        ? input.capture.channels.map((c) => `${input.placed}/${c.plus}`)
        : [],
    ),
  );
  const senses = new Set(
    facts.elements.flatMap((e) => (e.kind === 'sense' && e.placed === ref.part ? [e.a, e.b] : [])),
  );
  return soundContacts(laid, port).some((contact) =>
    soundReaches(facts, contact, (node) => heard.has(node) || senses.has(node)),
  );
}

/** Another free socket of the part that a plug went into, which takes it and where something listens. */
function betterSocket(facts: Facts, joint: string, at: string): PortRef | undefined {
  const found = facts.rig.joints.find((j) => j.id === joint);
  const ends = found && endsOf(found, at);
  const far = ends && portOf(facts.rig, ends.far);
  if (!ends || !far) return undefined;
  return (facts.laid.get(at)?.part.ports ?? [])
    .map((port) => ({ port, ref: { part: at, port: port.id } }))
    .filter(({ port, ref }) => isFree(facts.rig, ref) && mate(port, far).fits)
    .find(({ ref }) => leadsToInput(facts, ref))?.ref;
}

const withBetter = (facts: Facts, step: Step, source: string, recorder: string): Misplaced[] => {
  const { joint } = step;
  if (joint === undefined) return [];
  const better = betterSocket(facts, joint, placedOf(step.to));
  return [{ step: { ...step, joint }, source, recorder, ...(better && { better }) }];
};

const outputs = new WeakMap<Facts, readonly Misplaced[]>();

/** Sources whose output runs into another output. */
export function misplacedOutputs(facts: Facts): readonly Misplaced[] {
  const known = outputs.get(facts);
  if (known) return known;
  const strays = [...failing(facts).map(({ arrival }) => arrival), ...leaking(facts)];
  const found = strays.flatMap(({ source, recorder }) => {
    const laid = facts.laid.get(source);
    if (!laid) return [];
    const isHost = laid.part.host !== undefined;
    const driver = isHost ? playerOf(facts, laid) : laid;
    const step = driver.part.ports
      .flatMap((port) => (isHost ? outputContacts(driver, port) : soundContacts(driver, port)))
      .map((contact) => drivenContact(facts, contact))
      .find((found) => found && (isHost || !listensAt(facts, portOfNode(found.to))));
    return step ? withBetter(facts, step, source, recorder) : [];
  });
  outputs.set(facts, found);
  return found;
}

/** Sources whose lead ends in a socket of a box that gives sound out, though no stage drives it: a splitter's, say. */
export function misplacedLeads(facts: Facts): Misplaced[] {
  return failing(facts).flatMap(({ arrival: { source, recorder } }) => {
    const seen = new Set([source]);
    for (const id of seen) {
      for (const joint of jointsOf(facts.rig, id)) {
        const far = endsOf(joint, id)?.far;
        const port = far && portOf(facts.rig, far);
        if (!far || !port || seen.has(far.part)) continue;
        if (port.direction === 'out') {
          const step: Step = { from: '', to: `${far.part}/${far.port}`, ohms: 0, joint: joint.id };
          return withBetter(facts, step, source, recorder).filter(({ better }) => better);
        }
        if (port.direction === 'through') seen.add(far.part);
      }
    }
    return [];
  });
}
