import { isCopper, isPassiveLink, isPlainLink, type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import type { Joint } from '../../rig';
import { copperOf, nodesOfPort } from '../ends';
import { withJoint, withPiece, pieceOf, type Layout } from './layout';
import { isPassive, waysThrough, type Spot } from './ways';

/** Whether no copper leads from one of two ports of a part to the other. */
function partsCopper(part: Part): boolean {
  const copper = copperOf(part);
  const [here = [], there = []] = part.ports.map((port) =>
    nodesOfPort(port, part).map(([, node]) => copper(node)),
  );
  return !here.some((node) => there.includes(node));
}

/** The contacts that a spot names. */
const contactsAt = (spot: Spot): string => spot.split(' ').at(-1) ?? '';

/** Whether what comes between two contacts goes on between the same, whatever else it does. */
function keepsItsContacts(part: Part, { connector }: PartPort): boolean {
  const ways = waysThrough(part, { connector, gender: 'plug' });
  const isKept = (from: Spot) =>
    ways.some((way) => way.from === from && contactsAt(way.to) === contactsAt(from));
  return ways.length > 0 && ways.every(({ from }) => isKept(from));
}

/** Its windings, of which there are some, are as many turns on either side. */
function isOneToOne({ circuit }: Part): boolean {
  const ratios = circuit.flatMap((element) => (element.kind === 'transformer' ? [element.ratio] : []));
  return ratios.length > 0 && ratios.every((ratio) => Math.abs(ratio) === 1);
}

const known = new WeakMap<Part, boolean>();

/**
 * A transformer that leaves all but the grounds as they were: both ends of one kind, one to one, and what comes between two contacts goes
 * on between the same. What is clean with it and would not be without it is what hums.
 */
export function isSlipIn(part: Part): boolean {
  const before = known.get(part);
  if (before !== undefined) return before;
  const [one, other] = part.ports;
  const found =
    one !== undefined &&
    one.connector === other?.connector &&
    isPlainLink(part) &&
    isPassive(part) &&
    partsCopper(part) &&
    isOneToOne(part) &&
    keepsItsContacts(part, one);
  known.set(part, found);
  return found;
}

const pads = new WeakMap<Part, boolean>();

/** A pad that goes into a joint as it is: a socket and a plug of one kind, resistors on the way, and each contact goes on where it was. */
export function isPadInLine(part: Part): boolean {
  const before = pads.get(part);
  if (before !== undefined) return before;
  const [one, other] = part.ports;
  const copper = copperOf(part);
  const beyond = other ? nodesOfPort(other, part).map(([, node]) => copper(node)) : [];
  const found =
    one !== undefined &&
    part.ports.length === 2 &&
    one.connector === other?.connector &&
    one.gender !== other.gender &&
    isPassiveLink(part) &&
    nodesOfPort(one, part).some(([, node]) => !beyond.includes(copper(node))) &&
    keepsItsContacts(part, one);
  pads.set(part, found);
  return found;
}

const portOf = (layout: Layout, at: Joint['plug']): PartPort | undefined =>
  pieceOf(layout, at.part)?.part.ports.find(({ id }) => id === at.port);

const isOne = (layout: Layout, { part }: Joint['plug']): boolean => {
  const piece = pieceOf(layout, part);
  return piece !== undefined && isSlipIn(piece.part);
};

/** Leads with two plugs of which one goes into a socket and the other into another. */
const leadsBetween = (parts: readonly Part[], from: PartPort, to: PartPort) =>
  parts
    .filter((part) => isCopper(part) && part.ports.every(({ gender }) => gender === 'plug'))
    .flatMap((part) => {
      const near = part.ports.find((port) => port.connector === from.connector && mate(port, from).fits);
      const far = part.ports.find((port) => port !== near && mate(port, to).fits);
      return near && far ? [{ part, near, far }] : [];
    })
    .sort((a, b) => a.part.price - b.part.price);

/** Of the leads that could lead on from such a box the cheapest may carry one leg of two. */
const MOST_LEADS = 2;

/** The layout with a transformer in one of its joints: with a plug of its own it goes in as it is, with two sockets a lead leads on. */
function putInto(layout: Layout, joint: Joint, part: Part, parts: readonly Part[]): Layout[] {
  const into = part.ports.find(({ gender }) => gender === 'jack');
  const out = part.ports.find((port) => port !== into);
  const [plug, jack] = [portOf(layout, joint.plug), portOf(layout, joint.jack)];
  if (!into || !out || !plug || !jack || plug.connector !== into.connector) return [];
  const { layout: grown, id } = withPiece(layout, part);
  const joints = grown.joints.map((one) =>
    one === joint ? { ...one, jack: { part: id, port: into.id } } : one,
  );
  const at = { part: id, port: out.id };
  if (out.gender === 'plug') return [withJoint({ ...grown, joints }, at, joint.jack)];
  return leadsBetween(parts, out, jack)
    .slice(0, MOST_LEADS)
    .map((lead) => {
      const longer = withPiece({ ...grown, joints }, lead.part);
      const led = withJoint(longer.layout, { part: longer.id, port: lead.near.id }, at);
      return withJoint(led, { part: longer.id, port: lead.far.id }, joint.jack);
    });
}

/** The layout with such a transformer in one of its joints, at each where it fits; no second one behind it, and no more of them than ways. */
export function withSlipIn(layout: Layout, parts: readonly Part[]): Layout[] {
  const there = layout.pieces.filter(({ part }) => isSlipIn(part)).length;
  if (there >= layout.sources.length + layout.recorders.length - 1) return [];
  return parts
    .filter(isSlipIn)
    .flatMap((part) =>
      layout.joints
        .filter(({ plug, jack }) => !isOne(layout, plug) && !isOne(layout, jack))
        .flatMap((joint) => putInto(layout, joint, part, parts)),
    );
}

/** The layout with a pad ahead of a socket of one of these pieces; no second one behind another. */
export function withPadAt(layout: Layout, ids: readonly string[], parts: readonly Part[]): Layout[] {
  const isPadded = ({ plug }: Joint): boolean => {
    const piece = pieceOf(layout, plug.part);
    return piece !== undefined && isPadInLine(piece.part);
  };
  return layout.joints
    .filter((joint) => ids.includes(joint.jack.part) && !isPadded(joint))
    .flatMap((joint) => parts.filter(isPadInLine).flatMap((part) => putInto(layout, joint, part, parts)));
}
