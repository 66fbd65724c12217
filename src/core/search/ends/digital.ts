import { contactsOf, type Contact } from '../../plugs';
import type { Feeds, Part, PartPort } from '../../parts';
import { matingOf } from './classes';
import { copperOf } from './conducts';
import { isDigital, type Digital, type OpenEnd } from './end';
import { rangeOf } from './part-net';
import { nodesOfPort } from './passage';

function endOf(part: Part, port: PartPort, digital: Digital): OpenEnd {
  const { device, lines, authenticated, hubs, draws, from } = digital;
  const state = `${port.connector} ${port.gender} ${device.id} ${[...lines].sort().join('')} ${authenticated} ${hubs} ${draws} < ${from}`;
  return { part, port, digital, state };
}

const most = (feeds: Feeds, part: Part, supplied: boolean): number => {
  const quantity =
    typeof feeds === 'object' && 'supplied' in feeds ? (supplied ? feeds.supplied : feeds.bare) : feeds;
  return typeof quantity === 'object' && 'typical' in quantity ? quantity.most : rangeOf(quantity, part).most;
};

/** What a device declares at the least; nothing where something else can feed it. */
function leastDraw(part: Part): number {
  const { bus, power = [] } = part;
  const feedsItself = power.some((source) => !('port' in source && source.port === bus?.port));
  return !bus || feedsItself ? 0 : rangeOf(bus.draw, part).least;
}

/** The digital plug of a sound device. `peak`: of what it converts, dBFS with every knob at the most. */
export const digitalEnd = (part: Part, port: PartPort, peak: number, from = ''): OpenEnd =>
  endOf(part, port, {
    device: part,
    lines: new Set(linesOf(port)),
    authenticated: part.bus?.authenticated ?? false,
    hubs: 0,
    draws: leastDraw(part),
    peak,
    from,
  });

/** Every line of a port with electronics behind it. */
const linesOf = ({ connector }: PartPort): readonly Contact[] => contactsOf(connector);

/** The lines of an end that go on into a port which it is joined to. */
export function linesInto(end: OpenEnd, port: PartPort): ReadonlySet<Contact> | undefined {
  const mating = matingOf(end.port, port);
  if (!mating.fits || !end.digital) return undefined;
  const { lines } = end.digital;
  return new Set(mating.touches.flatMap(({ jack, plug }) => (lines.has(jack) && plug[0] ? [plug[0]] : [])));
}

/** Supply and data are whole. */
export const isWhole = (lines: ReadonlySet<Contact>): boolean => lines.has('V') && lines.has('D');

/** Digital lines go on through leads contact by contact, and through hubs and adapters toward the host. */
export function digitalExits(part: Part, entry: PartPort, end: OpenEnd): OpenEnd[] {
  const { digital } = end;
  const lines = linesInto(end, entry);
  if (!digital || !lines || !isWhole(lines)) return [];
  if (part.hub) {
    const { upstream, sockets, authenticated, supplied, ownDraw } = part.hub;
    const socket = sockets.find((s) => s.port === entry.id && s.data);
    const port = part.ports.find(({ id }) => id === upstream);
    if (!socket || !port) return [];
    const bare = digital.draws <= most(socket.feeds, part, false);
    if (!bare && !(supplied && digital.draws <= most(socket.feeds, part, true))) return [];
    return [
      endOf(part, port, {
        ...digital,
        lines: new Set(linesOf(port)),
        authenticated: digital.authenticated || authenticated,
        hubs: digital.hubs + 1,
        // What its own supply feeds, its host need not.
        draws: bare && !supplied ? digital.draws + ownDraw : 0,
      }),
    ];
  }
  if (part.bus || part.host) return [];
  const copper = copperOf(part);
  const live = new Set(nodesOfPort(entry, part).flatMap(([c, node]) => (lines.has(c) ? [copper(node)] : [])));
  return part.ports.flatMap((port): OpenEnd[] => {
    if (port === entry || !isDigital(port)) return [];
    const through = new Set(
      nodesOfPort(port, part).flatMap(([contact, node]) => (live.has(copper(node)) ? [contact] : [])),
    );
    return isWhole(through) ? [endOf(part, port, { ...digital, lines: through })] : [];
  });
}

/** What a digital port of a host makes of a device that comes to it. */
export function hostTakes(host: Part, port: PartPort, end: OpenEnd): boolean {
  const { digital } = end;
  const lines = linesInto(end, port);
  const socket = host.host?.busPorts.find((one) => one.port === port.id && one.data);
  if (!digital || !lines || !socket || !isWhole(lines)) return false;
  const { device, authenticated, hubs, draws } = digital;
  if (draws > most(socket.feeds, host, false)) return false;
  const { bus } = device;
  if (!bus || bus.registersAs === 'power' || bus.registersAs === 'other') return false;
  if (bus.registersAs === 'analogue' && (!socket.analogue || hubs > 0)) return false;
  return !socket.wantsAuthentication || authenticated || bus.worksIn !== undefined;
}
