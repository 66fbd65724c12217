import { appOf } from '../flow';
import type { Facts } from '../facts';

/** Milliseconds: typical, and as they spread. */
export interface Delay {
  readonly typical: number;
  readonly least: number;
  readonly most: number;
}

const NONE: Delay = { typical: 0, least: 0, most: 0 };
/** Into an app or out of it, with the converter: half of 10 to 30 ms there and back. Typical. */
const APP: Delay = { typical: 10, least: 5, most: 15 };

export const plusRange = (a: Delay, b: Delay): Delay => ({
  typical: a.typical + b.typical,
  least: a.least + b.least,
  most: a.most + b.most,
});

/** One that does not spread. */
export const fixed = (ms: number): Delay => ({ typical: ms, least: ms, most: ms });

/** Through the app of a host, one way; a camera or recorder has none. */
export function appDelay(facts: Facts, host: string): Delay {
  const laid = facts.laid.get(host);
  return laid && appOf(laid) ? APP : NONE;
}

/** Over the network of a host's app, one way. */
export function networkDelay(facts: Facts, host: string): Delay {
  const laid = facts.laid.get(host);
  return (laid && appOf(laid)?.network) ?? NONE;
}
