import {
  REFERENCE_FREQUENCY,
  contactKey,
  readNode,
  wiring,
  type NetElement,
  type NodeKey,
  type Step,
  type Wiring,
} from './circuit';
import type { ContactRole, PartPort } from '../parts';
import type { LaidPart, PortRef } from '../rig';
import type { Facts } from './facts';

const SOUND: readonly ContactRole[] = ['left', 'right', 'microphone', 'hot'];

/** The placed part that a node belongs to. */
export const placedOf = (node: NodeKey): string => readNode(node).placed;

/** The port that a contact's node belongs to. */
export const portOfNode = (node: NodeKey): PortRef => {
  const { placed, port = '' } = readNode(node);
  return { part: placed, port };
};

const sounding = new WeakMap<Facts, Wiring>();

/** Behind more than this in series little of a sound is left at any input of the trade. Typical. */
export const SOUND_PASSES_OHMS = 100_000;

const reactance = (farads: number): number => 1 / (2 * Math.PI * REFERENCE_FREQUENCY * farads);

/** What sound passes as resistors: a capacitor is what it is at 1 kHz, a transformer leads from each end of one winding to one of the other. */
function asSoundPasses(e: NetElement): readonly NetElement[] {
  if (e.kind === 'capacitor')
    return [{ ...e, kind: 'resistor', ohms: reactance(e.farads), conductor: false }];
  if (e.kind !== 'transformer') return [e];
  const coupled = (a: NodeKey, b: NodeKey): NetElement => ({
    ...e,
    a,
    b,
    kind: 'resistor',
    ohms: 0,
    conductor: false,
  });
  return [coupled(e.a, e.c), coupled(e.b, e.d)];
}

/** Neighbours by everything that sound passes. */
export function soundWires(facts: Facts): Wiring {
  const known = sounding.get(facts);
  if (known) return known;
  const elements = facts.elements.flatMap(asSoundPasses);
  const found = wiring({ elements, touches: facts.netlist.touches });
  sounding.set(facts, found);
  return found;
}

/** Contacts of a port on which sound comes or goes. */
export const soundContacts = (laid: LaidPart, port: PartPort): NodeKey[] =>
  Object.entries(port.roles ?? {})
    .filter(([, role]) => SOUND.includes(role))
    .map(([contact]) => contactKey(laid.placed.id, port.id, contact));

/** Contacts of a port on which its part gives sound out: a headset jack has a microphone beside them. */
export const outputContacts = (laid: LaidPart, port: PartPort): NodeKey[] =>
  port.direction !== 'out' && port.direction !== 'both'
    ? []
    : Object.entries(port.roles ?? {})
        .filter(([, role]) => role === 'left' || role === 'right')
        .map(([contact]) => contactKey(laid.placed.id, port.id, contact));

/**
 * Everything that conducts from a contact away from its own part, through elements of at most `limit` ohms, with the
 * step that led there; nearest first.
 */
export function outward(wires: Wiring, from: NodeKey, limit: number): Map<NodeKey, Step> {
  const own = placedOf(from);
  const found = new Map<NodeKey, Step>();
  const queue = [from];
  for (const node of queue) {
    for (const step of wires.get(node) ?? []) {
      if (step.ohms > limit || step.to === from || found.has(step.to) || placedOf(step.to) === own) continue;
      found.set(step.to, step);
      queue.push(step.to);
    }
  }
  return found;
}

/** The joint last crossed on the way to a node that `outward` found. */
export function jointBefore(found: ReadonlyMap<NodeKey, Step>, node: NodeKey): Step | undefined {
  for (let step = found.get(node); step; step = found.get(step.from)) {
    if (step.joint !== undefined) return step;
  }
  return undefined;
}
