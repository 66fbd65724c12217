import type { BusDevice, BusHub, BusSocket, Quantity } from '../parts';
import { contactKey, settle, type NodeKey, type Wiring } from '../circuit';
import { jointAt, laidParts, settingOf, type LaidPart, type Rig } from '../rig';

/** The tiers of a USB tree, the host's own the first: five hubs at most between host and device (USB 2.0, 4.1.1). */
export const MOST_HUBS = 5;

export type Refusal = 'no-data' | 'unauthenticated' | 'starved' | 'too-deep';

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
  readonly fed: boolean;
  readonly refusal?: Refusal;
  /** Takes part in the host's work: seen, and not refused. */
  readonly accepted: boolean;
}

interface Walk {
  readonly rig: Rig;
  readonly laid: ReadonlyMap<string, LaidPart>;
  readonly wires: Wiring;
  readonly seen: Set<string>;
}

/** Where a socket's line leads: the first port of another part that does something with it. */
function farPort(
  walk: Walk,
  placed: string,
  port: string,
  line: 'V' | 'D',
): { placed: string; port: string } | undefined {
  const start = contactKey(placed, port, line);
  const seen = new Set<NodeKey>([start]);
  for (const node of seen) {
    for (const step of walk.wires.get(node) ?? []) {
      if (seen.has(step.to)) continue;
      seen.add(step.to);
      const slash = step.to.indexOf('/');
      const [id, rest] = [step.to.slice(0, slash), step.to.slice(slash + 1)];
      const part = walk.laid.get(id)?.part;
      const name = rest.slice(0, rest.lastIndexOf('.'));
      if (id !== placed && (part?.bus?.port === name || part?.hub?.upstream === name))
        return { placed: id, port: name };
    }
  }
  return undefined;
}

interface Feed {
  readonly host: string;
  readonly hubs: number;
  readonly wantsAuthentication: boolean;
  /** What is left of a shared supply, mA; shared by all sockets of an unsupplied hub. */
  readonly budget: { left: number };
}

const amount = (quantity: Quantity, laid: LaidPart): number => settle(quantity, laid);

const isSupplied = (hub: BusHub, laid: LaidPart): boolean =>
  hub.supplied !== undefined && settingOf(laid, hub.supplied.setting) === hub.supplied.is;

function attach(
  laid: LaidPart,
  device: BusDevice,
  feed: Feed,
  offered: number,
  data: boolean,
): AttachedDevice {
  const draws = amount(device.draw, laid);
  const fed = draws <= offered;
  const refusal: Refusal | undefined = !data
    ? 'no-data'
    : feed.wantsAuthentication && !device.authenticated
      ? 'unauthenticated'
      : feed.hubs > MOST_HUBS
        ? 'too-deep'
        : fed
          ? undefined
          : 'starved';
  return {
    host: feed.host,
    placed: laid.placed.id,
    device,
    hubs: feed.hubs,
    draws,
    offered,
    fed,
    ...(refusal && { refusal }),
    accepted: refusal === undefined,
  };
}

function follow(walk: Walk, owner: string, socket: BusSocket, feed: Feed): AttachedDevice[] {
  if (!jointAt(walk.rig, { part: owner, port: socket.port })) return [];
  const [supply, data] = [farPort(walk, owner, socket.port, 'V'), farPort(walk, owner, socket.port, 'D')];
  const far = data ?? supply;
  const laid = far && walk.laid.get(far.placed);
  if (!far || !laid || walk.seen.has(far.placed)) return [];
  walk.seen.add(far.placed);
  const owning = walk.laid.get(owner);
  const limit = owning && supply ? amount(socket.feeds, owning) : 0;
  const offered = Math.min(limit, feed.budget.left);
  const carries = data !== undefined && socket.data;
  const { bus, hub } = laid.part;
  if (bus?.port === far.port) {
    const attached = attach(laid, bus, feed, offered, carries);
    if (attached.fed) feed.budget.left -= attached.draws;
    return [attached];
  }
  if (!hub || !carries) return [];
  const supplied = isSupplied(hub, laid);
  const below: Feed = {
    host: feed.host,
    hubs: feed.hubs + 1,
    wantsAuthentication: feed.wantsAuthentication && !hub.authenticated,
    budget: supplied ? { left: Infinity } : { left: Math.max(0, offered - hub.ownDraw) },
  };
  return hub.sockets.flatMap((s) => follow(walk, far.placed, s, below));
}

/** Every accessory that a host's digital ports reach, through leads, adapters and hubs, with what becomes of it. */
export function attachedDevices(rig: Rig, wires: Wiring): AttachedDevice[] {
  const laid = new Map(laidParts(rig).map((l) => [l.placed.id, l]));
  return [...laid.values()].flatMap(({ placed, part }) =>
    (part.host?.busPorts ?? []).flatMap((socket) =>
      follow({ rig, laid, wires, seen: new Set([placed.id]) }, placed.id, socket, {
        host: placed.id,
        hubs: 0,
        wantsAuthentication: socket.wantsAuthentication,
        budget: { left: Infinity },
      }),
    ),
  );
}
