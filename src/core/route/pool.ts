import { mate } from '../plugs';
import type { Part, PartPort } from '../parts';
import { isSource } from '../rig';
import { isDigital } from './ends';

/** A part by one of its ports. */
export interface Entry {
  readonly part: Part;
  readonly port: PartPort;
}

/** Parts that may stand between, and by what other half each of their ports is found. */
export interface Pool {
  readonly parts: readonly Part[];
  /** Ports that sound may enter by, under the kind of port that goes together with them. */
  readonly takes: (port: PartPort) => readonly Entry[];
}

const kindOf = (port: PartPort): string => `${port.connector} ${port.gender}`;

/** Radio packs and receivers have microphones of their own and stand between all the same. */
const carriesOn = (part: Part): boolean =>
  !part.host &&
  part.family !== 'headphones' &&
  part.family !== 'supply' &&
  part.ports.length > 1 &&
  (!isSource(part) || part.ports.some((port) => port.direction === 'in' && !isDigital(port)));

const isEntry = (part: Part, port: PartPort): boolean =>
  isDigital(port) ? part.bus?.port !== port.id && part.hub?.upstream !== port.id : port.direction !== 'out';

/** Ports that are as good as one another have names that differ in their number alone. */
const sameSocket = (port: PartPort): string =>
  `${kindOf(port)} ${port.direction} ${port.id.replace(/\d+/g, '#')} ${JSON.stringify(port.roles ?? {})}`;

/** Of several sockets that are as good, the first. */
function firstOfEach(ports: readonly PartPort[]): PartPort[] {
  const seen = new Map<string, PartPort>();
  for (const port of ports) if (!seen.has(sameSocket(port))) seen.set(sameSocket(port), port);
  return [...seen.values()];
}

/** Every free port of a part that is as good as one that was chosen. */
export const likeSockets = (part: Part, port: PartPort): PartPort[] =>
  part.ports.filter((other) => sameSocket(other) === sameSocket(port));

/** The parts that may stand between a source and its recorder. */
export function poolOf(parts: readonly Part[]): Pool {
  const between = parts.filter(carriesOn);
  const byKind = new Map<string, readonly Entry[]>();
  const takes = (port: PartPort): readonly Entry[] => {
    const known = byKind.get(kindOf(port));
    if (known) return known;
    const found = between.flatMap((part) =>
      firstOfEach(part.ports.filter((other) => isEntry(part, other) && mate(port, other).fits)).map(
        (entry) => ({ part, port: entry }),
      ),
    );
    byKind.set(kindOf(port), found);
    return found;
  };
  return { parts: between, takes };
}
