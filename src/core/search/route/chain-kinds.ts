import { isPassiveLink, type Part, type PartPort } from '../../parts';
import { thingOf } from './twins';

/** Sockets of one kind on a part do not make two ways. */
export const socketKind = (port: PartPort): string => `${port.connector} ${port.direction}`;

/** The boxes of a chain by the things that they are. */
export const boxNames = (links: readonly { readonly part: Part }[]): string[] =>
  links.flatMap(({ part }) => (isPassiveLink(part) ? [] : [`${thingOf(part)}`]));

/**
 * What makes a chain another way than others: the sockets at its ends, and its boxes. Copper, with as many sockets as it may have, is no
 * box, and where a chain ends at some (`undefined`) its socket there makes no other way.
 */
export const kindOfChain = (
  from: PartPort | undefined,
  links: readonly { readonly part: Part }[],
  to: PartPort | undefined,
): string =>
  [...(from ? [socketKind(from)] : []), ...boxNames(links), ...(to ? [socketKind(to)] : [])].join('>');

/** The same, where the kind of socket at its end is known. */
export const kindOfBoxes = (from: PartPort, links: readonly { readonly part: Part }[], to: string): string =>
  `${kindOfChain(from, links, undefined)}>${to}`;
