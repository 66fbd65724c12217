import { mate } from '../../plugs';
import { isPassiveLink, isSupply, type Part, type PartPort } from '../../parts';
import { isDigital } from '../ends';

/** Ports of a part at which it gives power: outlets of a supply, ports of a phone or computer, sockets of a hub. */
const feedingPorts = (part: Part): readonly PartPort[] =>
  isSupply(part) || part.host || part.hub ? part.ports : [];

/** What carries power on from port to port: leads and adapters of data, with whatever else they do. */
const carriesPower = (part: Part): boolean =>
  isPassiveLink(part) || (part.ports.length > 1 && part.ports.every(isDigital));

/**
 * Those of some parts whose stages may have power at all, whatever is plugged where: from a battery or the mains, or by a port into which
 * something that feeds can be led. An interface for a bus that nothing here has stays dark in every layout.
 */
export function powerable(parts: readonly Part[], others: readonly Part[]): readonly Part[] {
  const all = [...parts, ...others];
  // One of each kind of plug and socket will do.
  const fed = new Map<string, PartPort>();
  const feed = (ports: readonly PartPort[]): void => {
    for (const port of ports) fed.set(`${port.connector} ${port.gender}`, port);
  };
  feed(all.flatMap(feedingPorts));
  const reaches = (port: PartPort): boolean => [...fed.values()].some((one) => mate(one, port).fits);
  const waiting = new Set(all.filter(carriesPower));
  for (let grew = true; grew;) {
    grew = false;
    for (const part of waiting) {
      if (!part.ports.some(reaches)) continue;
      waiting.delete(part);
      feed(part.ports);
      grew = true;
    }
  }
  const isFed = ({ power, ports }: Part): boolean =>
    power === undefined ||
    power.some(
      (source) => !('port' in source) || ports.some((port) => port.id === source.port && reaches(port)),
    );
  return parts.filter(isFed);
}
