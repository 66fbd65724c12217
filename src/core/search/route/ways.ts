import { contactsOf, KEYED_CONNECTORS, mate, PHONE_CONNECTORS, type Contact } from '../../plugs';
import { findPart, isCopper, type BusDevice, type Part, type PartPort } from '../../parts';
import {
  convertedEnd,
  copperOf,
  drivesReached,
  exitEnd,
  exitsOf,
  isCoupled,
  isDigital,
  nodesOfPort,
  outletPairs,
  pairEnd,
  throughPart,
  type OpenEnd,
} from '../ends';
import { own } from '../../schema';
import { firstOfEach, isEntry } from './pool';
import { WAYS_MADE } from './ways.generated';

/**
 * What lies at an open end, in short: its connector, and the two contacts between which a sound stands; or the class and chip of
 * the sound device whose numbers come there.
 */
export type Spot = string;

export const pairSpot = ({ connector, gender }: PartPort, one: Contact, other: Contact): Spot =>
  `${connector} ${gender} ${one < other ? `${one}${other}` : `${other}${one}`}`;

export const deviceSpot = ({ connector, gender }: PartPort, end: OpenEnd): Spot => {
  const { device, authenticated, hubs } = end.digital ?? {};
  return `${connector} ${gender} ${device?.bus?.registersAs} ${authenticated} ${hubs ? 'beyond' : 'straight'}`;
};

/** Every spot that an open end is at. */
export const spotsOf = (end: OpenEnd): readonly Spot[] =>
  end.analogue
    ? end.analogue.pairs.map(([one, other]) => pairSpot(end.port, one, other))
    : [deviceSpot(end.port, end)];

const pairsOf = (port: PartPort): (readonly [Contact, Contact])[] => {
  const contacts = contactsOf(port.connector);
  return contacts.flatMap((one, index) => contacts.slice(index + 1).map((other) => [one, other] as const));
};

const CLASSES: readonly BusDevice['registersAs'][] = ['headset', 'audio', 'analogue'];

/** Ends with numbers of every class, with and without the chip, with and without a hub behind them. */
function deviceEnds(part: Part, port: PartPort): OpenEnd[] {
  return CLASSES.flatMap((registersAs) =>
    [true, false].flatMap((authenticated) =>
      [0, 1].map((hubs): OpenEnd => {
        const bus: BusDevice = { port: 'plug', registersAs, authenticated, draw: 0, captures: [] };
        return {
          part,
          port,
          state: `${registersAs} ${authenticated} ${hubs}`,
          digital: {
            device: { ...part, bus },
            lines: new Set(contactsOf(port.connector)),
            authenticated,
            hubs,
            draws: 0,
            peak: 0,
            from: '',
          },
        };
      }),
    ),
  );
}

/** Ends at which anything could come to a port, one for each spot; the port is that of the other half. */
export function probesAt(
  part: Part,
  half: Pick<PartPort, 'connector' | 'gender'>,
): { spot: Spot; end: OpenEnd }[] {
  const port: PartPort = { id: 'probe', name: 'probe', direction: 'both', ...half };
  if (isDigital(port)) return deviceEnds(part, port).map((end) => ({ spot: deviceSpot(port, end), end }));
  const opposite: PartPort = { ...port, gender: port.gender === 'plug' ? 'jack' : 'plug' };
  return pairsOf(port).map(([one, other]) => ({
    spot: pairSpot(port, one, other),
    end: pairEnd(part, opposite, one, other),
  }));
}

/** A way through a part from spot to spot. */
export interface Way {
  readonly part: Part;
  readonly from: Spot;
  readonly to: Spot;
  /** What feeds a source may come through: nothing in it stands between, or it makes it of what feeds itself. */
  readonly passive: boolean;
  /** Direct voltage that it can give, volts at the most. */
  readonly gives: number;
  /** It makes numbers of one side alone. */
  readonly oneSided: boolean;
}

export const isPassive = ({ paths = [], captures = [] }: Part): boolean =>
  paths.length === 0 && captures.length === 0;

/** No converter of it has two sides. */
const isOneSided = ({ captures = [] }: Part): boolean =>
  captures.length > 0 &&
  captures.every(
    ({ channels }) => !channels.some((c) => c.side === 'left') || !channels.some((c) => c.side === 'right'),
  );

export const givesVolts = (part: Part): number =>
  Math.max(
    0,
    ...part.circuit.map((e) => {
      if (e.kind !== 'supply') return 0;
      if (typeof e.volts === 'number') return e.volts;
      return 'values' in e.volts ? Math.max(...Object.values(e.volts.values).map((v) => v ?? 0)) : 0;
    }),
  );

/** Through copper alone a pair of contacts comes out where its conductors do. */
function copperWays(
  part: Part,
  entry: PartPort,
  half: Pick<PartPort, 'connector' | 'gender'>,
): { from: Spot; to: Spot }[] {
  const mating = mate(half, entry);
  if (!mating.fits) return [];
  const copper = copperOf(part);
  const inner = new Map(nodesOfPort(entry, part));
  const port: PartPort = { id: 'probe', name: 'probe', direction: 'both', ...half };
  const under = (contact: Contact): number[] =>
    mating.touches.flatMap(({ jack, plug }) => {
      const [outer, own] = half.gender === 'plug' ? [plug[0], jack] : [jack, plug[0]];
      const node = outer === contact && own !== undefined ? inner.get(own) : undefined;
      return node === undefined ? [] : [copper(node)];
    });
  return pairsOf(port).flatMap(([one, other]) => {
    const [a, b] = [under(one), under(other)];
    return part.ports.flatMap((exit) => {
      if (exit === entry || exit.direction === 'in') return [];
      const on = (nodes: readonly number[]) =>
        nodesOfPort(exit, part).flatMap(([contact, node]) => (nodes.includes(copper(node)) ? [contact] : []));
      return on(a).flatMap((x) =>
        on(b).flatMap((y) =>
          x === y ? [] : [{ from: pairSpot(port, one, other), to: pairSpot(exit, x, y) }],
        ),
      );
    });
  });
}

/** Spots at which what comes to a port of a part may leave it: by its stages, as a device, or by copper. */
function spotsBeyond(part: Part, entry: PartPort, end: OpenEnd): Spot[] {
  if (isDigital(entry) || (part.paths ?? []).length === 0)
    return throughPart(part, entry, end).flatMap(spotsOf);
  const drives = drivesReached(part, entry, end);
  return [
    ...convertedEnd(part, entry, end).flatMap(spotsOf),
    ...exitsOf(part, entry).flatMap((exit) => {
      const copper = isCoupled(part, entry, exit) ? exitEnd(part, entry, end, exit) : undefined;
      const pairs = [...drives].flatMap((drive) => outletPairs(part, exit, drive));
      return [...(copper ? spotsOf(copper) : []), ...pairs.map(([one, other]) => pairSpot(exit, one, other))];
    }),
  ];
}

export type Half = Pick<PartPort, 'connector' | 'gender'>;

/** Whatever could stand open before a part: also what no part of a small pool has itself, a TRS socket for a TS plug. */
export const HALVES: readonly Half[] = [...PHONE_CONNECTORS, ...KEYED_CONNECTORS].flatMap((connector) =>
  (['plug', 'jack'] as const).map((gender) => ({ connector, gender })),
);

/** Every way through a part for what comes on a kind of plug or socket, found by trying each spot. */
export function probedWays(part: Part, half: Half): readonly (readonly [from: Spot, to: Spot])[] {
  const found = new Map<string, readonly [Spot, Spot]>();
  const put = (from: Spot, to: Spot) => found.set(`${from}>${to}`, [from, to]);
  for (const entry of firstOfEach(part.ports.filter((port) => isEntry(part, port)))) {
    if (isCopper(part) && !isDigital(entry)) {
      for (const { from, to } of copperWays(part, entry, half)) put(from, to);
      continue;
    }
    for (const { spot, end } of probesAt(part, half))
      for (const to of spotsBeyond(part, entry, end)) put(spot, to);
  }
  return [...found.values()];
}

const kept = new WeakMap<Part, Map<string, readonly Way[]>>();

/** Every way through a part for what comes on a kind of plug or socket: of a shipped part as made ahead, of another as found now. */
export function waysThrough(part: Part, half: Half): readonly Way[] {
  const byHalf = kept.get(part) ?? new Map<string, readonly Way[]>();
  kept.set(part, byHalf);
  const key = `${half.connector} ${half.gender} `;
  const known = byHalf.get(key);
  if (known) return known;
  // What is fed itself by what follows, such as by phantom, may make of that what a source wants.
  const passive = isPassive(part) || part.stagesNeed !== undefined;
  const what = { part, passive, gives: givesVolts(part), oneSided: isOneSided(part) };
  const isShipped = own(WAYS_MADE, part.id) !== undefined && findPart(part.id) === part;
  const pairs = isShipped ? madeAhead(part.id, key) : probedWays(part, half);
  const found = pairs.map(([from, to]): Way => ({ from, to, ...what }));
  byHalf.set(key, found);
  return found;
}

const madeAhead = (id: string, key: string): readonly (readonly [Spot, Spot])[] =>
  (WAYS_MADE[id] ?? '')
    .split('|')
    .filter((way) => way.startsWith(key))
    .map((way) => way.split('>') as [Spot, Spot]);
