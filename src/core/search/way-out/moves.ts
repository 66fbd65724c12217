import { isSupply, passesOn, supplySockets, type Part } from '../../parts';
import { checkOf } from '../../checks';
import {
  freshId,
  isFree,
  laidParts,
  partIn,
  type LaidPart,
  type PortRef,
  type Rig,
  type RigEdit,
} from '../../rig';
import type { Drawer } from '../drawer';
import { candidatesFor } from '../fixes/candidates';
import { fedOtherwise } from '../fixes/charged';
import { gapsBridgedByTwo, supplyByTwo } from '../fixes/bridgings';
import { costOfEdit, type EditCost } from '../fixes/edit-cost';
import { relocations } from './relocations';
import { additions, additionsAt, insertsAt, swapsFor } from '../fixes/with-parts';
import { planReturns } from '../returns';
import { gainEdits } from '../settings/gains';
import { twinThrows } from '../settings/twins';
import type { Judged } from './judged';

/** Edits that belong together, done one after another. */
export interface Move {
  readonly edits: readonly RigEdit[];
  readonly costs: readonly EditCost[];
  /** Of all its edits. */
  readonly weight: number;
  /** Earlier in the order of work: what is at hand, the drawer, something to buy, what the user came with. */
  readonly turn: number;
  /** It changes the wires: what they then need may follow. */
  readonly rewires: boolean;
}

/** What is at hand comes in the order in which the checks name their cures. */
function turnOf(cost: EditCost): number {
  if (cost.last) return 3;
  if (cost.part !== undefined) return cost.owned ? 1 : 2;
  return 0;
}

const REWIRING: readonly RigEdit['kind'][] = [
  'swap',
  'insert',
  'bridge',
  'add',
  'join',
  'bypass',
  'remove',
  'move',
  'turn',
];

/** A move of one edit. */
export function moveOf(rig: Rig, edit: RigEdit, drawer: Drawer): Move {
  const cost = costOfEdit(rig, edit, drawer);
  return {
    edits: [edit],
    costs: [cost],
    weight: cost.weight,
    turn: turnOf(cost),
    rewires: REWIRING.includes(edit.kind),
  };
}

/** Several edits as one move; costs are those of the rig before it. */
function together(rig: Rig, edits: readonly RigEdit[], drawer: Drawer): Move {
  const each = edits.map((edit) => moveOf(rig, edit, drawer));
  return {
    edits,
    costs: each.flatMap(({ costs }) => costs),
    weight: each.reduce((sum, { weight }) => sum + weight, 0),
    turn: Math.max(...each.map(({ turn }) => turn)),
    rewires: each.some(({ rewires }) => rewires),
  };
}

/** The lightest supply for a part that an edit brings in, in a socket that is free then. */
function supplyFor(rig: Rig, part: Part, placed: string, drawer: Drawer): RigEdit[] {
  const edits = supplySockets(part).flatMap((id) => {
    const port = part.ports.find((one) => one.id === id);
    return port ? additionsAt(rig, { part: placed, port }, isSupply) : [];
  });
  const weighed = edits.map((edit) => ({ edit, weight: costOfEdit(rig, edit, drawer).weight }));
  const [best] = weighed.sort((a, b) => a.weight - b.weight);
  return best ? [best.edit] : [];
}

/** A hub, adapter or box with the charger that it needs. */
function withSupply(rig: Rig, edit: RigEdit, drawer: Drawer): Move[] {
  const id = edit.kind === 'swap' ? edit.to : edit.kind === 'insert' ? edit.part : undefined;
  const part = id === undefined ? undefined : partIn(rig, id);
  if (!part) return [];
  const taken = new Set(rig.parts.map(({ id: placed }) => placed));
  const placed = edit.kind === 'swap' ? edit.part : freshId(part.id, taken);
  return supplyFor(rig, part, placed, drawer).map((supply) => together(rig, [edit, supply], drawer));
}

/** What hands a charge on, with a supply in it: between a battery that does not last and what hangs on it, or in the place of that. */
function carriedThrough({ rig, weighing }: Judged, drawer: Drawer): Move[] {
  const flat = new Set(
    weighing.flatMap(({ code, where }) => (checkOf(code)?.asks === 'last' ? [where.part] : [])),
  );
  if (flat.size === 0) return [];
  const joints = rig.joints.filter(({ plug, jack }) => flat.has(plug.part) || flat.has(jack.part));
  const beside = new Set(joints.flatMap(({ plug, jack }) => [plug.part, jack.part]));
  const edits = [
    ...joints.flatMap((joint) => insertsAt(rig, joint)),
    ...laidParts(rig)
      .filter(({ placed, part }) => beside.has(placed.id) && !flat.has(placed.id) && passesOn(part))
      .flatMap((laid) => swapsFor(rig, laid, passesOn)),
  ];
  return edits.flatMap((edit) => withSupply(rig, edit, drawer));
}

/** The second half of a stereo pair: a lead from a free output into a free input. */
function pairs(rig: Rig, drawer: Drawer): Move[] {
  const taken = new Set(rig.parts.map(({ id }) => id));
  const isLead = (part: Part) => part.length !== undefined && part.ports.length === 2;
  return laidParts(rig)
    .filter(({ placed }) => rig.purpose.sources.includes(placed.id))
    .flatMap((laid) =>
      additions(rig, laid, isLead).flatMap((add) => {
        if (add.kind !== 'add') return [];
        const part = partIn(rig, add.part);
        const other = part?.ports.find(({ id }) => id !== add.port);
        const placed = freshId(add.part, taken);
        if (!part || !other) return [];
        return freeInputs(rig, laid, other.connector, other.gender).map((at) =>
          together(rig, [add, { kind: 'join', a: { part: placed, port: other.id }, b: at }], drawer),
        );
      }),
    );
}

/** Free inputs of other parts for a plug. */
const freeInputs = (rig: Rig, from: LaidPart, connector: string, gender: string): PortRef[] =>
  laidParts(rig)
    .filter(({ placed }) => placed.id !== from.placed.id)
    .flatMap(({ placed, part }) =>
      part.ports
        .filter((port) => port.connector === connector && port.gender !== gender && port.direction === 'in')
        .map((port) => ({ part: placed.id, port: port.id })),
    )
    .filter((ref) => isFree(rig, ref));

/** What the sources are, to be exchanged for their like only. */
const hearsOf = (part: Part): string =>
  part.circuit
    .flatMap((e) => (e.kind === 'signal' ? [e.hears] : e.kind === 'electret' ? ['voice'] : []))
    .join();

/** Another source or recorder in the place of one: what the user came with. */
const exchanges = (rig: Rig): RigEdit[] =>
  laidParts(rig).flatMap((laid) => {
    const { sources, recorders } = rig.purpose;
    if (recorders.includes(laid.placed.id)) return swapsFor(rig, laid, (part) => part.host !== undefined);
    if (!sources.includes(laid.placed.id)) return [];
    return swapsFor(
      rig,
      laid,
      (part) =>
        part.host === undefined && part.family === laid.part.family && hearsOf(part) === hearsOf(laid.part),
    );
  });

/** The sends of a mix-minus, solved together: one thing to do, and the first to be tried. */
function mixMinus(rig: Rig, drawer: Drawer): Move[] {
  const plan = planReturns(rig);
  if (!plan?.proved || plan.edits.length === 0) return [];
  const move = together(rig, plan.edits, drawer);
  return [{ ...move, weight: Math.max(...move.costs.map(({ weight }) => weight)), turn: -1 }];
}

/** Every move that may cure something of what is found, by the checks' own word; none is proved yet. */
export function movesFor(state: Judged, drawer: Drawer): Move[] {
  const { rig, weighing, facts } = state;
  const edits = weighing.flatMap((finding) => {
    const found = candidatesFor(facts, finding);
    const ends = found.knobEnds ? found.knobs.flatMap((knob) => knob.ends.slice(0, 1)) : [];
    const [first, then] = found.knobsFirst ? [ends, found.atHand] : [found.atHand, ends];
    return [...found.named, ...first, ...then, ...found.parts];
  });
  const cures = new Set(weighing.flatMap(({ code }) => checkOf(code)?.cures ?? []));
  const gains = cures.has('gain') ? gainEdits(facts) : [];
  const wiring = edits.filter((edit) => edit.kind === 'swap' || edit.kind === 'insert');
  const needsPower = cures.has('supply') || cures.has('feed');
  const moves = [
    ...(cures.has('mix') ? mixMinus(rig, drawer) : []),
    ...[...edits, ...gains, ...exchanges(rig)].map((edit) => moveOf(rig, edit, drawer)),
    ...(gains.length > 1 ? [together(rig, gains, drawer)] : []),
    ...weighing.flatMap((finding) => twinThrows(facts, finding).map((each) => together(rig, each, drawer))),
    ...weighing.flatMap((finding) =>
      [...gapsBridgedByTwo(rig, finding), ...supplyByTwo(rig, finding)].map((each) =>
        together(rig, each, drawer),
      ),
    ),
    ...(needsPower ? wiring.flatMap((edit) => withSupply(rig, edit, drawer)) : []),
    ...carriedThrough(state, drawer),
    ...(cures.has('pair') ? pairs(rig, drawer) : []),
    ...(cures.has('feeder') ? fedOtherwise(facts, rig).map((each) => together(rig, each, drawer)) : []),
    ...(cures.has('replug')
      ? relocations(rig).map((each) => ({ ...together(rig, each, drawer), rewires: false }))
      : []),
  ];
  return [...new Map(moves.map((move) => [JSON.stringify(move.edits), move])).values()];
}
