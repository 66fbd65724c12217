import type { Part } from './types';

/** Leads and adapters that pass on what lies on their contacts: two ends, no electronics that a host would see, nothing to set. */
export const isPlainLink = (part: Part): boolean =>
  part.ports.length === 2 &&
  !part.host &&
  !part.hub &&
  !part.bus &&
  (part.settings ?? []).length === 0 &&
  part.ports.every((port) => port.direction === 'through');
