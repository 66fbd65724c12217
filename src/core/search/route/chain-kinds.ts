import { isPassiveLink, type Part, type PartPort } from '../../parts';
import { thingOf } from './twins';

const USB_OF_HOSTS = new Set(['usb-a', 'usb-c']);

/** Sockets of one kind on a part do not make two ways; nor does it matter in which USB socket of a computer something is. */
export const socketKind = ({ connector, direction }: PartPort): string =>
  `${USB_OF_HOSTS.has(connector) ? 'usb' : connector} ${direction}`;

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
