import { mate } from '../../plugs';
import { type Part, type PartPort, isSupply } from '../../parts';
import { isSource } from '../../rig';
import { across, exitsOf, isBridged, isDigital, wordsOf, type Labels, type OpenEnd } from './ends';
import { insideOf } from './inside';

/** A part by one of its ports. */
export interface Entry {
  readonly part: Part;
  readonly port: PartPort;
}

/** Parts that may stand between, and by what other half each of their ports is found. */
export interface Pool {
  readonly parts: readonly Part[];
  /** Every way on from an open end by one part more. */
  readonly stepsFrom: (end: OpenEnd) => readonly PoolStep[];
}

/** From an open end through a part to another. `says`: what it adds to the way's name; nothing for a plain link. */
export interface PoolStep {
  readonly part: Part;
  readonly entry: PartPort;
  readonly end: OpenEnd;
  readonly says: string;
}

const kindOf = (port: PartPort): string => `${port.connector} ${port.gender}`;

/** Radio packs and receivers have microphones of their own and stand between all the same. */
const carriesOn = (part: Part): boolean =>
  !part.host &&
  part.ears === undefined &&
  !isSupply(part) &&
  part.ports.length > 1 &&
  (!isSource(part) || part.ports.some((port) => port.direction === 'in' && !isDigital(port)));

const isEntry = (part: Part, port: PartPort): boolean =>
  isDigital(port) ? part.bus?.port !== port.id && part.hub?.upstream !== port.id : port.direction !== 'out';

/** Ports that are as good as one another say so. */
const sameSocket = (port: PartPort): string =>
  `${kindOf(port)} ${port.direction} ${port.alike === undefined ? `only ${port.id}` : `alike ${port.alike}`} ${JSON.stringify(port.roles ?? {})}`;

/** Of several sockets that are as good, the first. */
function firstOfEach(ports: readonly PartPort[]): PartPort[] {
  const seen = new Map<string, PartPort>();
  for (const port of ports) if (!seen.has(sameSocket(port))) seen.set(sameSocket(port), port);
  return [...seen.values()];
}

/** Sockets of a part that take the same plug to the same purpose as one that was chosen, that one first. */
export const likeSockets = (part: Part, port: PartPort): PartPort[] => {
  const what = ({ connector, gender, direction, roles }: PartPort) =>
    JSON.stringify([connector, gender, direction, roles ?? {}]);
  return [port, ...part.ports.filter((other) => other !== port && what(other) === what(port))];
};

/** A way through a part that is no plain link is named by the part, its ports, and what lay on the one entered by. */
function nameOf({ part, port }: Entry, labels: Labels, end: OpenEnd): string {
  const plain = insideOf(part).plain || (end.digital && !part.hub && !part.bus);
  return plain ? '' : `>${part.id}.${port.id}[${wordsOf(labels)}].${end.port.id}`;
}

/** The parts that may stand between a source and its recorder, and the ways through them; each is worked out once. */
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
  const steps = new Map<string, readonly PoolStep[]>();
  const stepsFrom = (end: OpenEnd): readonly PoolStep[] => {
    const key = stateOf(end);
    const known = steps.get(key);
    if (known) return known;
    const found = takes(end.port).flatMap((entry): PoolStep[] => {
      const labels = across(end, entry.port);
      if (!labels || isBridged(end.port, entry.part, entry.port)) return [];
      return exitsOf(entry.part, entry.port, labels, end).map((next) => ({
        part: entry.part,
        entry: entry.port,
        end: next,
        says: nameOf(entry, labels, next),
      }));
    });
    steps.set(key, found);
    return found;
  };
  return { parts: between, stepsFrom };
}

/** Two open ends of one state go on alike. */
export const stateOf = (end: OpenEnd): string =>
  `${kindOf(end.port)}|${wordsOf(end.labels)}|${end.wants}|${end.device?.id ?? ''}`;
