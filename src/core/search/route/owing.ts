import type { Part } from '../../parts';
import { useOf, costOfOneMore, type Purse } from './inventory';
import { PRICE_A_METRE } from './lengths';
import type { Pool } from './pool';

/** What a chain owes for the metres that it has to bridge, in weight, before it has anything. Each part spares some of it. */
export interface Owing {
  /** Equal ones are one. */
  readonly name: string;
  readonly spares: (part: Part) => number;
  /** What is still owed after these. */
  readonly after: (parts: readonly Part[]) => number;
}

interface Asked {
  readonly metres?: number;
  readonly pool: Pool;
  readonly purse: Purse;
}

/** Metres that a part bridges as it is sold, with the leads that hang on it. */
const metresIn = ({ length = 0, ports }: Part): number =>
  ports.reduce((sum, { ownLead = 0 }) => sum + ownLead, length);

const sends = ({ ports }: Part): boolean =>
  ports.some(({ connector, direction }) => connector === 'radio' && direction !== 'in');

/** Prices are rounded. */
const ROUNDED = 0.5;

const NONE_USED = useOf([]);

/**
 * What is owed at the least for metres: a lead costs so much more a metre, so that all leads of a chain together cost what their metres
 * over those that they are sold with do; what is owned costs nothing, and radio bridges whatever there is. Undefined where it tells nothing.
 */
export function owingOver({ metres = 0, pool, purse }: Asked, goal: Part): Owing | undefined {
  if (metres <= 0) return undefined;
  const owned = pool.parts.reduce((sum, part) => {
    const lengths = purse.lengths?.[part.id] ?? [];
    return sum + (purse.drawer[part.id] ?? 0) * Math.max(metresIn(part), ...lengths);
  }, 0);
  const total = (metres - owned - metresIn(goal)) * PRICE_A_METRE - ROUNDED;
  if (total <= 0) return undefined;
  const rawly = (part: Part): number => (sends(part) ? total : metresIn(part) * PRICE_A_METRE);
  const spares = (part: Part): number => ((purse.drawer[part.id] ?? 0) > 0 && !sends(part) ? 0 : rawly(part));
  const isTold = pool.parts.every((part) => costOfOneMore(part, NONE_USED, purse).weight >= spares(part));
  if (!isTold) return undefined;
  return {
    name: total.toFixed(3),
    spares,
    after: ([first, ...parts]) =>
      parts.reduce((owed, part) => owed - spares(part), total - (first ? rawly(first) : 0)),
  };
}
