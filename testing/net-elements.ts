import { partCircuit, type NetElement } from '../src/core/engine/circuit';
import { laidParts, type Rig } from '../src/core/rig';

const EVERYTHING = { isFed: () => true, isLive: () => true };

/** Elements of every laid part of a rig, as if all of it were powered. */
export const netElements = (rig: Rig): NetElement[] =>
  laidParts(rig).flatMap((laid) => partCircuit(laid, EVERYTHING).elements);
