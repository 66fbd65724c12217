import { type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import {
  exitsOf,
  isBoundToDull,
  isCoupled,
  isFedAt,
  isTender,
  listens,
  onEveryPair,
  throughPart,
  type OpenEnd,
} from '../ends';
import { firstOfEach, isEntry, type Pool } from './pool';
import { givesVolts, isPassive, type Half, type Way } from './ways';

/** How much a source still wants of what follows it, in steps; 0: nothing. */
export type Level = number;

/** What a source wants of something that follows it, wherever that is on the way. */
export interface Want {
  /** Wants of one name are one. */
  readonly name: string;
  /** At how much it begins at the most. */
  readonly most: Level;
  /** How much an end still wants. */
  readonly at: (end: OpenEnd) => Level;
  /** How much may be wanted behind a part ahead of which so much is wanted. */
  readonly beyond: (way: Way, half: Half, level: Level) => readonly Level[];
  /** Whether a goal that takes what comes to a port of it may meet it, or leave it to what follows. */
  readonly metBy: (goal: Part, port: PartPort, level: Level) => boolean;
}

/** What may happen to it in a part. */
const levels = (...may: readonly (readonly [boolean, Level])[]): readonly Level[] =>
  may.flatMap(([is, level]) => (is ? [level] : []));

const entries = new WeakMap<Part, readonly PartPort[]>();

/** Ports of a part by which something may enter it from half a joint, those that are as good as another left out. */
function entriesFor(part: Part, half: Half): PartPort[] {
  const known = entries.get(part) ?? firstOfEach(part.ports.filter((port) => isEntry(part, port)));
  entries.set(part, known);
  return known.filter((port) => mate(half, port).fits);
}

/** Whether copper leads on from where a part is entered, past whatever stages it has. */
const leadsPast = (part: Part, port: PartPort): boolean =>
  exitsOf(part, port).some((exit) => isCoupled(part, port, exit));

/** The same for every way through a part from one half; worked out once. */
function once(ask: Want['beyond']): Want['beyond'] {
  const known = new WeakMap<Part, Map<string, readonly Level[]>>();
  return (way, half, level) => {
    const byHalf = known.get(way.part) ?? new Map<string, readonly Level[]>();
    known.set(way.part, byHalf);
    const key = `${level} ${half.connector} ${half.gender}`;
    const found = byHalf.get(key) ?? ask(way, half, level);
    byHalf.set(key, found);
    return found;
  };
}

/** A question about a port of a part and an end, answered once. */
function kept<T>(ask: (part: Part, port: PartPort, end: OpenEnd) => T): typeof ask {
  const known = new WeakMap<Part, Map<string, T>>();
  return (part, port, end) => {
    const byPort = known.get(part) ?? new Map<string, T>();
    known.set(part, byPort);
    const key = `${port.id} ${end.state}`;
    const found = byPort.get(key) ?? ask(part, port, end);
    byPort.set(key, found);
    return found;
  };
}

/** To be fed: a stage, whatever feeds it. */
const FED: Level = 1;
/** A capsule that bears only so much: by what feeds it no more, or by a stage that makes it of more. */
const SPARINGLY: Level = 2;

const wantsOf = (end: OpenEnd) => end.analogue?.wants ?? [];

/** Whether a part feeds a source by a port of its, whichever contacts they are, and does not harm it. */
const mayFeed = kept((part, port, end): boolean =>
  onEveryPair(end, part, port).some((probe) => isFedAt(part, port, probe)),
);

/** To be fed with so many volts, and with no more than it bears. */
function toBeFed(starts: readonly OpenEnd[], volts: number): Want {
  const at = (end: OpenEnd): Level => {
    if (wantsOf(end).length === 0) return 0;
    // Behind a stage that wants a feed itself a capsule is fed by what that makes of it.
    return wantsOf(end).every(({ most }) => Number.isFinite(most)) ? SPARINGLY : FED;
  };
  const tender = starts.filter((end) => at(end) === SPARINGLY);
  const feedsWell = (part: Part, ports: readonly PartPort[]): boolean =>
    ports.some((port) => tender.some((end) => mayFeed(part, port, end)));
  return {
    name: `fed ${volts} ${tender.map(({ state }) => state).join('|')}`,
    most: Math.max(...starts.map(at)),
    at,
    beyond: once(({ part, passive, gives }, half, level) => {
      const isEnough = gives >= volts;
      const goesOn = isPassive(part) || entriesFor(part, half).some((port) => leadsPast(part, port));
      if (level === FED) return levels([passive || goesOn, FED], [isEnough, 0]);
      return levels(
        [goesOn, SPARINGLY],
        [passive && !isPassive(part), FED],
        [isEnough && feedsWell(part, entriesFor(part, half)), 0],
      );
    }),
    // What lets a feed through leaves it to what follows.
    metBy: (goal, port, level) =>
      (isPassive(goal) && !goal.host) ||
      (givesVolts(goal) >= volts && (level === FED || feedsWell(goal, [port]))),
  };
}

/** Elements that do nothing to what is plugged in but lead it on. */
const LEADS_ON: ReadonlySet<string> = new Set(['wire', 'conductor', 'capacitor']);

const TENDER: Level = 1;

/** What becomes of a coil that comes to a port of a part by itself, between whichever two contacts. */
const sparedIn = kept((part, port, coil): readonly Level[] => {
  if (part.circuit.every(({ kind }) => LEADS_ON.has(kind))) return [TENDER];
  const ends = onEveryPair(coil, part, port);
  if (isPassive(part)) {
    const beyond = ends.flatMap((end) => throughPart(part, port, end));
    return levels([beyond.some(isTender), TENDER], [!beyond.every(isTender), 0]);
  }
  return levels([leadsPast(part, port), TENDER], [ends.some((end) => !isBoundToDull(part, port, end)), 0]);
});

/** To meet a load that spares its coil. */
function toBeSpared(coil: OpenEnd): Want {
  return {
    name: `spared ${coil.state}`,
    most: TENDER,
    at: (end) => (isTender(end) ? TENDER : 0),
    beyond: once(({ part }, half) => entriesFor(part, half).flatMap((port) => sparedIn(part, port, coil))),
    metBy: (goal, port) =>
      !listens(goal) || onEveryPair(coil, goal, port).some((end) => !isBoundToDull(goal, port, end)),
  };
}

function findWant(starts: readonly OpenEnd[]): Want | undefined {
  const volts = Math.max(0, ...starts.flatMap((end) => wantsOf(end).map((want) => want.volts)));
  if (volts > 0) return toBeFed(starts, volts);
  const [coil, ...others] = starts.filter(({ analogue }) => analogue?.edge);
  return coil && others.length === 0 ? toBeSpared(coil) : undefined;
}

const wants = new WeakMap<Pool, Map<string, Want>>();

/** What the ends at which a source begins want; of one name one, for each pool of parts. */
export function wantOf(starts: readonly OpenEnd[], pool: Pool): Want | undefined {
  const byName = wants.get(pool) ?? new Map<string, Want>();
  wants.set(pool, byName);
  const want = findWant(starts);
  const known = want && (byName.get(want.name) ?? want);
  if (known) byName.set(known.name, known);
  return known;
}
