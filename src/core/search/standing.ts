import type { Part, PartPort } from '../parts';

/**
 * How a growing chain stands to the last thing that has a place of its own (is held, worn, on a table): plugged onto it rigidly,
 * on a lead or by radio, or there is no such thing yet.
 */
export type Reach = 'rigid' | 'led' | 'free';

/** It has a place of its own, and does not hang in the lead. */
const hasPlace = (part: Part): boolean =>
  part.host !== undefined || (part.stands !== undefined && part.stands !== 'inline');

const bridges = (part: Part, port: PartPort): boolean =>
  part.length !== undefined || port.ownLead !== undefined || port.connector === 'radio';

/** The reach once a part has been put on and is left by a port. */
export function reachAfter(before: Reach | undefined, part: Part, exit: PartPort): Reach {
  if (bridges(part, exit)) return 'led';
  return hasPlace(part) ? 'rigid' : (before ?? 'free');
}

/** Whether a part would have to be plugged rigidly onto another thing that stands elsewhere. */
export const standsApart = (reach: Reach, part: Part, entry: PartPort): boolean =>
  reach === 'rigid' && hasPlace(part) && !bridges(part, entry);
