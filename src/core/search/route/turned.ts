import { isPassiveLink, type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import type { Joint } from '../../rig';
import { copperOf, nodesOfPort } from '../ends';
import { pieceOf, type Layout, type Piece } from './layout';
import type { RouteRequest } from './request';
import { isBridged, stretchesOf } from './runs';

/** Whether each contact of a part’s ports is one conductor with the same contact of every other: it is all one which is which. */
function isTiedThrough(part: Part): boolean {
  const copper = copperOf(part);
  const of = (port: PartPort) =>
    nodesOfPort(port, part).map(([contact, node]) => `${contact} ${copper(node)}`);
  const all = part.ports.map((port) => of(port).sort().join());
  return new Set(all).size === 1 && all[0] !== '';
}

const kept = new WeakMap<Part, PartPort | null>();

/** The plug of a splitter that shares out what comes to it by any of its ports alike; null where it is none. */
function plugOfSplitter(part: Part): PartPort | null {
  const known = kept.get(part);
  if (known !== undefined) return known;
  const [plug, ...others] = part.ports.filter(({ gender }) => gender === 'plug');
  const sockets = part.ports.filter((port) => port !== plug);
  const isSplitter =
    isPassiveLink(part) &&
    others.length === 0 &&
    sockets.length > 1 &&
    sockets.every((socket) => plug !== undefined && mate(plug, socket).fits) &&
    isTiedThrough(part);
  const found = (isSplitter && plug) || null;
  kept.set(part, found);
  return found;
}

/** A lead with two plugs alike, each contact to the same of the other, as long as its kind is. */
const isStraightLead = ({ part, length }: Piece): boolean =>
  length === undefined &&
  isPassiveLink(part) &&
  part.ports.length === 2 &&
  part.ports.every(({ gender, connector }) => gender === 'plug' && connector === part.ports[0]?.connector) &&
  isTiedThrough(part);

/** The pieces that sources are joined to by whatever does not lead over one of them. */
function aheadOf({ joints, sources }: Layout, piece: string): ReadonlySet<string> {
  const found = new Set(sources);
  for (let grew = true; grew;) {
    grew = false;
    for (const { plug, jack } of joints) {
      if (plug.part === piece || jack.part === piece || found.has(plug.part) === found.has(jack.part))
        continue;
      found.add(plug.part).add(jack.part);
      grew = true;
    }
  }
  return found;
}

/** A splitter whose plug is in what hears: the lead that comes to it from the source, and the joints of both. */
interface Backward {
  readonly behind: Joint;
  readonly ahead: Joint;
}

function backwardAt(layout: Layout, { id, part }: Piece): Backward | undefined {
  const plug = plugOfSplitter(part);
  const behind = plug && layout.joints.find((joint) => joint.plug.part === id && joint.plug.port === plug.id);
  if (!behind) return undefined;
  const ahead = aheadOf(layout, id);
  if (ahead.has(behind.jack.part)) return undefined;
  return layout.joints
    .filter((joint) => joint.jack.part === id && ahead.has(joint.plug.part))
    .flatMap(({ plug: near }): Backward[] => {
      const lead = pieceOf(layout, near.part);
      const far = layout.joints.find(({ plug: end }) => end.part === near.part && end.port !== near.port);
      const isLike = lead?.part.ports[0]?.connector === plug.connector;
      return lead && far && isLike && isStraightLead(lead) ? [{ behind, ahead: far }] : [];
    })[0];
}

/**
 * A layout in which the plug of each splitter is toward its source and the lead behind it, as anybody would plug it (common practice); it
 * conducts and costs the same.
 */
export function turnedToSource(layout: Layout): Layout {
  for (const piece of layout.pieces) {
    const backward = backwardAt(layout, piece);
    if (!backward) continue;
    const { behind, ahead } = backward;
    const joints = layout.joints.map((joint) =>
      joint === behind
        ? { ...joint, jack: ahead.jack }
        : joint === ahead
          ? { ...joint, jack: behind.jack }
          : joint,
    );
    return turnedToSource({ ...layout, joints });
  }
  return layout;
}

/** The same, where what a request wants bridged is bridged even so: the lead behind a splitter no longer leads to all that hangs in it. */
export function turnedWithin(layout: Layout, request: RouteRequest): Layout {
  const turned = turnedToSource(layout);
  return turned === layout || isBridged(turned, stretchesOf(turned, request)) ? turned : layout;
}
