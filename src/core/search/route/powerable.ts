import { mate } from '../../plugs';
import { isPassiveLink, isSupply, type Part, type PartPort } from '../../parts';
import { isDigital } from '../ends';

const kindOf = ({ connector, gender }: PartPort): string => `${connector} ${gender}`;

const carriers = new WeakMap<Part, boolean>();

const ends = new WeakMap<readonly PartPort[], string>();

/** What kinds of plugs and sockets these are, in short. */
function endsOf(ports: readonly PartPort[]): string {
  const known = ends.get(ports) ?? ports.map(kindOf).join();
  ends.set(ports, known);
  return known;
}

/** Ports of a part at which it gives power: outlets of a supply, ports of a phone or computer, sockets of a hub. */
const feedingPorts = (part: Part): readonly PartPort[] =>
  isSupply(part) || part.host || part.hub ? part.ports : [];

/** What carries power on from port to port: leads and adapters of data, with whatever else they do. */
function carriesPower(part: Part): boolean {
  const known =
    carriers.get(part) ?? (isPassiveLink(part) || (part.ports.length > 1 && part.ports.every(isDigital)));
  carriers.set(part, known);
  return known;
}

/**
 * Those of some parts whose stages may have power at all, whatever is plugged where: from a battery or the mains, or by a port into which
 * something that feeds can be led. An interface for a bus that nothing here has stays dark in every layout.
 */
export function powerable(parts: readonly Part[], others: readonly Part[]): readonly Part[] {
  const all = [...parts, ...others];
  // One of each kind of plug and socket will do.
  const fed = new Map<string, PartPort>();
  const feed = (ports: readonly PartPort[]): void => {
    for (const port of ports) fed.set(kindOf(port), port);
  };
  for (const part of all) feed(feedingPorts(part));
  const reaches = (port: PartPort): boolean => [...fed.values()].some((one) => mate(one, port).fits);
  // Of leads that have the same ends one will do as well.
  const waiting = new Map(all.filter(carriesPower).map(({ ports }) => [endsOf(ports), ports]));
  for (let grew = true; grew;) {
    grew = false;
    for (const [ends, ports] of waiting) {
      if (!ports.some(reaches)) continue;
      waiting.delete(ends);
      feed(ports);
      grew = true;
    }
  }
  // Nothing more is fed from here on: a kind of socket is asked about once.
  const known = new Map<string, boolean>();
  const isReached = (port: PartPort): boolean => {
    const found = known.get(kindOf(port)) ?? reaches(port);
    known.set(kindOf(port), found);
    return found;
  };
  const isFed = ({ power, ports }: Part): boolean =>
    power === undefined ||
    power.some(
      (source) => !('port' in source) || ports.some((port) => port.id === source.port && isReached(port)),
    );
  return parts.filter(isFed);
}
