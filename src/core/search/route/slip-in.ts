import { isPlainLink, type Part } from '../../parts';
import { copperOf, nodesOfPort } from '../ends';
import { withJoint, withPiece, pieceOf, type Layout } from './layout';
import { isPassive, waysThrough } from './ways';

/** Whether no copper leads from one of two ports of a part to the other. */
function partsCopper(part: Part): boolean {
  const copper = copperOf(part);
  const [here = [], there = []] = part.ports.map((port) =>
    nodesOfPort(port, part).map(([, node]) => copper(node)),
  );
  return !here.some((node) => there.includes(node));
}

const known = new WeakMap<Part, boolean>();

/**
 * A transformer that goes into a joint as it is and leaves all but the grounds as they were: a plug and a socket of one kind, one to one,
 * and what comes between two contacts goes on between the same. What is clean with it and would not be without it is what hums.
 */
export function isSlipIn(part: Part): boolean {
  const before = known.get(part);
  if (before !== undefined) return before;
  const [one, other] = part.ports;
  const found =
    one !== undefined &&
    other !== undefined &&
    one.connector === other.connector &&
    one.gender !== other.gender &&
    isPlainLink(part) &&
    isPassive(part) &&
    partsCopper(part) &&
    part.circuit.every((e) => e.kind !== 'transformer' || Math.abs(e.ratio) === 1) &&
    keepsItsContacts(part, one.connector);
  known.set(part, found);
  return found;
}

/** Whether what comes to a socket by the plug that belongs there goes on where it was. */
function keepsItsContacts(part: Part, connector: Part['ports'][number]['connector']): boolean {
  const ways = waysThrough(part, { connector, gender: 'plug' });
  return ways.length > 0 && ways.every(({ from }) => ways.some((way) => way.from === from && way.to === from));
}

const isIn = (layout: Layout, id: string): boolean => {
  const part = pieceOf(layout, id)?.part;
  return part !== undefined && isSlipIn(part);
};

/** The layout with such a transformer in one of its joints, at each where it fits; no second one behind it, and no more than one a source and a recorder. */
export function withSlipIn(layout: Layout, parts: readonly Part[]): Layout[] {
  const there = layout.pieces.filter(({ part }) => isSlipIn(part)).length;
  if (there >= layout.sources.length + layout.recorders.length - 1) return [];
  return parts.filter(isSlipIn).flatMap((part) => {
    const [jack, plug] = ['jack', 'plug'].map((gender) => part.ports.find((port) => port.gender === gender));
    if (!jack || !plug) return [];
    return layout.joints.flatMap((joint) => {
      if (isIn(layout, joint.plug.part) || isIn(layout, joint.jack.part)) return [];
      const [inner, outer] = [joint.plug, joint.jack].map((at) =>
        pieceOf(layout, at.part)?.part.ports.find(({ id }) => id === at.port),
      );
      if (inner?.connector !== jack.connector && outer?.connector !== plug.connector) return [];
      const { layout: grown, id } = withPiece(layout, part);
      const joints = grown.joints.map((one) =>
        one === joint ? { ...one, jack: { part: id, port: jack.id } } : one,
      );
      return [withJoint({ ...grown, joints }, { part: id, port: plug.id }, joint.jack)];
    });
  });
}
