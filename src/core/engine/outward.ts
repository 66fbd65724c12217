import { contactKey, type NodeKey, type Step, type Wiring } from './circuit';
import type { ContactRole, PartPort } from '../parts';
import type { LaidPart } from '../rig';

const SOUND: readonly ContactRole[] = ['left', 'right', 'microphone', 'hot'];

/** The placed part that a node belongs to. */
export const placedOf = (node: NodeKey): string => node.slice(0, node.indexOf('/'));

/** Contacts of a port on which sound comes or goes. */
export const soundContacts = (laid: LaidPart, port: PartPort): NodeKey[] =>
  Object.entries(port.roles ?? {})
    .filter(([, role]) => SOUND.includes(role))
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
