import { contactKey, readNode, type NodeKey, type Wiring } from '../circuit';
import type { LaidPart, Rig } from '../../rig';

/** A rig as the bus walks it. */
export interface Walk {
  readonly rig: Rig;
  readonly laid: ReadonlyMap<string, LaidPart>;
  readonly wires: Wiring;
}

/** The far end of a line of a digital port. */
export interface FarPort {
  readonly placed: string;
  readonly port: string;
  /** Metres of lead on the way. */
  readonly metres: number;
}

const metresOf = (laid: LaidPart | undefined): number => laid?.placed.length ?? laid?.part.length ?? 0;

/** Where a port's supply (V) or data (D) line leads: the nearest port of another part that `ends` says yes to. */
export function farPort(
  walk: Walk,
  placed: string,
  port: string,
  line: 'V' | 'D',
  ends: (laid: LaidPart, port: string) => boolean,
): FarPort | undefined {
  const start = contactKey(placed, port, line);
  const metres = new Map<NodeKey, number>([[start, 0]]);
  for (const [node, length] of metres) {
    for (const step of walk.wires.get(node) ?? []) {
      if (metres.has(step.to)) continue;
      const { placed: there, port: socket = '' } = readNode(step.to);
      const laid = walk.laid.get(there);
      const crosses = step.joint === undefined ? metresOf(laid) : 0;
      metres.set(step.to, length + crosses);
      if (laid && there !== placed && ends(laid, socket))
        return { placed: there, port: socket, metres: metres.get(step.to) ?? 0 };
    }
  }
  return undefined;
}

/** The last part to which the data line (D) of a port goes, other than its own: the lead in which it ends, or the first that has none. */
export function brokenAt(walk: Walk, placed: string, port: string): string | undefined {
  const seen = new Set<NodeKey>([contactKey(placed, port, 'D')]);
  let last: string | undefined;
  for (const node of seen) {
    for (const step of walk.wires.get(node) ?? []) {
      if (seen.has(step.to)) continue;
      seen.add(step.to);
      const { placed: there } = readNode(step.to);
      if (there !== placed) last = there;
    }
  }
  return last;
}
