import type { Part, PartPort } from '../../parts';
import { portsInOpening } from '../../rig';
import {
  asked,
  askedOfHalf,
  channelsOf,
  exitEnd,
  exitsOf,
  idealEnd,
  isDigital,
  splitEnd,
  throughPart,
  type OpenEnd,
  type SidesAsked,
} from '../ends';
import { likeSockets } from './pool';

/** A port for one side of two. */
export function isSide({ roles = {} }: PartPort): boolean {
  const all = Object.values(roles);
  return all.includes('left') !== all.includes('right');
}

const halved = (end: OpenEnd): OpenEnd => {
  if (!end.analogue || end.analogue.sides === 'any') return end;
  const sides = askedOfHalf(end.analogue.sides);
  return { ...end, analogue: { ...end.analogue, sides }, state: `${end.state} of half` };
};

/** The roles of a port; left and right of a pair are as good as one another. */
const rolesIn = (port: PartPort): string => {
  const oneSide = isSide(port);
  return JSON.stringify(port.roles ?? {}, (_, role: unknown) =>
    oneSide && (role === 'left' || role === 'right') ? 'side' : role,
  );
};

/** Of the outputs of a pair the first: the other is joined with it. */
export function firstOfPairs(ends: readonly OpenEnd[]): OpenEnd[] {
  const kinds = new Map<string, OpenEnd>();
  for (const end of ends) {
    const { connector, gender } = end.port;
    const kind = `${end.part.id} ${connector} ${gender} ${rolesIn(end.port)}`;
    if (!kinds.has(kind)) kinds.set(kind, end);
  }
  return [...kinds.values()];
}

/** Ports by which sound may enter a part that stands in the middle. */
export const entriesOf = (part: Part): PartPort[] =>
  part.ports.filter((port) => !isDigital(port) && port.direction !== 'out');

/** A port by which something hears a pack. */
export const isRadioIn = ({ connector, direction }: PartPort): boolean =>
  connector === 'radio' && direction === 'in';

/** How many plugs go into these ports at once. */
export const openingsOf = (ports: readonly PartPort[]): number =>
  new Set(ports.map(({ id, opening }) => opening ?? `only ${id}`)).size;

const ends = new WeakMap<Part, Map<string, readonly OpenEnd[]>>();

/** What records has outputs, too, that give on what it hears. */
export const beyond = (part: Part, entry: PartPort, end: OpenEnd): OpenEnd[] =>
  part.host
    ? exitsOf(part, entry).flatMap((exit) => exitEnd(part, entry, end, exit) ?? [])
    : throughPart(part, entry, end);

/** The ends at which anything that enters a part may leave it, each to come to these sides of what records it. */
export function middleEnds(part: Part, sides: SidesAsked = 'any'): readonly OpenEnd[] {
  const bySides = ends.get(part) ?? new Map<string, readonly OpenEnd[]>();
  ends.set(part, bySides);
  const known = bySides.get(sides);
  if (known) return known;
  const all = entriesOf(part).flatMap((entry) =>
    beyond(part, entry, idealEnd(part, entry)).map((end) => ({ entry, end })),
  );
  // Of what several entries bring to one output that of the first counts: it is the first that is filled.
  const once = [...new Map(all.toReversed().map((one) => [one.end.port.id, one])).values()].reverse();
  // By an entry for one side of two comes one side of two.
  const found = once.map(({ entry, end }) => (isSide(entry) ? halved(asked(end, sides)) : asked(end, sides)));
  bySides.set(sides, found);
  return found;
}

/** Where sources that come into copper by as many sockets leave it by one plug, and have to stay apart. */
export const splitEnds = (part: Part, sources: number): readonly OpenEnd[] =>
  part.ports.flatMap((port) => {
    const others = part.ports.filter((other) => other !== port && !isDigital(other));
    const leaves = !isDigital(port) && port.direction !== 'in' && openingsOf(others) >= sources;
    return (leaves && splitEnd(part, port)) || [];
  });

/**
 * Gives each of several chains a socket of its own: one like that which it was found for, by preference one that is as good, then one whose
 * channel no other has (`apart`: that first, and on no account another). Undefined where there are not enough beside the
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
    const inUse = [...taken, ...others].flatMap((other) => portsInOpening(part, other));
    const free = likeSockets(part, port).filter((other) => !inUse.includes(other));
    const alone = free.find((other) => !channelsOf(part, other).some((channel) => channels.has(channel)));
    const [first] = free;
    // What reaches several channels is led by a pan or a mode; what reaches one shares it for good.
    const shares = first && channelsOf(part, first).length === 1;
    // What need not be kept apart goes into the next channel, not into the other side of one that is stereo.
    const next = apart ? undefined : free.find(({ alike }) => alike !== undefined && alike === port.alike);
    const chosen = next ?? alone ?? (apart && shares ? undefined : first);
    if (!chosen) return undefined;
    taken.push(chosen);
    for (const channel of channelsOf(part, chosen)) channels.add(channel);
  }
  return taken;
}

/** The ports, where none of them comes twice. */
export const distinctPorts = (ports: readonly PartPort[]): readonly PartPort[] | undefined =>
  new Set(ports.map(({ id }) => id)).size === ports.length ? ports : undefined;
