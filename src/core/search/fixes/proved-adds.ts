import { mouthDistance } from '../../engine/flow';
import { verdictRank } from '../../judge';
import { isCopper, passesOn, type Part } from '../../parts';
import { applyEdit, laidParts, partIn, type Rig, type RigEdit } from '../../rig';
import type { Drawer } from '../drawer';
import { WORTH_A_PART } from '../bother';
import { settle } from '../settings';
import { planGains, type Add, type Aim, type GainPlan } from '../levels';
import { costOfEdit, type EditCost } from './edit-cost';
import { insertsAt, swapsFor } from './with-parts';

/** A part put in, or another distance, for what a plan asks for, with all set anew: as the pipeline judged it. */
export interface ProvedAdd {
  readonly add: Add;
  readonly edits: readonly RigEdit[];
  readonly cost: EditCost;
  /** Nothing of the kind is asked for any more; else it helps, and not enough. */
  readonly enough: boolean;
  readonly peak: number;
  readonly overNoise: number;
}

export interface ProvedAdds {
  readonly proved: readonly ProvedAdd[];
  /** Parts and distances that were tried. */
  readonly tried: number;
  /** There was no more time. */
  readonly cut: boolean;
}

/** Nobody speaks from nearer than this, m. Ours. */
const NEAREST = 0.02;

/** The joints from one part to another by the fewest plugs. */
function jointsBetween(rig: Rig, from: string, to: string): Rig['joints'] {
  const before = new Map<string, Rig['joints'][number]>();
  const seen = new Set([from]);
  for (const queue = [from]; queue.length > 0 && !seen.has(to);) {
    const at = queue.shift();
    for (const joint of rig.joints) {
      const ends = [joint.plug.part, joint.jack.part];
      const next = ends[0] === at ? ends[1] : ends[1] === at ? ends[0] : undefined;
      if (next === undefined || seen.has(next)) continue;
      seen.add(next);
      before.set(next, joint);
      queue.push(next);
    }
  }
  const way: Rig['joints'][number][] = [];
  for (let at = to; at !== from;) {
    const joint = before.get(at);
    if (!joint) return [];
    way.unshift(joint);
    at = joint.plug.part === at ? joint.jack.part : joint.plug.part;
  }
  return way;
}

/** What could change a level between a source and a part: anything but copper, between two plugs or in the place of a lead. */
function partsAhead(rig: Rig, { source, at }: Add): RigEdit[] {
  const joints = jointsBetween(rig, source, at);
  const isMore = (part: Part) => passesOn(part) && !isCopper(part);
  const onWay = new Set(joints.flatMap(({ plug, jack }) => [plug.part, jack.part]));
  const leads = laidParts(rig).filter(({ placed, part }) => onWay.has(placed.id) && isCopper(part));
  const inserted = joints.flatMap((joint) => insertsAt(rig, joint));
  return [
    ...inserted.filter((edit) => edit.kind === 'insert' && isWanted(rig, edit.part, isMore)),
    // In the place of a lead goes another lead: what stands at its ends keeps its distance.
    ...leads.flatMap((lead) => swapsFor(rig, lead, (part) => isMore(part) && part.length !== undefined)),
  ];
}

const isWanted = (rig: Rig, id: string, wanted: (part: Part) => boolean): boolean => {
  const part = partIn(rig, id);
  return part !== undefined && wanted(part);
};

function closer(rig: Rig, { at, decibels }: Add): RigEdit[] {
  const laid = laidParts(rig).find(({ placed }) => placed.id === at);
  const metres =
    laid && mouthDistance(rig, laid.placed.id, laid.part.host !== undefined) * 10 ** (-decibels / 20);
  if (metres === undefined || metres < NEAREST) return [];
  return [{ kind: 'distance', part: at, metres: Math.floor(metres * 100) / 100 }];
}

/** Switches, knobs and choices of apps that stand otherwise in one of two rigs of the same parts. */
function turnedBetween(before: Rig, after: Rig): RigEdit[] {
  return after.parts.flatMap(({ id: part, settings = {}, choices = {} }): RigEdit[] => {
    const stood = before.parts.find(({ id }) => id === part);
    return [
      ...Object.entries(settings)
        .filter(([setting, option]) => stood?.settings?.[setting] !== option)
        .map(([setting, option]) => ({ kind: 'set', part, setting, option }) as const),
      ...Object.entries(choices)
        .filter(([choice, option]) => stood?.choices?.[choice] !== option)
        .map(([choice, option]) => ({ kind: 'choose', part, choice, option }) as const),
    ];
  });
}

interface Figures {
  readonly peak: number;
  readonly overNoise: number;
}

function figuresOf({ outcome }: GainPlan, { source, recorder }: Add): Figures | undefined {
  const arrival = outcome.arrives.find((a) => a.source === source && a.recorder === recorder);
  return arrival?.state === 'recorded'
    ? { peak: arrival.peak, overNoise: arrival.peak - arrival.noise }
    : undefined;
}

const ofChain =
  ({ source, recorder }: Add) =>
  (other: Add): boolean =>
    other.source === source && other.recorder === recorder;

function proved(rig: Rig, plan: GainPlan, add: Add, edit: RigEdit, cost: EditCost): ProvedAdd | undefined {
  const put = applyEdit(rig, edit);
  const set = planGains(settle(put).rig, plan.aim);
  const [now, then] = [figuresOf(plan, add), figuresOf(set, add)];
  if (!then || verdictRank(set.outcome.verdict) > verdictRank(plan.outcome.verdict)) return undefined;
  const enough = !set.adds.some(ofChain(add));
  const nearer = now
    ? Math.abs(now.peak - plan.aim.target) - Math.abs(then.peak - plan.aim.target)
    : Infinity;
  const clearer = now ? then.overNoise - now.overNoise : Infinity;
  // A louder recording that hisses as before is no gain, nor one that hisses more.
  const helps =
    add.why === 'noisy' ? clearer >= WORTH_A_PART : nearer >= WORTH_A_PART && clearer > -WORTH_A_PART;
  if (!enough && !helps) return undefined;
  return { add, edits: [edit, ...turnedBetween(put, set.rig)], cost, enough, ...then };
}

/** For each thing that a plan asks for the lightest that is proved to do it; where none is enough, what helps most. */
export function proveAdds(
  rig: Rig,
  aim: Aim,
  drawer: Drawer,
  spent: () => boolean = () => false,
): ProvedAdds {
  const plan = planGains(rig, aim);
  let [tried, cut] = [0, false];
  const found = plan.adds.flatMap((add): ProvedAdd[] => {
    const edits = add.is === 'closer' ? closer(rig, add) : partsAhead(rig, add);
    const weighed = edits.map((edit) => ({ edit, cost: costOfEdit(rig, edit, drawer) }));
    let best: ProvedAdd | undefined;
    for (const { edit, cost } of weighed.sort((a, b) => a.cost.weight - b.cost.weight)) {
      if (best?.enough) break;
      cut ||= spent();
      if (cut) break;
      tried += 1;
      const one = proved(rig, plan, add, edit, cost);
      if (one && (!best || one.enough || one.overNoise > best.overNoise)) best = one;
    }
    return best ? [best] : [];
  });
  return { proved: found, tried, cut };
}
