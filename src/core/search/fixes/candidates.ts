import { checkOf, type Cure, type Finding } from '../../checks';
import { appOf } from '../../engine/flow';
import { APPS, DEFAULT_APP } from '../../apps';
import { isTurnable, type Part, type PartSetting, isSupply, isWornToListen } from '../../parts';
import { mate } from '../../plugs';
import { ladder } from '../../views';
import {
  choiceOf,
  endsOf,
  jointAt,
  jointsOf,
  laidParts,
  matchPorts,
  partsFor,
  portOf,
  settingOf,
  swapEdits,
  type LaidPart,
  type Rig,
  type RigEdit,
  type SettingValue,
} from '../../rig';
import { feedingSwitches } from '../settings/feeding';

/** Placed parts that a fix may touch: the chain from source to recorder, which ladder() puts at depth 0. */
function chainOf(rig: Rig): LaidPart[] {
  const onChain = new Set(ladder(rig).flatMap((rung) => (rung.depth === 0 ? [rung.placed] : [])));
  return laidParts(rig).filter((laid) => onChain.has(laid.placed.id));
}

const isLink = (part: Part): boolean => !part.host && part.ports.some((port) => port.direction === 'through');
const isLinkOrDongle = (part: Part): boolean => isLink(part) || part.bus !== undefined;

function swaps(rig: Rig, laid: LaidPart): RigEdit[] {
  if (!isLinkOrDongle(laid.part)) return [];
  return partsFor(rig)
    .filter((part) => isLinkOrDongle(part) && part.id !== laid.part.id)
    .flatMap((part) => swapEdits(rig, laid.placed.id, part));
}

function turns(laid: LaidPart): RigEdit[] {
  return isTurnable(laid.part) ? [{ kind: 'turn', part: laid.placed.id }] : [];
}

/** How many places of a knob are tried over its whole range. */
const KNOB_TRIALS = 12;

/** Places of a knob, those next to where it stands first. */
function knobPlaces(setting: Extract<PartSetting, { kind: 'knob' }>, stands: number): number[] {
  const wide = (setting.to - setting.from) / KNOB_TRIALS;
  const step = Math.max(1, Math.round(wide / setting.step)) * setting.step;
  const count = Math.floor((setting.to - setting.from) / step) + 1;
  return Array.from({ length: count }, (_, index) => setting.from + index * step)
    .filter((place) => place !== stands)
    .sort((x, y) => Math.abs(x - stands) - Math.abs(y - stands));
}

const optionsOf = (setting: PartSetting): readonly SettingValue[] =>
  setting.kind === 'switch' ? setting.options.map((option) => option.id) : [];

/** A knob that could be turned: its ends tell whether it matters, its places are tried in order. */
export interface KnobTrial {
  readonly ends: readonly RigEdit[];
  readonly places: readonly RigEdit[];
}

function knobs(laid: LaidPart): KnobTrial[] {
  return (laid.part.settings ?? []).flatMap((setting): KnobTrial[] => {
    if (setting.kind !== 'knob') return [];
    const stands = Number(settingOf(laid, setting.id));
    const to = (option: number): RigEdit => ({
      kind: 'set',
      part: laid.placed.id,
      setting: setting.id,
      option,
    });
    const ends = [setting.from, setting.to].filter((place) => place !== stands);
    return [{ ends: ends.map(to), places: knobPlaces(setting, stands).map(to) }];
  });
}

/** Every other choice in the app of a host. */
function choices(laid: LaidPart): RigEdit[] {
  return (appOf(laid)?.choices ?? []).flatMap((choice) =>
    optionsOf(choice)
      .filter((option) => option !== choiceOf(laid.placed, choice.id))
      .map((option) => ({ kind: 'choose', part: laid.placed.id, choice: choice.id, option }) as const),
  );
}

/** Things that go into a free socket or onto a free plug of a part. */
function additions(rig: Rig, laid: LaidPart, isWanted: (part: Part) => boolean): RigEdit[] {
  const free = laid.part.ports.filter((port) => !jointAt(rig, { part: laid.placed.id, port: port.id }));
  return free.flatMap((port) =>
    partsFor(rig)
      .filter(isWanted)
      .flatMap((part) =>
        matchPorts(part, [port]).flatMap(([own]) =>
          own === undefined
            ? []
            : [
                {
                  kind: 'add',
                  part: part.id,
                  port: own,
                  at: { part: laid.placed.id, port: port.id },
                } as const,
              ],
        ),
      ),
  );
}

/** Every other free port of the rig into which the plug of a misplaced part also goes. */
function replug(rig: Rig, laid: LaidPart): RigEdit[] {
  return jointsOf(rig, laid.placed.id).flatMap((joint) => {
    const ends = endsOf(joint, laid.placed.id);
    const near = ends && portOf(rig, ends.near);
    if (!near) return [];
    return laidParts(rig).flatMap((other) =>
      other.part.ports
        .map((port) => ({ port, ref: { part: other.placed.id, port: port.id } }))
        .filter(({ port, ref }) => !jointAt(rig, ref) && mate(port, near).fits)
        .map(({ ref }) => ({ kind: 'move', joint: joint.id, from: ends.far, to: ref }) as const),
    );
  });
}

function settings(laid: LaidPart, isWanted: (id: string) => boolean = () => true): RigEdit[] {
  return (laid.part.settings ?? [])
    .filter((setting) => isWanted(setting.id))
    .flatMap((setting) =>
      optionsOf(setting)
        .filter((option) => option !== settingOf(laid, setting.id))
        .map((option) => ({ kind: 'set', part: laid.placed.id, setting: setting.id, option }) as const),
    );
}

/** Every other app class on a host that runs apps. */
function apps(laid: LaidPart): RigEdit[] {
  if (!appOf(laid)) return [];
  return APPS.filter((app) => app.id !== (laid.placed.app ?? DEFAULT_APP)).map((app) => ({
    kind: 'app',
    part: laid.placed.id,
    app: app.id,
  }));
}

/** Every free socket of the same part into which the far end of one of its joints also goes. */
export function moves(rig: Rig, laid: LaidPart): RigEdit[] {
  return jointsOf(rig, laid.placed.id).flatMap((joint) => {
    const ends = endsOf(joint, laid.placed.id);
    const far = ends && portOf(rig, ends.far);
    if (!far) return [];
    return laid.part.ports
      .map((port) => ({ port, ref: { part: laid.placed.id, port: port.id } }))
      .filter(({ port, ref }) => !jointAt(rig, ref) && mate(port, far).fits)
      .map(({ ref }) => ({ kind: 'move', joint: joint.id, from: ends.near, to: ref }) as const);
  });
}

/** Every link that can stand between the two ends of a joint of the chain. */
function inserts(rig: Rig, onChain: ReadonlySet<string>): RigEdit[] {
  return rig.joints
    .filter((joint) => onChain.has(joint.plug.part) && onChain.has(joint.jack.part))
    .flatMap((joint) => {
      const [plug, jack] = [portOf(rig, joint.plug), portOf(rig, joint.jack)];
      if (!plug || !jack) return [];
      return partsFor(rig)
        .filter(isLinkOrDongle)
        .flatMap((part) =>
          matchPorts(part, [plug, jack]).flatMap(([toPlug, toJack]) =>
            toPlug && toJack
              ? [{ kind: 'insert', joint: joint.id, part: part.id, ports: [toPlug, toJack] } as const]
              : [],
          ),
        );
    });
}

/** The parts on which a finding lies, on the chain or beside it. */
function concerned(rig: Rig, finding: Finding, chain: readonly LaidPart[]): LaidPart[] {
  const joint = rig.joints.find((j) => j.id === finding.where.joint);
  const named = [finding.where.part, finding.other, finding.recorder, joint?.plug.part, joint?.jack.part];
  const ids = new Set([...chain.map((laid) => laid.placed.id), ...named]);
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
  if (edit.kind === 'swap') return [edit.part];
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

const once = (edits: readonly RigEdit[]): RigEdit[] => [
  ...new Map(edits.map((edit) => [JSON.stringify(edit), edit])).values(),
];

/** What the finding's own check says may cure it, as edits of this rig. */
export function candidatesFor(rig: Rig, finding: Finding): Candidates {
  const cures = checkOf(finding.code)?.cures ?? [];
  const may = (...kinds: readonly Cure[]) => kinds.some((kind) => cures.includes(kind));
  const chain = chainOf(rig);
  const pool = concerned(rig, finding, chain);
  const powered = withPowered(rig, pool);
  const feeds = ({ part }: LaidPart) => {
    const ids = feedingSwitches(part);
    return (id: string) => ids.includes(id);
  };
  return {
    knobs: may('gain', 'send') ? pool.flatMap(knobs) : [],
    knobEnds: may('send') && !may('gain'),
    knobsFirst: cures[0] === 'send' || cures[0] === 'gain',
    atHand: once([
      ...(may('named') ? named(rig, finding) : []),
      ...(may('switch') ? powered.flatMap((laid) => settings(laid)) : []),
      ...(may('feed') ? powered.flatMap((laid) => settings(laid, feeds(laid))) : []),
      ...(may('app') ? pool.flatMap(apps) : []),
      ...(may('choice') ? pool.flatMap(choices) : []),
      ...(may('replug') ? pool.filter((laid) => laid.part.ears).flatMap((laid) => replug(rig, laid)) : []),
      ...(may('plug') ? [...chain.flatMap(turns), ...pool.flatMap((laid) => moves(rig, laid))] : []),
    ]),
    parts: [
      ...(may('supply') ? powered.flatMap((laid) => additions(rig, laid, isSupply)) : []),
      ...(may('headphones') ? pool.flatMap((laid) => additions(rig, laid, isWornToListen)) : []),
      ...(may('link')
        ? byDistance(rig, finding, [
            ...chain.flatMap((laid) => swaps(rig, laid)),
            ...inserts(rig, new Set(chain.map((laid) => laid.placed.id))),
          ])
        : []),
    ],
  };
}
