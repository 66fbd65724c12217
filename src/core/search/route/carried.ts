import { isPlainLink, type Part, type PartPort } from '../../parts';
import { isDigital } from '../ends';
import { withOffshootAt, type Ending, type Stock } from './attach';
import { isTaken, pieceOf, type Layout } from './layout';
import type { PortRef } from '../../rig';

/** The plug or socket by which something is a device of its host. */
const upstreamOf = (part: Part): PartPort | undefined => part.ports.find(({ id }) => id === part.bus?.port);

/** A hub with sockets for a sound device and so many more things. */
export const carriesMore = (part: Part, more: number): boolean =>
  (part.hub?.sockets.filter(({ data }) => data).length ?? 0) > more;

/** Whether so many things more find no port of their own on a host beside the one that records. */
export const needsHub = (host: Part, more: number): boolean =>
  more > 0 && (host.host?.busPorts.filter(({ data }) => data).length ?? 0) <= more;

/** Free sockets of a host, or of hubs that hang on it, that a device could go into; those of the host first. */
function dataSockets(layout: Layout, host: string): PortRef[] {
  const seen = new Set([host]);
  for (const id of seen) {
    for (const { plug, jack } of layout.joints) {
      const far = plug.part === id ? jack : jack.part === id ? plug : undefined;
      const part = far && pieceOf(layout, far.part)?.part;
      if (
        far &&
        part &&
        (part.hub?.upstream === far.port || (isPlainLink(part) && part.ports.every(isDigital)))
      )
        seen.add(far.part);
    }
  }
  return [...seen].flatMap((id) => {
    const part = pieceOf(layout, id)?.part;
    const sockets = part?.host?.busPorts ?? part?.hub?.sockets ?? [];
    return sockets
      .filter(({ data, port }) => data && !isTaken(layout, { part: id, port }))
      .map(({ port }) => ({ part: id, port }));
  });
}

/** Of sockets of one thing that are as good as one another, the first. */
function firstOfAlike(layout: Layout, refs: readonly PortRef[]): PortRef[] {
  const kinds = new Map<string, PortRef>();
  for (const ref of refs) {
    const port = pieceOf(layout, ref.part)?.part.ports.find(({ id }) => id === ref.port);
    const kind = `${ref.part} ${port?.alike ?? ref.port}`;
    if (!kinds.has(kind)) kinds.set(kind, ref);
  }
  return [...kinds.values()];
}

/** How a thing that is carried along is led to a socket: straight, or over a lead or adapter with data. */
const endingFor = (part: Part, port: PartPort): Ending => ({
  what: `carried ${part.id}`,
  leaves: () => [{ part, port }],
  isLink: (link) => isPlainLink(link) && link.ports.every(isDigital),
  contacts: () => ['V', 'D', 'G'],
});

/** The layout with what is carried along plugged into a host or its hub, each in the ways that cost least; none where there is no room. */
export function withCarried(layout: Layout, carried: readonly Part[], stock: Stock): Layout[] {
  const [host] = layout.recorders;
  return carried.reduce<Layout[]>(
    (layouts, part) =>
      layouts.flatMap((one) => {
        const port = upstreamOf(part);
        if (host === undefined || !port) return [];
        return firstOfAlike(one, dataSockets(one, host))
          .flatMap((at) => withOffshootAt(one, at, endingFor(part, port), stock))
          .map(({ layout: grown, leaf }) => ({ ...grown, carried: [...(grown.carried ?? []), leaf] }));
      }),
    [layout],
  );
}
