import { mate } from '../../plugs';
import { type Part, type PartPort, isSupply, isWiring } from '../../parts';
import { isSource } from '../../rig';
import { isDigital, throughPart, type OpenEnd } from '../ends';

/** A part by one of its ports. */
export interface Entry {
  readonly part: Part;
  readonly port: PartPort;
}

/** Parts that may stand between, and by what other half each of their ports is found. */
export interface Pool {
  readonly parts: readonly Part[];
  /** Ports of parts into which an open end goes, or that go into it. */
  readonly entriesFor: (end: OpenEnd) => readonly Entry[];
  /** Every way on from an open end over one port of a part. */
  readonly stepsOver: (end: OpenEnd, entry: Entry) => readonly PoolStep[];
  /** The same, of outputs that are as good as one another, and leave the same open, the first. */
  readonly stepsOn: (end: OpenEnd, entry: Entry) => readonly PoolStep[];
}

/** From an open end through a part to another. `says`: what it adds to the way's name; nothing for a plain link. */
export interface PoolStep {
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

export const isEntry = (part: Part, port: PartPort): boolean =>
  isDigital(port) ? part.bus?.port !== port.id && part.hub?.upstream !== port.id : port.direction !== 'out';

/** Ports that are as good as one another say so. */
export const sameSocket = (port: PartPort): string =>
  `${kindOf(port)} ${port.direction} ${port.alike === undefined ? `only ${port.id}` : `alike ${port.alike}`} ${JSON.stringify(port.roles ?? {})}`;

/** What a port is for, whatever it is called: its kind, its direction, and what lies on its contacts. */
const purposeOf = ({ connector, gender, direction, roles }: PartPort): string =>
  JSON.stringify([connector, gender, direction, roles ?? {}]);

/** Of outputs of a part to one purpose that leave the same open the first. */
function firstOfLike(steps: readonly PoolStep[]): readonly PoolStep[] {
  if (steps.length < 2) return steps;
  const firsts = new Map<string, PoolStep>();
  for (const one of steps) {
    const key = `${purposeOf(one.end.port)} ${one.end.state}`;
    if (!firsts.has(key)) firsts.set(key, one);
  }
  return [...firsts.values()];
}

const firsts = new WeakMap<readonly PartPort[], readonly PartPort[]>();

/** Of several sockets that are as good, the first. */
export function firstOfEach(ports: readonly PartPort[]): readonly PartPort[] {
  const known = firsts.get(ports);
  if (known) return known;
  const seen = new Map<string, PartPort>();
  for (const port of ports) if (!seen.has(sameSocket(port))) seen.set(sameSocket(port), port);
  const found = [...seen.values()];
  firsts.set(ports, found);
  return found;
}

const likes = new WeakMap<Part, Map<PartPort, readonly PartPort[]>>();

/** Sockets of a part that take the same plug to the same purpose as one that was chosen: that one first, then those that are as good, then such as the other side of its pair. */
export function likeSockets(part: Part, port: PartPort): readonly PartPort[] {
  const byPort = likes.get(part) ?? new Map<PartPort, readonly PartPort[]>();
  likes.set(part, byPort);
  const known = byPort.get(port);
  if (known) return known;
  const own = purposeOf(port);
  const others = part.ports.filter((other) => other !== port && purposeOf(other) === own);
  const isAsGood = (other: PartPort) => port.alike !== undefined && other.alike === port.alike;
  const found = [port, ...others.filter(isAsGood), ...others.filter((other) => !isAsGood(other))];
  byPort.set(port, found);
  return found;
}

/** What they are called together. */
export const socketsAlike = (part: Part, port: PartPort): string =>
  likeSockets(part, port)
    .map(({ id }) => id)
    .sort()
    .join();

/** A way through a part that is no plain link is named by the part and its ports. */
function nameOf({ part, port }: Entry, end: OpenEnd): string {
  const plain = isWiring(part) || (end.digital !== undefined && !part.hub && !part.bus);
  return plain ? '' : `>${part.id}.${port.id}.${end.port.id}`;
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
  // By the part itself: one that is there with broken ports is called as it is without.
  let steps = new WeakMap<Part, Map<string, readonly PoolStep[]>>();
  let kept = 0;
  const stepsOver = (end: OpenEnd, entry: Entry): readonly PoolStep[] => {
    const byState = steps.get(entry.part) ?? new Map<string, readonly PoolStep[]>();
    const key = `${entry.port.id} ${end.state}`;
    const known = byState.get(key);
    if (known) return known;
    const found = throughPart(entry.part, entry.port, end).map((next) => ({
      end: next,
      says: nameOf(entry, next),
    }));
    if (kept > MOST_KEPT) {
      steps = new WeakMap();
      kept = 0;
    }
    kept += 1;
    steps.set(entry.part, (steps.get(entry.part) ?? new Map<string, readonly PoolStep[]>()).set(key, found));
    return found;
  };
  const likes = new WeakMap<readonly PoolStep[], readonly PoolStep[]>();
  const stepsOn: Pool['stepsOn'] = (end, entry) => {
    const steps = stepsOver(end, entry);
    const known = likes.get(steps) ?? firstOfLike(steps);
    likes.set(steps, known);
    return known;
  };
  return { parts: between, entriesFor: (end) => takes(end.port), stepsOver, stepsOn };
}

/** So many ways are kept: memory stays bounded, what is found does not hang on it. */
const MOST_KEPT = 50_000;
