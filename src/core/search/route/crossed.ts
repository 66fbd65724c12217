import { isPassiveLink, type PartPort } from '../../parts';
import type { Joint, PortRef } from '../../rig';
import { pieceOf, type Layout, type Piece } from './layout';

/** What a plug of a lead is in: the lead, its own end, and the end that it meets. */
interface Plugged {
  readonly joint: Joint;
  readonly lead: Piece;
  readonly own: PartPort;
  readonly box: Piece;
  readonly socket: PartPort;
}

const portAt = (piece: Piece | undefined, { port }: PortRef): PartPort | undefined =>
  piece?.part.ports.find(({ id }) => id === port);

function pluggedIn(layout: Layout): readonly Plugged[] {
  return layout.joints.flatMap((joint) =>
    [[joint.plug, joint.jack] as const, [joint.jack, joint.plug] as const].flatMap(
      ([near, far]): Plugged[] => {
        const [lead, box] = [pieceOf(layout, near.part), pieceOf(layout, far.part)];
        const [own, socket] = [portAt(lead, near), portAt(box, far)];
        if (!lead || !box || !own || !socket || !isPassiveLink(lead.part) || isPassiveLink(box.part))
          return [];
        return [{ joint, lead, own, box, socket }];
      },
    ),
  );
}

const isAlike = (one: PartPort, other: PartPort): boolean =>
  one.connector === other.connector && one.gender === other.gender && one.direction === other.direction;

/** Negative where one port of a part stands before another of its kind; 0 where they are not of one kind. */
const order = ({ part }: Piece, one: PartPort, other: PartPort): number =>
  isAlike(one, other) ? part.ports.indexOf(one) - part.ports.indexOf(other) : 0;

/** Whether two plugs are in one another's sockets: of one lead, or of two alike between two boxes. */
function areCrossed(all: readonly Plugged[], one: Plugged, other: Plugged): boolean {
  if (one.box !== other.box) return false;
  const there = order(one.box, one.socket, other.socket);
  if (one.lead === other.lead) return order(one.lead, one.own, other.own) * there < 0;
  if (one.lead.part !== other.lead.part || one.own.id !== other.own.id) return false;
  const farOf = (mine: Plugged) =>
    all.find((far) => far.lead === mine.lead && far.own !== mine.own && far.box !== mine.box);
  const [a, b] = [farOf(one), farOf(other)];
  return (
    a !== undefined && b !== undefined && a.box === b.box && order(a.box, a.socket, b.socket) * there < 0
  );
}

/** Puts each of two plugs where the other is. */
function exchanged(
  layout: Layout,
  { joint: a, box, socket: x }: Plugged,
  { joint: b, socket: y }: Plugged,
): Layout {
  const at = (ref: PortRef, to: PartPort): PortRef => (ref.part === box.id ? { ...ref, port: to.id } : ref);
  const joints = layout.joints.map((joint) => {
    const to = joint === a ? y : joint === b ? x : undefined;
    return to ? { ...joint, plug: at(joint.plug, to), jack: at(joint.jack, to) } : joint;
  });
  return { ...layout, joints };
}

/**
 * A layout as anybody would plug it: of a lead with two plugs alike the first is in the first of two sockets, and two leads alike between two
 * boxes do not lie crosswise. It costs the same; where sides are exchanged by it the check of that tells (repairs.ts). The ports of a part are
 * listed from left to right.
 */
export function straightened(layout: Layout, most = layout.joints.length): Layout {
  const all = most > 0 ? pluggedIn(layout) : [];
  for (const [index, one] of all.entries()) {
    const other = all.slice(index + 1).find((next) => areCrossed(all, one, next));
    if (other) return straightened(exchanged(layout, one, other), most - 1);
  }
  return layout;
}
