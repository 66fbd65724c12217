import { LONGEST_RUN } from '../../checks';
import { isCopper, type Part } from '../../parts';
import { isDigital } from '../ends';
import type { Purse } from './inventory';

/** Lengths in which leads are sold, metres. Typical. */
export const SOLD_METRES = [0.2, 0.5, 1, 1.5, 2, 3, 5, 6, 10, 15, 20, 30] as const;
/** What a metre more costs, in the user's currency. Typical: 1 to 1.5. */
export const PRICE_A_METRE = 1.2;

/** Whether a lead is sold in several lengths: converter cables, adapters and leads with a pad or a capacitor in them are not. */
export const growsLong = (part: Part): boolean => part.length !== undefined && isCopper(part);

/** The shortest length in which a lead is sold that bridges so much; undefined where none is. */
export function soldLength(part: Part, atLeast: number): number | undefined {
  const own = part.length ?? 0;
  if (atLeast <= own + 1e-9) return own;
  const most = part.ports.some(isDigital) ? LONGEST_RUN : Infinity;
  return SOLD_METRES.find((metres) => metres >= atLeast - 1e-9 && metres >= own && metres <= most);
}

/** The longest in which it is sold. */
export const longestSold = (part: Part): number =>
  Math.max(...SOLD_METRES.filter((metres) => soldLength(part, metres) === metres));

/** How far a part reaches at the most as it is sold, with the leads that hang on it, metres; radio reaches wherever it has to. */
export const farthest = (part: Part): number =>
  part.ports.reduce(
    (sum, { ownLead = 0, connector }) => sum + (connector === 'radio' ? Infinity : ownLead),
    growsLong(part) ? longestSold(part) : (part.length ?? 0),
  );

/** Price of a lead of this length; of anything else its own. */
export const priceOf = (part: Part, length?: number): number =>
  length === undefined || part.length === undefined || length <= part.length
    ? part.price
    : Math.round(part.price + (length - part.length) * PRICE_A_METRE);

/** The most metres that one more part adds to a way of numbers, as such are sold; Infinity where a longer one is owned. */
export function farthestByNumbers(parts: readonly Part[], lengths: Purse['lengths'] = {}): number {
  const links = parts.filter(({ ports }) => ports.filter(isDigital).length > 1);
  const most = Math.max(0, ...links.map(farthest));
  return links.some(({ id }) => (lengths[id] ?? []).some((metres) => metres > most)) ? Infinity : most;
}
