import type { Evidence } from '../../apps';
import type { BusDevice, BusHub, BusSocket, Feeds, Quantity } from '../../parts';
import { figureOf, spreadOf, type Spread, type Wiring } from '../circuit';
import { jointAt, laidParts, type LaidPart, type PortRef, type Rig } from '../../rig';
import { milliamps, type Milliamps } from '../../units';
import { brokenAt, farPort, outletAt, suppliedBy, type FarPort, type Walk } from '../supply';
import { bytesPerFrame, FULL_SPEED_BYTES } from './stream';

/** The tiers of a USB tree, the host's own the first: five hubs at most between host and device (USB 2.0, 4.1.1). */
export const MOST_HUBS = 5;

export type Refusal =
  | 'no-data'
  | 'not-analogue'
  | 'unauthenticated'
  | 'too-little-current'
  | 'too-deep'
  | 'too-many-bytes'
  | 'second-device';

/** An accessory whose supply or data line leads to a host. */
export interface AttachedDevice {
  readonly host: string;
  readonly placed: string;
  readonly device: BusDevice;
  /** Hubs on the way. */
  readonly hubs: number;
  /** Declared draw, and what its socket may give it after what else hangs there, from the least such sockets give to the most. */
  readonly draws: Milliamps;
  readonly offered: { readonly least: Milliamps; readonly most: Milliamps };
  /** Taken here and there: it declares more than the least and no more than the most. */
  readonly uncertain: boolean;
  /** What it really takes at its busiest, and what is left for it after what the others really take. */
  readonly takes: Milliamps;
  readonly left: Milliamps;
  /** Metres of the longest run of lead, on its way to the host, between two parts with electronics. */
  readonly run: number;
  /** Isochronous bytes a millisecond, both ways together; 0 where its format is not known. */
  readonly bytes: number;
  readonly fed: boolean;
  readonly refusal?: Refusal;
  /** Where its data line ends: a lead that has none, or a socket that only charges. */
  readonly missing?: { readonly part: string; readonly port?: string };
  /** Takes part in the host's work: seen, and not refused. */
  readonly accepted: boolean;
  /** What it rests on that such a device works there, where that is less than common practice. */
  readonly evidence?: Evidence['kind'];
}

/** Current on paper, from the least to the most, and really, mA. */
interface Current {
  readonly least: number;
  readonly most: number;
  readonly real: number;
}

/** A supply that several sockets share: what is left of it, and the supply that it is itself taken from. */
interface Budget {
  left: Current;
  readonly from?: Budget;
}

const lesser = (a: Current, b: Current): Current => ({
  least: Math.min(a.least, b.least),
  most: Math.min(a.most, b.most),
  real: Math.min(a.real, b.real),
});

/** What a budget has left, with all those above it. */
const leftOf = ({ left, from }: Budget): Current => (from ? lesser(left, leftOf(from)) : left);

/** Takes from a budget and from all above it. */
function take(budget: Budget, declared: number, real: number): void {
  const { least, most, real: really } = budget.left;
  const less = (value: number, by: number) => Math.max(0, value - by);
  budget.left = { least: less(least, declared), most: less(most, declared), real: less(really, real) };
  if (budget.from) take(budget.from, declared, real);
}

interface Feed {
  readonly host: LaidPart;
  readonly hubs: number;
  readonly wantsAuthentication: boolean;
  readonly analogue: boolean;
  readonly budget: Budget;
  readonly supplied: boolean;
  readonly run: number;
  /** Where the data line is lost further up; absent while it is whole. */
  readonly lost?: PortRef | { readonly part: string };
  /** An adapter of another kind of port stands between. */
  readonly adapted: boolean;
  readonly seen: Set<string>;
}

const amount = (quantity: Quantity, laid: LaidPart): number => figureOf(quantity, laid);

const spreadOfFeeds = (feeds: Feeds, laid: LaidPart, supplied: boolean): Spread =>
  typeof feeds === 'object' && 'supplied' in feeds
    ? spreadOf(supplied ? feeds.supplied : feeds.bare, laid)
    : spreadOf(feeds, laid);

/** An app in which an accessory works although it lacks the chip. */
const worksWithoutChip = (device: BusDevice, { host }: Feed): boolean =>
  device.worksIn !== undefined && host.placed.app !== undefined && device.worksIn.includes(host.placed.app);

function refusalOf(
  device: BusDevice,
  feed: Feed,
  at: { data: boolean; fed: boolean; bytes: number },
): Refusal | undefined {
  if (!at.data || device.registersAs === 'power') return 'no-data';
  if (device.registersAs === 'analogue' && !feed.analogue) return 'not-analogue';
  if (feed.wantsAuthentication && !device.authenticated && !worksWithoutChip(device, feed)) {
    return 'unauthenticated';
  }
  if (feed.hubs > MOST_HUBS) return 'too-deep';
  if (!at.fed) return 'too-little-current';
  return at.bytes > FULL_SPEED_BYTES ? 'too-many-bytes' : undefined;
}

/** A part that feeds itself takes nothing from the bus. */
const feedsItself = (walk: Walk, laid: LaidPart, device: BusDevice): boolean =>
  (laid.part.power ?? []).some(
    (source) =>
      !('port' in source && source.port === device.port) && suppliedBy(walk, laid, source) !== undefined,
  );

/** What is known of a device that stands where none of its kind is used to stand. */
function evidenceOf(device: BusDevice, feed: Feed): Evidence['kind'] | undefined {
  if (feed.wantsAuthentication && !device.authenticated) return 'claimed';
  return feed.adapted && device.registersAs === 'headset' ? 'untested' : undefined;
}

interface Socket {
  /** What the socket itself gives at the most, whoever else asks. */
  readonly gives: Current;
  readonly budget: Budget;
  readonly run: number;
  readonly missing?: AttachedDevice['missing'];
}

/** A device that has been found, before it is known who is fed. */
interface Claim {
  readonly laid: LaidPart;
  readonly device: BusDevice;
  readonly feed: Feed;
  readonly socket: Socket;
  readonly draws: number;
  readonly takes: number;
}

function claim(
  walk: Walk,
  laid: LaidPart,
  device: BusDevice,
  feed: Feed,
  socket: Socket,
  assumedFed: boolean,
): Claim {
  const own = assumedFed || feedsItself(walk, laid, device);
  return {
    laid,
    device,
    feed,
    socket,
    draws: own ? 0 : amount(device.draw, laid),
    takes: own ? 0 : amount(device.takes ?? device.draw, laid),
  };
}

/** Gives a device what is left for it. */
function attach({ laid, device, feed, socket, draws, takes }: Claim): AttachedDevice {
  const { least, most, real } = lesser(socket.gives, leftOf(socket.budget));
  const fed = draws <= most;
  const bytes = bytesPerFrame(device, laid);
  const refusal = refusalOf(device, feed, { data: socket.missing === undefined, fed, bytes });
  const evidence = evidenceOf(device, feed);
  if (fed) take(socket.budget, draws, takes);
  return {
    host: feed.host.placed.id,
    placed: laid.placed.id,
    device,
    hubs: feed.hubs,
    draws: milliamps(draws),
    offered: { least: milliamps(least), most: milliamps(most) },
    uncertain: fed && draws > least,
    takes: milliamps(takes),
    left: milliamps(real),
    run: socket.run,
    bytes,
    fed,
    ...(refusal && { refusal }),
    ...(refusal === 'no-data' && {
      missing: socket.missing ?? { part: laid.placed.id, port: device.port },
    }),
    ...(evidence && { evidence }),
    accepted: refusal === undefined,
  };
}

/**
 * Who is fed where there is not enough hangs on who is plugged in first: it is taken that those who want little come first, so that
 * as many as can be are fed, and a bigger supply never starves anybody.
 */
function share(claims: readonly Claim[]): AttachedDevice[] {
  const inTurn = [...claims].sort((a, b) => a.draws - b.draws);
  const found = new Map(inTurn.map((one) => [one, attach(one)]));
  return claims.flatMap((one) => found.get(one) ?? []);
}

/** Plug and socket of a hub or adapter are of different families of port. */
function adapts({ part }: LaidPart, hub: BusHub, socket: string): boolean {
  const connectorOf = (id: string) => part.ports.find((port) => port.id === id)?.connector;
  const [up, down] = [connectorOf(hub.upstream), connectorOf(socket)];
  return part.ports.find((port) => port.id === hub.upstream)?.roles?.['A'] !== undefined && up !== down;
}

function belowHub(walk: Walk, laid: LaidPart, hub: BusHub, feed: Feed, at: Socket, socket: BusSocket): Feed {
  const supplies = (hub.supplied ?? []).flatMap((source) => suppliedBy(walk, laid, source) ?? []);
  const supply = supplies.length > 0 ? Math.max(...supplies) : undefined;
  const alone = (mA: number): Current => {
    const left = Math.max(0, mA - hub.ownDraw);
    return { least: left, most: left, real: left };
  };
  return {
    ...feed,
    hubs: feed.hubs + 1,
    wantsAuthentication: feed.wantsAuthentication && !hub.authenticated,
    analogue: false,
    supplied: supply !== undefined,
    run: at.run,
    adapted: feed.adapted || adapts(laid, hub, socket.port),
    ...(at.missing && { lost: at.missing }),
    budget: supply === undefined ? { left: { ...at.gives }, from: at.budget } : { left: alone(supply) },
  };
}

const isAccessory = ({ part }: LaidPart, port: string): boolean =>
  part.bus?.port === port || part.hub?.upstream === port;

function follow(
  walk: Walk,
  owner: LaidPart,
  socket: BusSocket,
  feed: Feed,
  assumed: ReadonlySet<string>,
): Claim[] {
  const { id } = owner.placed;
  if (!jointAt(walk.rig, { part: id, port: socket.port })) return [];
  const at = (line: 'V' | 'D'): FarPort | undefined => farPort(walk, id, socket.port, line, isAccessory);
  const [supply, data] = [at('V'), at('D')];
  const far = data ?? supply;
  const laid = far && walk.laid.get(far.placed);
  if (!far || !laid || feed.seen.has(far.placed)) return [];
  feed.seen.add(far.placed);
  const limit = supply ? spreadOfFeeds(socket.feeds, owner, feed.supplied) : { least: 0, most: 0 };
  const gives: Current = { least: limit.least, most: limit.most, real: limit.most };
  const missing =
    feed.lost ??
    (socket.data ? undefined : { part: id, port: socket.port }) ??
    (data ? undefined : { part: brokenAt(walk, id, socket.port) ?? far.placed });
  const here: Socket = {
    gives,
    budget: feed.budget,
    run: Math.max(feed.run, far.metres),
    ...(missing && { missing }),
  };
  const { bus, hub } = laid.part;
  if (bus?.port === far.port) {
    const own = claim(walk, laid, bus, feed, here, assumed.has(far.placed));
    return hub?.upstream === bus.port ? [own, ...belowHubOf(walk, laid, hub, feed, here, assumed)] : [own];
  }
  return hub ? belowHubOf(walk, laid, hub, feed, here, assumed) : [];
}

/** The sockets of a hub by which its supply comes in: what hangs on one gets neither data nor current. */
const intakes = (hub: BusHub): BusSocket[] =>
  (hub.supplied ?? []).flatMap((source) =>
    'port' in source ? [{ port: source.port, feeds: 0, data: false }] : [],
  );

/** Everything at the sockets of a hub or adapter. */
function belowHubOf(
  walk: Walk,
  laid: LaidPart,
  hub: BusHub,
  feed: Feed,
  here: Socket,
  assumed: ReadonlySet<string>,
): Claim[] {
  let below: Feed | undefined;
  return [...hub.sockets, ...intakes(hub)].flatMap((s) => {
    // All sockets of a hub share one supply.
    const next = belowHub(walk, laid, hub, feed, here, s);
    if (!below && !next.supplied) take(next.budget, hub.ownDraw, hub.ownDraw);
    below = below ? { ...next, budget: below.budget } : next;
    return follow(walk, laid, s, below, assumed);
  });
}

/** Of several sound devices a phone or tablet takes the first, those that it could take at all; the rest it does not list. */
function oneEach(devices: readonly AttachedDevice[], walk: Walk): AttachedDevice[] {
  const taken = new Set<string>();
  return devices.map((device) => {
    const { host, accepted } = device;
    if (!accepted || device.device.captures.length === 0 || walk.laid.get(host)?.part.host?.manyDevices) {
      return device;
    }
    if (!taken.has(host)) {
      taken.add(host);
      return device;
    }
    return { ...device, refusal: 'second-device', accepted: false };
  });
}

const NOBODY: ReadonlySet<string> = new Set();

/** Every accessory that a host's digital ports reach, through leads, adapters and hubs, with what becomes of it. `assumed`: parts taken to be fed. */
export function attachedDevices(
  rig: Rig,
  wires: Wiring,
  assumed: ReadonlySet<string> = NOBODY,
): AttachedDevice[] {
  const laid = new Map(laidParts(rig).map((l) => [l.placed.id, l]));
  const walk: Walk = { rig, laid, wires };
  const found = [...laid.values()].flatMap((host) =>
    (host.part.host?.busPorts ?? []).flatMap((socket) =>
      follow(
        walk,
        host,
        socket,
        {
          host,
          hubs: 0,
          wantsAuthentication: socket.wantsAuthentication,
          analogue: socket.analogue ?? false,
          budget: { left: { least: Infinity, most: Infinity, real: Infinity } },
          supplied: false,
          run: 0,
          adapted: false,
          seen: new Set([host.placed.id]),
        },
        assumed,
      ),
    ),
  );
  return oneEach(share(found), walk);
}

/** Parts whose stages have power: those that need none, and those that one of their sources feeds. */
export function livePowered(
  rig: Rig,
  wires: Wiring,
  devices: readonly AttachedDevice[],
): (placed: string) => boolean {
  const laid = new Map(laidParts(rig).map((l) => [l.placed.id, l]));
  const walk: Walk = { rig, laid, wires };
  const fed = new Set(devices.filter((d) => d.fed).map((d) => `${d.placed} ${d.device.port}`));
  const live = new Map(
    [...laid].map(([id, l]) => [
      id,
      !l.part.power ||
        l.part.power.some((source) =>
          'port' in source
            ? fed.has(`${id} ${source.port}`) || outletAt(walk, id, source.port) !== undefined
            : suppliedBy(walk, l, source) !== undefined,
        ),
    ]),
  );
  return (placed) => live.get(placed) ?? true;
}
