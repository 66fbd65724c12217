import { findPart, isHeadphones, isSupply, isWornToListen, type Part } from '../../parts';
import { leastForCallers } from './call-in';
import { chargesThrough } from './charging';
import { callersIn } from './far-ends';
import { boxOf } from './gear';
import type { Ground } from './ground';
import {
  compareCosts,
  costFor,
  costOfOneMore,
  NOTHING,
  plus,
  useOf,
  type Cost,
  type Purse,
} from './inventory';
import type { RouteRequest } from './request';

/** The part that a request names. */
export const partFor = (request: RouteRequest, id: string): Part => {
  const part = findPart(id) ?? request.ownParts?.find((own) => own.id === id);
  if (!part) throw new Error(`request: no part "${id}"`);
  return part;
};

/** The least that what was asked for beside the chain itself costs: headphones to listen, a supply to charge. */
export function leastExtra(request: RouteRequest, parts: readonly Part[], purse: Purse): Cost {
  const { hear, guests, charge, callers } = request.wishes ?? {};
  const least = (some: readonly Part[]): Cost =>
    some.map((part) => costOfOneMore(part, useOf([]), purse)).sort(compareCosts)[0] ?? NOTHING;
  const box = callers ? boxOf(request) : undefined;
  const atFarEnds = box && leastForCallers(box, callersIn(request).length, { parts, purse });
  const isWorn = request.sources.some(({ part }) => isWornToListen(partFor(request, part)));
  const listening = (hear || guests) && !box && !isWorn ? least(parts.filter(isHeadphones)) : NOTHING;
  const charging = charge && request.destinations.some(({ part }) => chargesThrough(partFor(request, part)));
  return plus(plus(listening, atFarEnds ?? NOTHING), charging ? least(parts.filter(isSupply)) : NOTHING);
}

/** A source that runs on its digital plug alone and gives its sound by another wants a supply there. */
export function supplyExtra(parts: readonly Part[], purse: Purse): Ground['extra'] {
  const costs = parts.filter(isSupply).map((part) => costOfOneMore(part, useOf([]), purse));
  const least = costs.sort(compareCosts)[0] ?? costFor(0, 0, 1, purse);
  return ({ part, digital }) =>
    !digital && part.power?.every((source) => 'port' in source) ? least : NOTHING;
}
