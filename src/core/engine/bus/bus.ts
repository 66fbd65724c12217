import type { BusDevice, BusHub, BusSocket, Feeds, Quantity } from '../../parts';
import { settle, type Wiring } from '../circuit';
import { jointAt, laidParts, type LaidPart, type Rig } from '../../rig';
import { outletAt, suppliedBy } from '../supply/power';
import { bytesPerFrame } from './stream';
import { farPort, type FarPort, type Walk } from '../supply/walk';

/** The tiers of a USB tree, the host's own the first: five hubs at most between host and device (USB 2.0, 4.1.1). */
export const MOST_HUBS = 5;

export type Refusal = 'no-data' | 'no-analogue-mode' | 'unauthenticated' | 'starved' | 'too-deep';

/** An accessory whose supply or data line leads to a host. */
export interface AttachedDevice {
  readonly host: string;
  readonly placed: string;
  readonly device: BusDevice;
  /** Hubs on the way. */
  readonly hubs: number;
  /** Declared draw, and what its socket may give it after what else hangs there, mA. */
  readonly draws: number;
  readonly offered: number;
  /** What it really takes at its busiest, and what is left for it after what the others really take, mA. */
  readonly takes: number;
  readonly left: number;
  /** Metres of the longest run of lead, on its way to the host, between two parts with electronics. */
  readonly run: number;
  /** Isochronous bytes a millisecond, both ways together; 0 where its format is not known. */
  readonly bytes: number;
  readonly fed: boolean;
  readonly refusal?: Refusal;
  /** Takes part in the host's work: seen, and not refused. */
  readonly accepted: boolean;
}

/** A supply that several sockets share, mA: what is left on paper, and really. */
interface Budget {
  declared: number;
  real: number;
}

interface Feed {
  readonly host: string;
  readonly hubs: number;
  readonly wantsAuthentication: boolean;
  readonly analogue: boolean;
  readonly budget: Budget;
  readonly supplied: boolean;
  readonly run: number;
  readonly seen: Set<string>;
}

const amount = (quantity: Quantity, laid: LaidPart): number => settle(quantity, laid);

const feedsOf = (feeds: Feeds, laid: LaidPart, supplied: boolean): number =>
  typeof feeds === 'object' && 'supplied' in feeds
    ? amount(supplied ? feeds.supplied : feeds.bare, laid)
    : amount(feeds, laid);

function refusalOf(device: BusDevice, feed: Feed, data: boolean, fed: boolean): Refusal | undefined {
  if (!data || device.registersAs === 'power') return 'no-data';
  if (device.registersAs === 'analogue' && !feed.analogue) return 'no-analogue-mode';
  if (feed.wantsAuthentication && !device.authenticated) return 'unauthenticated';
  if (feed.hubs > MOST_HUBS) return 'too-deep';
  return fed ? undefined : 'starved';
}

/** A part that feeds itself takes nothing from the bus. */
const feedsItself = (walk: Walk, laid: LaidPart, device: BusDevice): boolean =>
  (laid.part.power ?? []).some(
    (source) =>
      !('port' in source && source.port === device.port) && suppliedBy(walk, laid, source) !== undefined,
  );

function attach(
  walk: Walk,
  laid: LaidPart,
  device: BusDevice,
  feed: Feed,
  socket: { offered: number; left: number; data: boolean; run: number },
): AttachedDevice {
  const own = feedsItself(walk, laid, device);
  const draws = own ? 0 : amount(device.draw, laid);
  const takes = own ? 0 : amount(device.takes ?? device.draw, laid);
  const fed = draws <= socket.offered;
  const refusal = refusalOf(device, feed, socket.data, fed);
  return {
    host: feed.host,
    placed: laid.placed.id,
    device,
    hubs: feed.hubs,
    draws,
    offered: socket.offered,
    takes,
    left: socket.left,
    run: socket.run,
    bytes: bytesPerFrame(device, laid),
    fed,
    ...(refusal && { refusal }),
    accepted: refusal === undefined,
  };
}

function belowHub(walk: Walk, laid: LaidPart, hub: BusHub, feed: Feed, from: Budget, run: number): Feed {
  const supplies = (hub.supplied ?? []).flatMap((source) => suppliedBy(walk, laid, source) ?? []);
  const supply = supplies.length > 0 ? Math.max(...supplies) : undefined;
  const less = (mA: number) => Math.max(0, mA - hub.ownDraw);
  return {
    ...feed,
    hubs: feed.hubs + 1,
    wantsAuthentication: feed.wantsAuthentication && !hub.authenticated,
    analogue: false,
    supplied: supply !== undefined,
    run,
    budget:
      supply === undefined
        ? { declared: less(from.declared), real: less(from.real) }
        : { declared: less(supply), real: less(supply) },
  };
}

const isAccessory = ({ part }: LaidPart, port: string): boolean =>
  part.bus?.port === port || part.hub?.upstream === port;

function follow(walk: Walk, owner: LaidPart, socket: BusSocket, feed: Feed): AttachedDevice[] {
  const { id } = owner.placed;
  if (!jointAt(walk.rig, { part: id, port: socket.port })) return [];
  const at = (line: 'V' | 'D'): FarPort | undefined => farPort(walk, id, socket.port, line, isAccessory);
  const [supply, data] = [at('V'), at('D')];
  const far = data ?? supply;
  const laid = far && walk.laid.get(far.placed);
  if (!far || !laid || feed.seen.has(far.placed)) return [];
  feed.seen.add(far.placed);
  const limit = supply ? feedsOf(socket.feeds, owner, feed.supplied) : 0;
  const offered: Budget = {
    declared: Math.min(limit, feed.budget.declared),
    real: Math.min(limit, feed.budget.real),
  };
  const carries = data !== undefined && socket.data;
  const run = Math.max(feed.run, far.metres);
  const { bus, hub } = laid.part;
  if (bus?.port === far.port) {
    const attached = attach(walk, laid, bus, feed, {
      offered: offered.declared,
      left: offered.real,
      data: carries,
      run,
    });
    if (attached.fed) {
      feed.budget.declared -= attached.draws;
      feed.budget.real -= attached.takes;
    }
    return [attached];
  }
  if (!hub || !carries) return [];
  const below = belowHub(walk, laid, hub, feed, offered, run);
  return hub.sockets.flatMap((s) => follow(walk, laid, s, below));
}

/** Every accessory that a host's digital ports reach, through leads, adapters and hubs, with what becomes of it. */
export function attachedDevices(rig: Rig, wires: Wiring): AttachedDevice[] {
  const laid = new Map(laidParts(rig).map((l) => [l.placed.id, l]));
  const walk: Walk = { rig, laid, wires };
  return [...laid.values()].flatMap((host) =>
    (host.part.host?.busPorts ?? []).flatMap((socket) =>
      follow(walk, host, socket, {
        host: host.placed.id,
        hubs: 0,
        wantsAuthentication: socket.wantsAuthentication,
        analogue: socket.analogue ?? false,
        budget: { declared: Infinity, real: Infinity },
        supplied: false,
        run: 0,
        seen: new Set([host.placed.id]),
      }),
    ),
  );
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
