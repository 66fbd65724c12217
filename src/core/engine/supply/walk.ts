import { contactKey, type NodeKey, type Wiring } from '../circuit';
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

const split = (node: NodeKey) => {
  const slash = node.indexOf('/');
  const dot = node.lastIndexOf('.');
  return { placed: node.slice(0, slash), port: dot > slash ? node.slice(slash + 1, dot) : '' };
};

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
      const here = split(step.to);
      const laid = walk.laid.get(here.placed);
      const crosses = step.joint === undefined ? metresOf(laid) : 0;
      metres.set(step.to, length + crosses);
      if (laid && here.placed !== placed && ends(laid, here.port))
        return { ...here, metres: metres.get(step.to) ?? 0 };
    }
  }
  return undefined;
}
