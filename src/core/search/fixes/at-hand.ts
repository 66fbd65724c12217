import type { Finding } from '../../checks';
import { appOf } from '../../engine/flow';
import { APPS, DEFAULT_APP } from '../../apps';
import { isTurnable, standIns, type PartSetting } from '../../parts';
import { mate } from '../../plugs';
import {
  bridges,
  choiceOf,
  endsOf,
  goTogether,
  isFree,
  jointsOf,
  laidParts,
  portOf,
  settingOf,
  type LaidPart,
  type PortRef,
  type Rig,
  type RigEdit,
  type SettingValue,
} from '../../rig';
import { breaks } from './states';

/** A free plug in a free socket between what a source and a recorder hang on; of sockets that are alike one. */
export function gapsClosed(rig: Rig, { source, recorder }: Finding): RigEdit[] {
  if (source === undefined || recorder === undefined) return [];
  const alike = ({ part, port }: PortRef) => `${part} ${portOf(rig, { part, port })?.alike ?? port}`;
  const ways = bridges(rig, source, recorder).map(
    ({ a, b }) => [`${alike(a)} ${alike(b)}`, { a, b }] as const,
  );
  return [...new Map(ways.toReversed()).values()].toReversed().map(({ a, b }) => ({ kind: 'join', a, b }));
}

export function turns(laid: LaidPart): RigEdit[] {
  return isTurnable(laid.part) ? [{ kind: 'turn', part: laid.placed.id }] : [];
}

/** How many places of a knob are tried over its whole range. */
const KNOB_TRIALS = 12;

/** Places of a knob, those next to where it stands first. */
function knobPlaces(setting: Extract<PartSetting, { kind: 'knob' }>, stands: number): number[] {
  const wide = (setting.to - setting.from) / KNOB_TRIALS;
  const step = Math.max(1, Math.round(wide / setting.step)) * setting.step;
  const count = Math.floor((setting.to - setting.from) / step) + 1;
  const places = Array.from({ length: count }, (_, index) => setting.from + index * step);
  return [...new Set([...places, setting.to])]
    .filter((place) => place !== stands)
    .sort((x, y) => Math.abs(x - stands) - Math.abs(y - stands));
}

const optionsOf = (setting: PartSetting): readonly SettingValue[] =>
  setting.kind === 'switch' ? setting.options.map((option) => option.id) : [];

/** A knob that could be turned: its ends, the lower first, tell whether it matters; its places are tried in order. */
export interface KnobTrial {
  readonly ends: readonly RigEdit[];
  readonly places: readonly RigEdit[];
  /** How far it stands from where it began, of its whole range. */
  readonly away: number;
}

/** What stands farthest from where it began is likeliest to have been forgotten. */
export const byStand = (trials: readonly KnobTrial[]): KnobTrial[] =>
  trials.toSorted((a, b) => b.away - a.away);

export function knobs(laid: LaidPart): KnobTrial[] {
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
    const away = Math.abs(stands - setting.initial) / (setting.to - setting.from);
    return [{ ends: ends.map(to), places: knobPlaces(setting, stands).map(to), away }];
  });
}

/** Every other choice in the app of a host. */
export function choices(laid: LaidPart): RigEdit[] {
  return (appOf(laid)?.choices ?? []).flatMap((choice) =>
    optionsOf(choice)
      .filter((option) => option !== choiceOf(laid.placed, choice.id))
      .map((option) => ({ kind: 'choose', part: laid.placed.id, choice: choice.id, option }) as const),
  );
}

/** Every other place of the switches of a part in which it works. */
export function settings(laid: LaidPart, isWanted: (id: string) => boolean = () => true): RigEdit[] {
  return (laid.part.settings ?? [])
    .filter((setting) => isWanted(setting.id) && !standIns(laid.part).has(setting.id))
    .flatMap((setting) =>
      optionsOf(setting)
        .filter(
          (option) => option !== settingOf(laid, setting.id) && !breaks(laid, setting.id, String(option)),
        )
        .map((option) => ({ kind: 'set', part: laid.placed.id, setting: setting.id, option }) as const),
    );
}

/** Every other app class on a host that runs apps. */
export function apps(laid: LaidPart): RigEdit[] {
  if (!appOf(laid)) return [];
  return APPS.filter((app) => app.id !== (laid.placed.app ?? DEFAULT_APP)).map((app) => ({
    kind: 'app',
    part: laid.placed.id,
    app: app.id,
  }));
}

/** Free ports of some parts into which what is at a port also goes, each group of alike ones once. */
function freeFor(rig: Rig, at: PortRef, parts: readonly LaidPart[]): PortRef[] {
  const port = portOf(rig, at);
  if (!port) return [];
  return parts.flatMap(({ placed, part }) => {
    const free = part.ports.filter(
      (one) => isFree(rig, { part: placed.id, port: one.id }) && mate(one, port).fits,
    );
    const once = new Map(free.toReversed().map((one) => [one.alike ?? one.id, one.id]));
    return [...once.values()].toReversed().map((id) => ({ part: placed.id, port: id }));
  });
}

/** A plug that hangs loose, into every free socket of other parts that takes it. */
export function looseEnds(rig: Rig, parts: readonly LaidPart[]): RigEdit[] {
  return parts.flatMap(({ placed, part }) =>
    part.ports
      .filter((port) => port.gender === 'plug' && isFree(rig, { part: placed.id, port: port.id }))
      .flatMap((port) => {
        const a = { part: placed.id, port: port.id };
        const others = parts.filter((other) => other.placed.id !== placed.id);
        return freeFor(rig, a, others).map((b) => ({ kind: 'join', a, b }) as const);
      }),
  );
}

/** Every free socket of the same part into which the far end of one of its joints also goes. */
export function moves(rig: Rig, laid: LaidPart): RigEdit[] {
  return jointsOf(rig, laid.placed.id).flatMap((joint) => {
    const ends = endsOf(joint, laid.placed.id);
    return ends
      ? freeFor(rig, ends.far, [laid]).map(
          (to) => ({ kind: 'move', joint: joint.id, from: ends.near, to }) as const,
        )
      : [];
  });
}

/** Every two plugs in ports of a part, each in the place of the other. */
export function exchanges(rig: Rig, laid: LaidPart): RigEdit[] {
  const ends = jointsOf(rig, laid.placed.id).flatMap((joint) => {
    const found = endsOf(joint, laid.placed.id);
    return found ? [{ joint, ...found }] : [];
  });
  return ends.flatMap((one, index) =>
    ends
      .slice(index + 1)
      .filter((other) => goTogether(rig, one.far, other.near) && goTogether(rig, other.far, one.near))
      .map((other) => ({ kind: 'move', joint: one.joint.id, from: one.near, to: other.near }) as const),
  );
}

/** Every free port of another part into which the plug of a part also goes. */
export function replug(rig: Rig, laid: LaidPart): RigEdit[] {
  return jointsOf(rig, laid.placed.id).flatMap((joint) => {
    const ends = endsOf(joint, laid.placed.id);
    if (!ends) return [];
    const others = laidParts(rig).filter(({ placed }) => placed.id !== laid.placed.id);
    return freeFor(rig, ends.near, others).map(
      (to) => ({ kind: 'move', joint: joint.id, from: ends.far, to }) as const,
    );
  });
}
