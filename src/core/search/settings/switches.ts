import { checkOf, type Cure, type Finding } from '../../checks';
import { appOf } from '../../engine/flow';
import type { Part, PartSetting } from '../../parts';
import { choiceOf, laidParts, settingOf, type LaidPart, type Rig, type RigEdit } from '../../rig';
import { own } from '../../schema';
import { feedingSwitches } from './feeding';

const may = (finding: Finding, ...kinds: readonly Cure[]): boolean =>
  kinds.some((kind) => checkOf(finding.code)?.cures.includes(kind));

/** No switch, knob or choice changes it: the wires themselves are wrong. */
export const isWiredWrong = (finding: Finding): boolean =>
  !may(finding, 'switch', 'named', 'feed', 'gain', 'send', 'choice', 'headphones', 'replug');

/** It hangs on how loud something is. */
export const isLevel = (finding: Finding): boolean => may(finding, 'gain');

const placesOf = (setting: PartSetting): readonly string[] =>
  setting.kind === 'switch' ? setting.options.map((option) => option.id) : [];

/** Every other place of some switches of a part. */
function turned(laid: LaidPart, wanted: (id: string) => boolean): RigEdit[] {
  return (laid.part.settings ?? [])
    .filter((setting) => wanted(setting.id))
    .flatMap((setting) =>
      placesOf(setting)
        .filter((place) => place !== settingOf(laid, setting.id))
        .map((option) => ({ kind: 'set', part: laid.placed.id, setting: setting.id, option }) as const),
    );
}

function chosen(laid: LaidPart, wanted: (id: string) => boolean): RigEdit[] {
  return (appOf(laid)?.choices ?? [])
    .filter((choice) => wanted(choice.id))
    .flatMap((choice) =>
      placesOf(choice)
        .filter((place) => place !== choiceOf(laid.placed, choice.id))
        .map((option) => ({ kind: 'choose', part: laid.placed.id, choice: choice.id, option }) as const),
    );
}

const closings = new WeakMap<Part, ReadonlySet<string>>();

/** Places at which a switch does nothing but shut what passes, as "setting option". */
function closingPlaces(part: Part): ReadonlySet<string> {
  const known = closings.get(part);
  if (known) return known;
  const uses = new Map<string, Readonly<Record<string, unknown>>[]>();
  for (const { gain } of part.paths ?? [])
    for (const one of gain)
      if (typeof one === 'object' && 'setting' in one)
        uses.set(one.setting, [...(uses.get(one.setting) ?? []), one.values]);
  const found = new Set(
    (part.settings ?? []).flatMap((setting) => {
      const values = uses.get(setting.id);
      if (!values || setting.kind !== 'switch') return [];
      return setting.options
        .filter(({ id }) => values.every((one) => !Number.isFinite(own(one, id) ?? -Infinity)))
        .map(({ id }) => `${setting.id} ${id}`);
    }),
  );
  closings.set(part, found);
  return found;
}

/** Whether a switch would do nothing there but shut what passes: that cures nothing which has no other name. */
const closes = ({ part }: LaidPart, edit: RigEdit): boolean =>
  edit.kind === 'set' && closingPlaces(part).has(`${edit.setting} ${edit.option}`);

/** A switch that is put to another place. */
export type Throw = Extract<RigEdit, { kind: 'set' }>;

/** Every other place of every switch of a part that does more there than shut what passes, and feeds nothing. */
const throwsOf = (laid: LaidPart): RigEdit[] =>
  turned(laid, (id) => !feedingSwitches(laid.part).includes(id)).filter((edit) => !closes(laid, edit));

/** The same of every part. */
export const allThrows = (rig: Rig): Throw[] =>
  laidParts(rig)
    .flatMap(throwsOf)
    .filter((edit) => edit.kind === 'set');

/** Switches that might cure a finding, the one that it names first; the same edit only once. */
export function switchesFor(rig: Rig, finding: Finding): RigEdit[] {
  const laid = laidParts(rig);
  const named = laid
    .filter(({ placed }) => placed.id === finding.where.part)
    .flatMap((l) => {
      const isNamed = (id: string) => id === finding.setting;
      return [...turned(l, isNamed), ...chosen(l, isNamed)];
    });
  const feeding = laid.flatMap((l) => {
    const feeds = feedingSwitches(l.part);
    return turned(l, (id) => feeds.includes(id));
  });
  if (may(finding, 'feed')) return unique([...named, ...feeding]);
  if (named.length > 0 || !may(finding, 'switch', 'choice', 'send')) return named;
  return unique(laid.flatMap(throwsOf));
}

const unique = (edits: readonly RigEdit[]): RigEdit[] => [
  ...new Map(edits.map((edit) => [JSON.stringify(edit), edit])).values(),
];
