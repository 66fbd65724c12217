import { allFacts, type Facts } from '../../engine';
import { hearing, isHeard } from '../../engine/hearing';
import { bareOutcomeFrom } from '../../judge';
import { isHeadphones, isPassiveLink, type Part, type PartPort } from '../../parts';
import { mate } from '../../plugs';
import { applyEdit, type PortRef, type Rig } from '../../rig';
import { isDigital, sendsOf, stereoInputs } from '../ends';
import { planReturns } from '../returns';
import { gainEdits, settle, withoutNeedless, type Settled } from '../settings';
import { withHeadphonesAt, type Stock } from './attach';
import { compareCosts, costOf, NOTHING, plus, type Cost } from './inventory';
import { isCaller } from './far-ends';
import { isTaken, pieceOf, withJoint, withPiece, type Layout } from './layout';

/** Ports at which something is heard that a device plays. */
const isListenedAt = (port: PartPort): boolean =>
  !isDigital(port) &&
  (port.direction === 'out' || port.direction === 'both') &&
  Object.values(port.roles ?? {}).includes('left');

const jointsAt = ({ joints }: Layout, id: string) =>
  joints.filter(({ plug, jack }) => plug.part === id || jack.part === id);

/** The pieces between a recorder and the box that is there, the nearest to the recorder first, and the box's port where they end. */
function legOf(layout: Layout, recorder: string, box: string): { pieces: string[]; at: string | undefined } {
  const seen = new Set([recorder]);
  let at: string | undefined;
  for (const id of seen) {
    for (const { plug, jack } of jointsAt(layout, id)) {
      const far = plug.part === id ? jack : plug;
      if (far.part === box) at = far.port;
      else seen.add(far.part);
    }
  }
  return { pieces: [...seen], at };
}

/** A socket on the way to a recorder from which its playback can be led away: at the sound device that it takes, as playback goes there. */
const freeSocket = (layout: Layout, pieces: readonly string[]): PortRef | undefined =>
  (pieces.some((id) => pieceOf(layout, id)?.part.bus?.plays) ? pieces.slice(1) : pieces)
    .flatMap((id) =>
      (pieceOf(layout, id)?.part.ports ?? [])
        .filter((port) => port.gender === 'jack' && isListenedAt(port))
        .map((port) => ({ part: id, port: port.id })),
    )
    .find((ref) => !isTaken(layout, ref));

const byCost = (stock: Stock) => (a: Part, b: Part) =>
  compareCosts(costOf([a], stock.purse), costOf([b], stock.purse));

/** Something put in at the joint of a headset jack that leaves a socket free there: a splitter. */
function withFork(layout: Layout, pieces: readonly string[], stock: Stock): Layout[] {
  return layout.joints.flatMap((joint, index) => {
    if (!pieces.includes(joint.plug.part) || !pieces.includes(joint.jack.part)) return [];
    const port = (ref: PortRef) => pieceOf(layout, ref.part)?.part.ports.find(({ id }) => id === ref.port);
    const [plug, jack] = [port(joint.plug), port(joint.jack)];
    if (!plug || !jack || jack.direction !== 'both' || !isListenedAt(jack)) return [];
    return stock.parts
      .filter((part) => isPassiveLink(part) && part.ports.length > 2)
      .sort(byCost(stock))
      .flatMap((part) => {
        const near = part.ports.find((one) => one.gender === 'plug' && mate(one, jack).fits);
        // As many bands as the plug has: what it gives comes through.
        const mic = part.ports.find(
          (one) =>
            one !== near &&
            one.direction !== 'out' &&
            one.connector === plug.connector &&
            mate(one, plug).fits,
        );
        const ears = part.ports.some((one) => one !== near && one !== mic && isListenedAt(one));
        if (!near || !mic || !ears) return [];
        const rest = layout.joints.filter((_, n) => n !== index);
        const added = withPiece(
          { ...layout, joints: rest.map((one, n) => ({ ...one, id: `j${n + 1}` })) },
          part,
        );
        const below = withJoint(added.layout, { part: added.id, port: near.id }, joint.jack);
        return [withJoint(below, joint.plug, { part: added.id, port: mic.id })];
      })
      .slice(0, MOST_FORKS);
  });
}

/** So many kinds of splitter, and of leads back, are tried at one place, the cheapest first. */
const MOST_FORKS = 2;

/** A lead from a socket into both sides of a stereo channel. */
function withLeadBack(
  layout: Layout,
  at: PortRef,
  box: string,
  [left, right]: readonly [PartPort, PartPort],
  stock: Stock,
): Layout[] {
  const from = pieceOf(layout, at.part)?.part.ports.find(({ id }) => id === at.port);
  if (!from) return [];
  return stock.parts
    .filter((part) => isLeadInto(part, [left, right]))
    .sort(byCost(stock))
    .flatMap((part) => {
      const near = part.ports.find((port) => mate(port, from).fits);
      const [one, other] = part.ports.filter((port) => port !== near);
      if (!near || !one || !other || !mate(one, left).fits || !mate(other, right).fits) return [];
      const added = withPiece(layout, part);
      const joined = withJoint(added.layout, at, { part: added.id, port: near.id });
      const half = withJoint(joined, { part: added.id, port: one.id }, { part: box, port: left.id });
      return [withJoint(half, { part: added.id, port: other.id }, { part: box, port: right.id })];
    })
    .slice(0, 1);
}

/** The least that ways back for so many callers cost, and ears at the box. */
export function leastForCallers(box: Part, callers: number, { parts, purse }: Stock): Cost {
  const least = (costs: readonly Cost[]): Cost => [...costs].sort(compareCosts)[0] ?? NOTHING;
  const ears = least(parts.filter(isHeadphones).map((part) => costOf([part], purse)));
  // A socket that goes both ways needs no lead back.
  if (box.ports.some(({ id, direction }) => direction === 'both' && sendsOf(box).has(id))) return ears;
  const [pair] = stereoInputs(box);
  const leads = parts.filter((part) => pair && isLeadInto(part, pair));
  const back = least(leads.map((part) => costOf(new Array<Part>(callers).fill(part), purse)));
  return plus(ears, back);
}

/** Copper with three ends, two of which go into both sides of a stereo channel. */
const isLeadInto = (part: Part, [left, right]: readonly [PartPort, PartPort]): boolean =>
  isPassiveLink(part) &&
  part.ports.length === 3 &&
  part.ports.filter((port) => mate(port, left).fits && mate(port, right).fits).length >= 2;

/** One caller's way back into the box; the layout as it is where the socket that leads there goes both ways. */
function withWayBack(layout: Layout, recorder: string, box: string, stock: Stock): Layout[] {
  const part = pieceOf(layout, box)?.part;
  const leg = legOf(layout, recorder, box);
  const socket = part?.ports.find(({ id }) => id === leg.at);
  if (!part || !socket) return [];
  if (socket.direction === 'both') return [layout];
  const free = stereoInputs(part).findLast((pair) =>
    pair.every(({ id }) => !isTaken(layout, { part: box, port: id })),
  );
  if (!free) return [];
  const begun = freeSocket(layout, leg.pieces) ? [layout] : withFork(layout, leg.pieces, stock);
  return begun.flatMap((one) => {
    const at = freeSocket(one, legOf(one, recorder, box).pieces);
    return at ? withLeadBack(one, at, box, free, stock) : [];
  });
}

/** Ears at the box: who sits there hears the callers. */
function withEars(layout: Layout, box: string, stock: Stock): Layout[] {
  if (layout.pieces.some(({ part }) => isHeadphones(part))) return [layout];
  const ports = pieceOf(layout, box)?.part.ports ?? [];
  const [socket] = ports.filter((port) => port.direction === 'out' && isListenedAt(port));
  return socket ? withHeadphonesAt(layout, { part: box, port: socket.id }, stock) : [];
}

/** Every caller's way back into the box that is there, and ears at it. */
export function withCallers(layout: Layout, stock: Stock): Layout[] {
  const box = layout.given;
  if (box === undefined) return [];
  const back = layout.recorders
    .filter((id) => {
      const piece = pieceOf(layout, id);
      return piece !== undefined && isCaller(piece);
    })
    .reduce<Layout[]>((layouts, id) => layouts.flatMap((one) => withWayBack(one, id, box, stock)), [layout]);
  return back.flatMap((one) => withEars(one, box, stock));
}

/** Settings of a call-in: first what brings the sources up, then the sends, as a mix-minus wants them, then the rest. */
export function settleCallIn(begun: Rig): Settled {
  const sends = (rig: Rig): Rig => (planReturns(rig)?.edits ?? []).reduce(applyEdit, rig);
  const raised = gainEdits(allFacts(begun)[0]).reduce(applyEdit, begun);
  const settled = settle(sends(raised));
  const rig = sends(settled.rig);
  const facts = allFacts(rig);
  const sent =
    rig === settled.rig
      ? settled
      : { rig, facts: facts[0], judged: bareOutcomeFrom(facts), runs: settled.runs + 1 };
  return withoutNeedless(begun, sent, isCallIn);
}

/** Whether every caller hears everyone but themself, and somebody at the box hears every caller. */
export function isCallIn(facts: Facts): boolean {
  const { hearers, speakers, cells } = hearing(facts);
  const callers = speakers.filter(({ is }) => is === 'caller').map(({ id }) => id);
  const ears = hearers.filter(({ is }) => is === 'ears').map(({ id }) => id);
  const amongCallers = cells.filter(({ listener }) => callers.includes(listener));
  return (
    amongCallers.every((cell) => isHeard(cell) === (cell.listener !== cell.voice)) &&
    callers.every((voice) =>
      cells.some((cell) => ears.includes(cell.listener) && cell.voice === voice && isHeard(cell)),
    )
  );
}
