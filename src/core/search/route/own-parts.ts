import type { Part } from '../../parts';
import type { RouteRequest } from './request';

/** So many are remembered: memory stays bounded. */
const MOST = 2000;

const byWords = new Map<string, Part>();
const remembered = new WeakSet<Part>();

function asBefore(part: Part): Part {
  if (remembered.has(part)) return part;
  const says = JSON.stringify(part);
  const before = byWords.get(says);
  if (before) return before;
  if (byWords.size >= MOST) byWords.clear();
  byWords.set(says, part);
  remembered.add(part);
  return part;
}

/**
 * The request with parts of the user's own as they were met before, where they say the same: a page sends copies with every
 * question, and what was worked out about a part is kept by the part.
 */
export const withKnownParts = (request: RouteRequest): RouteRequest =>
  request.ownParts ? { ...request, ownParts: request.ownParts.map(asBefore) } : request;
