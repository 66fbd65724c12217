import type { Contact } from '../../plugs';
import type { NetElement, Netlist } from './netlist';
import { contactOf, type NodeKey } from './node-key';

/** One step along the wiring: through a touch of two contacts at a joint, or through an element of a part. */
export interface Step {
  readonly from: NodeKey;
  readonly to: NodeKey;
  readonly ohms: number;
  readonly joint?: string;
}

/** Neighbours of every node by everything that conducts direct current. */
export type Wiring = ReadonlyMap<NodeKey, readonly Step[]>;

/** Direct-current resistance of an element; undefined for one that blocks. Sources count as short. */
function directOhms(element: NetElement): number | undefined {
  switch (element.kind) {
    case 'wire':
    case 'supply':
    case 'signal':
    case 'inductor':
      return 0;
    case 'resistor':
    case 'sense':
    case 'drive':
      return element.ohms;
    case 'electret':
      return element.capsule.dcResistance;
    case 'capacitor':
    case 'transformer':
      return undefined;
  }
}

export function wiring({ elements, touches }: Pick<Netlist, 'elements' | 'touches'>): Wiring {
  const steps = new Map<NodeKey, Step[]>();
  const put = (step: Step) => {
    const list = steps.get(step.from);
    if (list) list.push(step);
    else steps.set(step.from, [step]);
  };
  const both = (a: NodeKey, b: NodeKey, rest: Omit<Step, 'from' | 'to'>) => {
    put({ from: a, to: b, ...rest });
    put({ from: b, to: a, ...rest });
  };
  for (const element of elements) {
    const ohms = directOhms(element);
    if (ohms !== undefined) both(element.a, element.b, { ohms });
  }
  for (const { joint, plug, jack } of touches) both(plug, jack, { ohms: 0, joint });
  return steps;
}

/**
 * The way of least resistance from one node to another (Dijkstra 1959); undefined where no direct current flows.
 * Ties go to the way with fewer steps.
 */
export function leastResistance(wires: Wiring, from: NodeKey, to: NodeKey): Step[] | undefined {
  const STEP_COST = 1e-9;
  const cost = new Map<NodeKey, number>([[from, 0]]);
  const came = new Map<NodeKey, Step>();
  const open = new Set<NodeKey>([from]);
  while (open.size > 0) {
    let at: NodeKey | undefined;
    for (const node of open) {
      if (at === undefined || (cost.get(node) ?? Infinity) < (cost.get(at) ?? Infinity)) at = node;
    }
    if (at === undefined) break;
    if (at === to) return walkBack(came, from, to);
    open.delete(at);
    for (const step of wires.get(at) ?? []) {
      const next = (cost.get(at) ?? 0) + step.ohms + STEP_COST;
      if (next < (cost.get(step.to) ?? Infinity)) {
        cost.set(step.to, next);
        came.set(step.to, step);
        open.add(step.to);
      }
    }
  }
  return undefined;
}

function walkBack(came: ReadonlyMap<NodeKey, Step>, from: NodeKey, to: NodeKey): Step[] {
  const path: Step[] = [];
  for (let at = to; at !== from;) {
    const step = came.get(at);
    if (!step) return path;
    path.unshift(step);
    at = step.from;
  }
  return path;
}

/** A plug contact that joins two springs of one jack. */
export interface Bridge {
  readonly joint: string;
  readonly plug: Contact;
  readonly jack: readonly [Contact, Contact];
}

/** The first place on a path where it enters and leaves one contact through the same joint. */
export function bridgeOn(path: readonly Step[]): Bridge | undefined {
  for (const [index, step] of path.entries()) {
    const next = path[index + 1];
    if (step.joint !== undefined && next?.joint === step.joint) {
      return {
        joint: step.joint,
        plug: contactOf(step.to),
        jack: [contactOf(step.from), contactOf(next.to)],
      };
    }
  }
  return undefined;
}

/** Everything that conducts from a node without more than `limit` ohms in one element, by node, in order of reach. */
export function reach(wires: Wiring, from: NodeKey, limit: number): Map<NodeKey, Step | undefined> {
  const came = new Map<NodeKey, Step | undefined>([[from, undefined]]);
  for (const node of came.keys()) {
    for (const step of wires.get(node) ?? []) {
      if (step.ohms <= limit && !came.has(step.to)) came.set(step.to, step);
    }
  }
  return came;
}
