import { checkOf, type Cure, type Finding } from '../../checks';
import type { Facts } from '../../engine';
import { isHeadphones, isSupply, isWornToListen, type Part } from '../../parts';
import { ladder, wayThrough } from '../../views';
import { endsOf, joinedTo, jointsOf, laidParts, type LaidPart, type Rig, type RigEdit } from '../../rig';
import { placements, planReturns } from '../returns';
import { bearsOn } from '../settings/bears-on';
import { feedingSwitches } from '../settings/feeding';
import {
  apps,
  byStand,
  choices,
  exchanges,
  gapsClosed,
  knobs,
  looseEnds,
  moves,
  replug,
  settings,
  turns,
  type KnobTrial,
} from './at-hand';
import { gapsBridged, supplyBridged } from './bridgings';
import { unplugged } from './charged';
import { leavesGrounds } from './grounds';
import { additions, bypasses, inserts, swaps, swapsFor } from './with-parts';

/** Placed parts that a fix may touch: the way from the finding's source to its recorder, and the chain that ladder() puts at depth 0. */
function chainOf(rig: Rig, { source, recorder }: Finding): LaidPart[] {
  const own = source !== undefined && recorder !== undefined ? wayThrough(rig, [source, recorder]) : [];
  const spine = ladder(rig).flatMap((rung) => (rung.depth === 0 ? [rung.placed] : []));
  const onChain = new Set([...own, ...spine]);
  return laidParts(rig).filter((laid) => onChain.has(laid.placed.id));
}

/** Some parts and all that hangs on them: a lead of a pair whose other plug lies loose, a splitter on a lead. */
function withHanging(rig: Rig, parts: readonly LaidPart[]): LaidPart[] {
  const ids = new Set(parts.flatMap(({ placed }) => [...joinedTo(rig, placed.id)]));
  return laidParts(rig).filter(({ placed }) => ids.has(placed.id));
}

/** The parts on which a finding lies, on the chain or beside it. */
function concerned(rig: Rig, finding: Finding, chain: readonly LaidPart[]): LaidPart[] {
  const joint = rig.joints.find((j) => j.id === finding.where.joint);
  const named = [finding.where.part, finding.other, finding.recorder, joint?.plug.part, joint?.jack.part];
  const ids = new Set([...chain.map((laid) => laid.placed.id), ...named]);
  return laidParts(rig).filter((laid) => ids.has(laid.placed.id));
}

/** The chain, and what meets at the finding's own joint, though it be beside the chain: a lead to a loudspeaker, an adapter for headphones. */
function linksFor(rig: Rig, finding: Finding, chain: readonly LaidPart[]): LaidPart[] {
  const joint = rig.joints.find((j) => j.id === finding.where.joint);
  const ids = new Set([...chain.map((laid) => laid.placed.id), joint?.plug.part, joint?.jack.part]);
  return laidParts(rig).filter((laid) => ids.has(laid.placed.id));
}

/** Hubs, adapters and interfaces that stand between a starved device and its host have the sockets for more power. */
const withPowered = (rig: Rig, pool: readonly LaidPart[]): LaidPart[] => {
  const ids = new Set(pool.map((laid) => laid.placed.id));
  const others = laidParts(rig).filter(
    ({ placed, part }) => !ids.has(placed.id) && (part.hub !== undefined || part.power !== undefined),
  );
  return [...pool, ...others];
};

/** Parts that an edit touches. */
function touched(rig: Rig, edit: RigEdit): string[] {
  if (edit.kind === 'swap' || edit.kind === 'bypass') return [edit.part];
  const joint = edit.kind === 'insert' ? rig.joints.find((j) => j.id === edit.joint) : undefined;
  return joint ? [joint.plug.part, joint.jack.part] : [];
}

/** Edits at the finding's own joint and part first, then those next to it, then the rest of the chain. */
function byDistance(rig: Rig, finding: Finding, edits: readonly RigEdit[]): RigEdit[] {
  const joint = rig.joints.find((j) => j.id === finding.where.joint);
  const start = [joint?.plug.part, joint?.jack.part, finding.where.part].filter((id) => id !== undefined);
  const away = new Map(start.map((id) => [id, 0]));
  for (const [id, steps] of away) {
    for (const next of jointsOf(rig, id)) {
      const far = endsOf(next, id)?.far.part;
      if (far !== undefined && !away.has(far)) away.set(far, steps + 1);
    }
  }
  const distance = (edit: RigEdit) =>
    Math.min(Infinity, ...touched(rig, edit).map((id) => away.get(id) ?? Infinity));
  return edits
    .map((edit) => ({ edit, steps: distance(edit) }))
    .sort((a, b) => a.steps - b.steps)
    .map(({ edit }) => edit);
}

/** Single edits that might cure a finding, cheapest to do first; nothing is promised until the pipeline has tried them. */
export interface Candidates {
  /** Other places of the very switch that the finding names. */
  readonly named: readonly RigEdit[];
  /** Switches, choices, leads turned round, plugs moved: nothing has to be bought. */
  readonly atHand: readonly RigEdit[];
  readonly knobs: readonly KnobTrial[];
  /** Only the ends of a knob are worth trying: out is out. */
  readonly knobEnds: boolean;
  /** A knob is what most likely cures. */
  readonly knobsFirst: boolean;
  /** Another part, or one part more. */
  readonly parts: readonly RigEdit[];
}

/** Something taken out altogether: what records is what the rig is for. */
const removals = ({ placed, part }: LaidPart): RigEdit[] =>
  part.host ? [] : [{ kind: 'remove', part: placed.id }];

/** Other places of the very switch, of a part or in its app, that a finding names. */
const named = (rig: Rig, finding: Finding): RigEdit[] =>
  laidParts(rig)
    .filter((laid) => laid.placed.id === finding.where.part)
    .flatMap((laid) => [...settings(laid), ...choices(laid)])
    .filter(
      (edit) =>
        (edit.kind === 'set' && edit.setting === finding.setting) ||
        (edit.kind === 'choose' && edit.choice === finding.setting),
    );

/** Chargers and power banks that something hangs on. */
const feeders = (rig: Rig): LaidPart[] =>
  laidParts(rig).filter(({ placed, part }) => isSupply(part) && jointsOf(rig, placed.id).length > 0);

const once = (edits: readonly RigEdit[]): RigEdit[] => [
  ...new Map(edits.map((edit) => [JSON.stringify(edit), edit])).values(),
];

/** Plain headphones; a headset, whose microphone nobody asked for, only where there are none. */
function headphonesFor(rig: Rig, laid: LaidPart): RigEdit[] {
  const plain = additions(rig, laid, isHeadphones);
  return plain.length > 0 ? plain : additions(rig, laid, (part: Part) => isWornToListen(part));
}

/** Another thing in the place of one of the chain, one more between, a box out of the way: next to the finding first. */
function linkEdits(
  rig: Rig,
  finding: Finding,
  chain: readonly LaidPart[],
  powered: readonly LaidPart[],
): RigEdit[] {
  const links = linksFor(rig, finding, chain);
  return byDistance(rig, finding, [
    ...links.flatMap((laid) => swaps(rig, laid)),
    ...inserts(rig, new Set(links.map((laid) => laid.placed.id))),
    ...powered.flatMap((laid) => bypasses(rig, laid)),
  ]);
}

/** What the finding's own check says may cure it, as edits of this rig. */
export function candidatesFor(facts: Facts, finding: Finding): Candidates {
  const { rig } = facts;
  const cures = checkOf(finding.code)?.cures ?? [];
  const bears = bearsOn(facts, finding);
  const may = (...kinds: readonly Cure[]) => kinds.some((kind) => cures.includes(kind));
  const chain = chainOf(rig, finding);
  const pool = concerned(rig, finding, chain);
  const powered = withPowered(rig, pool);
  const links = () => linkEdits(rig, finding, chain, powered);
  const feeds = ({ part }: LaidPart) => {
    const ids = feedingSwitches(part);
    return (id: string) => ids.includes(id);
  };
  return {
    knobs: may('gain', 'send') ? byStand(pool.flatMap(knobs)).filter(({ ends }) => ends.some(bears)) : [],
    knobEnds: may('send') && !may('gain'),
    knobsFirst: cures[0] === 'send' || cures[0] === 'gain',
    named: may('named') ? named(rig, finding) : [],
    atHand: once([
      ...(may('switch') ? powered.flatMap((laid) => settings(laid)).filter(bears) : []),
      ...(may('feed') ? powered.flatMap((laid) => settings(laid, feeds(laid))) : []),
      ...(may('mix') ? (planReturns(rig)?.edits ?? []) : []),
      ...(may('app') ? pool.flatMap(apps) : []),
      ...(may('choice') ? pool.flatMap(choices) : []),
      ...(may('replug') ? pool.filter((laid) => laid.part.ears).flatMap((laid) => replug(rig, laid)) : []),
      ...(may('join') ? gapsClosed(rig, finding) : []),
      ...(may('plug', 'pair', 'loose') ? looseEnds(rig, withHanging(rig, pool)) : []),
      ...(may('exchange') ? pool.flatMap((laid) => exchanges(rig, laid)) : []),
      ...(may('plug') ? [...chain.flatMap(turns), ...pool.flatMap((laid) => moves(rig, laid))] : []),
      ...(may('plug') ? chain.flatMap((laid) => replug(rig, laid)) : []),
      ...(may('place') ? placements(rig, finding) : []),
      ...(may('less') ? pool.flatMap(removals) : []),
      ...(may('feeder') ? unplugged(facts) : []),
    ]),
    parts: [
      ...(may('supply') ? powered.flatMap((laid) => additions(rig, laid, isSupply)) : []),
      ...(may('supply') ? supplyBridged(rig, finding) : []),
      ...(may('feeder')
        ? feeders(rig).flatMap((laid) => [...swapsFor(rig, laid, isSupply), ...removals(laid)])
        : []),
      ...(may('headphones') ? pool.flatMap((laid) => headphonesFor(rig, laid)) : []),
      ...(may('bridge') ? gapsBridged(rig, finding) : []),
      ...(may('link') ? links() : may('parting') ? links().filter((edit) => !leavesGrounds(rig, edit)) : []),
    ],
  };
}
