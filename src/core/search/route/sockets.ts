import type { Part, PartPort } from '../../parts';
import type { Contact } from '../../plugs';
import { exitsOf, isDigital, RETURN, type Labels, type OpenEnd } from './ends';
import { insideOf, nodesOfPort, reach, groundOf } from './inside';
import { likeSockets } from './pool';

/** What a port takes at its best: sound on every contact that is no ground. */
function ideal(port: PartPort): Labels {
  return new Map(
    nodesOfPort(port).map(([contact]): [Contact, string] => [
      contact,
      port.roles?.[contact] === 'ground' ? RETURN : contact,
    ]),
  );
}

/** Ports by which sound may enter a part that stands in the middle. */
export const entriesOf = (part: Part): PartPort[] =>
  part.ports.filter((port) => !isDigital(port) && port.direction !== 'out');

/** The ends at which anything that enters a part may leave it. */
export function middleEnds(part: Part): OpenEnd[] {
  const ends = entriesOf(part).flatMap((entry) => exitsOf(part, entry, ideal(entry), { wants: 0 }));
  return [...new Map(ends.map((end) => [end.port.id, end])).values()];
}

/** Numbers of the converter channels that a socket of a part reaches. */
export function channelsOf(part: Part, port: PartPort): string[] {
  const { sound } = insideOf(part);
  const ground = groundOf(part);
  const from = nodesOfPort(port).flatMap(([contact, node]) =>
    port.roles?.[contact] === 'ground' ? [] : [node],
  );
  const heard = reach(sound, from, ground);
  return (part.captures ?? []).flatMap((capture) =>
    capture.channels.flatMap(({ plus }, n) => (heard.has(plus) ? [`${capture.id} ${n}`] : [])),
  );
}

/**
 * Gives each of several chains a socket of its own: one like that which it was found for, by preference one whose channel no
 * other has (`apart`: on no account another). Undefined where there are not enough beside the
 * `others` that are in use.
 */
export function assign(
  part: Part,
  wanted: readonly PartPort[],
  apart = false,
  others: readonly PartPort[] = [],
): PartPort[] | undefined {
  const taken: PartPort[] = [];
  const channels = new Set<string>();
  for (const port of wanted) {
    const free = likeSockets(part, port).filter((other) => !taken.includes(other) && !others.includes(other));
    const alone = free.find((other) => !channelsOf(part, other).some((channel) => channels.has(channel)));
    const [first] = free;
    // What reaches several channels is led by a pan or a mode; what reaches one shares it for good.
    const shares = first && channelsOf(part, first).length === 1;
    const chosen = alone ?? (apart && shares ? undefined : first);
    if (!chosen) return undefined;
    taken.push(chosen);
    for (const channel of channelsOf(part, chosen)) channels.add(channel);
  }
  return taken;
}
