import { checkOf, type Cure, type Finding } from '../../checks';
import { goesBetween, isSupply, passesOn, supplySockets, type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import {
  freshId,
  isFree,
  joinedTo,
  laidParts,
  matchPorts,
  partIn,
  partsFor,
  samePort,
  type LaidPart,
  type PortRef,
  type Rig,
  type RigEdit,
} from '../../rig';
import { reachAfter, standsApart, type Reach } from '../standing';
import { additionsAt } from './with-parts';

interface FreeEnd {
  readonly ref: PortRef;
  readonly port: PartPort;
  readonly part: Part;
}

/** Free ports of some parts, of such as are alike one, but for those that only give or only take. */
const freeEnds = (rig: Rig, parts: readonly LaidPart[], not: PartPort['direction']): FreeEnd[] =>
  parts.flatMap(({ placed, part }) => {
    const free = part.ports
      .map((port) => ({ port, part, ref: { part: placed.id, port: port.id } }))
      .filter(({ port, ref }) => port.direction !== not && isFree(rig, ref));
    const once = new Map(free.toReversed().map((end) => [end.port.alike ?? end.port.id, end]));
    return [...once.values()].toReversed();
  });

/** What hangs on a finding's source, what hangs on its recorder, and what lies beside both; undefined where nothing gapes between them. */
function sidesOf(rig: Rig, { source, recorder }: Finding) {
  if (source === undefined || recorder === undefined) return undefined;
  const [near, far] = [joinedTo(rig, source), joinedTo(rig, recorder)];
  if (near.has(recorder)) return undefined;
  const all = laidParts(rig);
  return {
    near: all.filter(({ placed }) => near.has(placed.id)),
    far: all.filter(({ placed }) => far.has(placed.id)),
    beside: all.filter(({ placed, part }) => !near.has(placed.id) && !far.has(placed.id) && passesOn(part)),
  };
}

type Bridge = Extract<RigEdit, { kind: 'bridge' }>;

const portOfPart = (part: Part, id: string): PartPort | undefined =>
  part.ports.find((port) => port.id === id);

/** How a part stands to what is behind one of its ends, once it is left by another; undefined where it would be plugged onto a thing that stands elsewhere. */
function reachOver(before: Reach, part: Part, [from, to]: readonly string[]): Reach | undefined {
  const [entry, exit] = [from, to].map((id) => portOfPart(part, id ?? ''));
  return entry && exit && !standsApart(before, part, entry) ? reachAfter(before, part, exit) : undefined;
}

/** What can stand between two ends, found once for ends of one kind. */
class Between {
  private readonly known = new Map<
    string,
    readonly (readonly [part: Part, ports: readonly [string, string]])[]
  >();
  private static readonly made = new WeakMap<readonly Part[], Between>();
  readonly parts: readonly Part[];

  private constructor(all: readonly Part[]) {
    this.parts = all.filter(goesBetween);
  }

  /** Of the parts that a rig may be given; found once for all rigs without parts of their own. */
  static among(rig: Rig): Between {
    const all = partsFor(rig);
    const known = Between.made.get(all) ?? new Between(all);
    Between.made.set(all, known);
    return known;
  }

  private fitting(a: PartPort, b: PartPort): readonly (readonly [Part, readonly [string, string]])[] {
    const key = [a, b].map(({ connector, gender }) => `${connector} ${gender}`).join();
    const known = this.known.get(key);
    if (known) return known;
    const found = this.parts.flatMap((part) =>
      matchPorts(part, [a, b]).flatMap(([one, other]) =>
        one !== undefined && other !== undefined ? [[part, [one, other]] as const] : [],
      ),
    );
    this.known.set(key, found);
    return found;
  }

  /** One part more from a free end to another, where nothing is plugged onto what stands elsewhere. */
  bridges(a: FreeEnd, b: FreeEnd): Bridge[] {
    const reach = reachAfter('free', a.part, a.port);
    return this.fitting(a.port, b.port).flatMap(([part, ports]) => {
      const beyond = reachOver(reach, part, ports);
      if (!beyond || standsApart(beyond, b.part, b.port)) return [];
      return [{ kind: 'bridge', part: part.id, ports, between: [a.ref, b.ref] } as const];
    });
  }

  /** One plug in the other, or one part more between. */
  joins(a: FreeEnd, b: FreeEnd): RigEdit[] {
    const meet =
      mate(a.port, b.port).fits && !standsApart(reachAfter('free', a.part, a.port), b.part, b.port);
    return [...(meet ? [{ kind: 'join', a: a.ref, b: b.ref } as const] : []), ...this.bridges(a, b)];
  }
}

/** One part more, from what hangs on the source to what hangs on the recorder. */
export function gapsBridged(rig: Rig, finding: Finding): RigEdit[] {
  const sides = sidesOf(rig, finding);
  if (!sides) return [];
  const between = Between.among(rig);
  const far = freeEnds(rig, sides.far, 'out');
  return freeEnds(rig, sides.near, 'in').flatMap((a) => far.flatMap((b) => between.bridges(a, b)));
}

/** Between more pairs of free ends than this no two parts are sought: that is a rig in which something else is to be said first. Ours. */
const MOST_GAPS = 100;

type Sides = NonNullable<ReturnType<typeof sidesOf>>;
type Two = readonly [RigEdit, RigEdit];

/** The other ends of a part that an edit puts on something. */
function openEnds(rig: Rig, add: Extract<RigEdit, { kind: 'add' }>): FreeEnd[] {
  const part = partIn(rig, add.part);
  const placed = freshId(add.part, new Set(rig.parts.map(({ id }) => id)));
  return (part?.ports ?? [])
    .filter(({ id }) => id !== add.port)
    .flatMap((port) => (part ? [{ port, part, ref: { part: placed, port: port.id } }] : []));
}

/** Parts that hang together, and on nothing else of these. */
function groupsOf(rig: Rig, parts: readonly LaidPart[]): LaidPart[][] {
  const groups = new Map<string, LaidPart[]>();
  for (const laid of parts) {
    const first = [...joinedTo(rig, laid.placed.id)].sort()[0] ?? laid.placed.id;
    groups.set(first, [...(groups.get(first) ?? []), laid]);
  }
  return [...groups.values()];
}

/** Over what lies beside, one part or several that hang together: into it and out of it again, by a plug or a part more each. */
function overBeside(rig: Rig, { near, far, beside }: Sides, between: Between): Two[] {
  const [starts, goals] = [freeEnds(rig, near, 'in'), freeEnds(rig, far, 'out')];
  return groupsOf(rig, beside).flatMap((group) => {
    const outs = freeEnds(rig, group, 'in').map((exit) => ({
      exit,
      edits: goals.flatMap((b) => between.joins(exit, b)),
    }));
    return freeEnds(rig, group, 'out').flatMap((entry) => {
      const ins = starts.flatMap((a) => between.joins(a, entry));
      return outs
        .filter(({ exit }) => !samePort(exit.ref, entry.ref))
        .flatMap(({ edits }) => ins.flatMap((one) => edits.map((other) => [one, other] as const)));
    });
  });
}

/** Two parts more, one in the other: a lead, and a dongle at the recorder's port. */
function byTwo(rig: Rig, { near, far }: Sides, between: Between): Two[] {
  const starts = freeEnds(rig, near, 'in');
  return freeEnds(rig, far, 'out').flatMap((b) =>
    additionsAt(rig, { part: b.ref.part, port: b.port }, goesBetween).flatMap((add) =>
      openEnds(rig, add)
        .filter(({ part, port }) => {
          const beyond = reachOver('led', part, [port.id, add.port]);
          return beyond && !standsApart(beyond, b.part, b.port);
        })
        .flatMap((end) =>
          starts.flatMap((a) => between.bridges(a, end).map((bridge) => [add, bridge] as const)),
        ),
    ),
  );
}

const cures = ({ code }: Finding, cure: Cure): boolean => (checkOf(code)?.cures ?? []).includes(cure);

/** Whether the free ends on both sides of a gap are so many that no two parts at a time are sought for it. */
export function isTooWide(rig: Rig, finding: Finding): boolean {
  const sides = cures(finding, 'bridge') ? sidesOf(rig, finding) : undefined;
  if (!sides) return false;
  return freeEnds(rig, sides.near, 'in').length * freeEnds(rig, sides.far, 'out').length > MOST_GAPS;
}

/** Two edits that close a gap together, of which neither does anything alone. */
export function gapsBridgedByTwo(rig: Rig, finding: Finding): Two[] {
  const sides = cures(finding, 'bridge') ? sidesOf(rig, finding) : undefined;
  if (!sides || isTooWide(rig, finding)) return [];
  const between = Between.among(rig);
  return [...overBeside(rig, sides, between), ...byTwo(rig, sides, between)];
}

/** Free sockets by which what a finding names could be fed. */
function hungry(rig: Rig, finding: Finding): FreeEnd[] {
  if (!cures(finding, 'supply')) return [];
  const laid = laidParts(rig).filter(({ placed }) => placed.id === finding.where.part);
  return freeEnds(rig, laid, 'out').filter(({ part, port }) => supplySockets(part).includes(port.id));
}

/** A lead more, from a charger or power bank that is there to what it is to feed. */
export function supplyBridged(rig: Rig, finding: Finding): RigEdit[] {
  const between = Between.among(rig);
  const outlets = freeEnds(
    rig,
    laidParts(rig).filter(({ part }) => isSupply(part)),
    'in',
  );
  return hungry(rig, finding).flatMap((socket) =>
    outlets.flatMap((outlet) => between.bridges(outlet, socket)),
  );
}

/** The same, with the charger or power bank: two edits that do nothing alone. */
export function supplyByTwo(rig: Rig, finding: Finding): Two[] {
  const isLead = ({ length, ports }: Part) => length !== undefined && ports.length === 2;
  // A computer that happens to stand there is not bought.
  const isSold = (part: Part) => isSupply(part) && part.price > 0;
  return hungry(rig, finding).flatMap(({ ref, port }) =>
    additionsAt(rig, { part: ref.part, port }, isLead).flatMap((add) =>
      openEnds(rig, add).flatMap((end) =>
        additionsAt(rig, { part: end.ref.part, port: end.port }, isSold).map(
          (supply) => [add, supply] as const,
        ),
      ),
    ),
  );
}
