import type { PartPort } from '../../parts';
import type { Passed } from '../ends';
import type { Cost } from './inventory';
import type { Reach } from '../standing';

/** A part of a chain. */
export type Link = Passed;

/** From a port of one part, over links, to a port of another. `kind` names what makes it another way than others. */
export interface PartChain {
  readonly from: PartPort;
  readonly links: readonly Link[];
  readonly to: PartPort;
  readonly kind: string;
  /** What makes it another chain: its boxes, what comes to its end, and whether something in it reaches from place to place. */
  readonly way: string;
  /** The state of what comes to its end: chains of one state go on alike there. */
  readonly state: string;
  /** How far it reaches to its goal. */
  readonly reach: Reach;
  /** Pieces of copper to buy, one in another, before its first box and after its last; all of them where it has none. */
  readonly copper: readonly [first: number, last: number];
  readonly cost: Cost;
  /** What of that is known to weigh beside its parts: a bare microphone in a socket for line. */
  readonly sure: number;
}
