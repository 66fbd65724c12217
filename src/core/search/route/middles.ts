import { findPart, type Part, type PartPort } from '../../parts';
import { own } from '../../schema';
import { exitEnd, exitsOf, idealEnd, standApart, throughPart } from '../ends';
import { MIDDLES_MADE } from './middles.generated';
import { beyond, entriesOf, openingsOf } from './sockets';

/** What a part could do in the middle of several things, as its circuit tells. */
export interface Middle {
  /** How many plugs of things that sound could go into it at once and be heard by one output of it. */
  readonly joins: number;
  /** By how many of its ports what enters it by one of them may leave it at the most. */
  readonly outputs: number;
  /** How many sources it could keep apart: it has as many channels, or outputs with as many contacts. */
  readonly apart: number;
  /**
   * Whether what comes into it by two of its sockets, on all their contacts, leaves it by some plug each on a contact of its own. Copper
   * that ties its sockets to one another keeps nothing apart.
   */
  readonly parts: boolean;
}

function joinedBy(part: Part): number {
  const into = new Map<string, PartPort[]>();
  for (const entry of entriesOf(part))
    for (const { port } of throughPart(part, entry, idealEnd(part, entry)))
      into.set(port.id, [...(into.get(port.id) ?? []), entry]);
  return Math.max(0, ...[...into.values()].map(openingsOf));
}

const outputsOf = (part: Part): number =>
  Math.max(
    0,
    ...entriesOf(part).map((entry) =>
      openingsOf(beyond(part, entry, idealEnd(part, entry)).map(({ port }) => port)),
    ),
  );

/** Outputs that one chain and the other half of a pair leave by together. */
const likeOutput = (one: PartPort, other: PartPort): boolean =>
  one.connector === other.connector && one.gender === other.gender && one.direction === other.direction;

function keptApart(part: Part): number {
  const reached = entriesOf(part).flatMap((entry) =>
    throughPart(part, entry, idealEnd(part, entry)).map(({ port, analogue }) => ({ entry, port, analogue })),
  );
  const byOutputs = reached.map(({ port }) => {
    const alike = reached.filter((one) => one.entry !== port && likeOutput(one.port, port));
    const places = alike.flatMap(({ port: { id }, analogue }) =>
      (analogue?.pairs ?? []).flatMap((pair) => pair.map((contact) => `${id} ${contact}`)),
    );
    // One contact of an output is what the others stand against.
    const live = new Set(places).size - new Set(alike.map((one) => one.port.id)).size;
    return Math.min(live, openingsOf(alike.map(({ entry }) => entry)));
  });
  const channels = (part.captures ?? []).map((one) => one.channels.length);
  return Math.max(0, ...channels, ...byOutputs);
}

function couldPart(part: Part): boolean {
  const leaving = (entry: PartPort, exit: PartPort) => exitEnd(part, entry, idealEnd(part, entry), exit);
  const entries = entriesOf(part);
  return entries.some((one) =>
    entries.some(
      (other) =>
        other !== one &&
        exitsOf(part, one).some((exit) => {
          const [a, b] = exit === other ? [] : [leaving(one, exit), leaving(other, exit)];
          return a !== undefined && b !== undefined && standApart(a, b);
        }),
    ),
  );
}

/** The same found from its circuit. */
export const probedMiddle = (part: Part): Middle => ({
  joins: joinedBy(part),
  outputs: outputsOf(part),
  apart: keptApart(part),
  parts: couldPart(part),
});

/** As a line of the made file has it. */
export const lineOf = ({ joins, outputs, apart, parts }: Middle): string =>
  [joins, outputs, apart, parts ? 'parts' : 'ties'].join(' ');

function readLine(line: string): Middle {
  const [joins, outputs, apart, parts] = line.split(' ');
  return { joins: Number(joins), outputs: Number(outputs), apart: Number(apart), parts: parts === 'parts' };
}

const kept = new WeakMap<Part, Middle>();

/** What a part could do in the middle: of a shipped part as made ahead, for a first question would wait a second for it; of another as found now. */
export function middleOf(part: Part): Middle {
  const known = kept.get(part);
  if (known) return known;
  const line = findPart(part.id) === part ? own(MIDDLES_MADE, part.id) : undefined;
  const found = line === undefined ? probedMiddle(part) : readLine(line);
  kept.set(part, found);
  return found;
}
