import { findApp } from '../apps';
import type { PartSetting } from '../parts';
import { partIn, type PlacedPart, type Rig, type SettingValue } from '../rig';
import { own } from '../schema';
import { formatDb } from '../units';
import { nameOf } from './words';

/** One thing that is not the same in two rigs; null where one of them has nothing of the kind. */
export interface Difference {
  readonly what: string;
  readonly one: string | null;
  readonly other: string | null;
}

const partName = (rig: Rig, placed: PlacedPart | undefined): string | null =>
  placed ? (partIn(rig, placed.part)?.name ?? placed.part) : null;

const said = (value: unknown): string | null => (value === undefined ? null : String(value));

/** Where a knob or switch stands, as its scale or its place is called. */
const stand = (setting: PartSetting, value: SettingValue): string =>
  setting.kind === 'knob'
    ? formatDb(Number(value), 'dB')
    : (setting.options.find(({ id }) => id === value)?.name ?? String(value));

type Standing = Readonly<Record<string, SettingValue>> | undefined;

/** Of settings that both have, those that stand elsewhere. */
const standDifferences = (
  name: string,
  settings: readonly PartSetting[],
  one: Standing,
  other: Standing,
): Difference[] =>
  settings.flatMap((setting) => {
    const [a, b] = [one, other].map((values) => (values && own(values, setting.id)) ?? setting.initial);
    return a === undefined || b === undefined || a === b
      ? []
      : [{ what: `${name}, ${setting.name}`, one: stand(setting, a), other: stand(setting, b) }];
  });

function settingDifferences(rig: Rig, one: PlacedPart, other: PlacedPart): Difference[] {
  const name = nameOf(rig, one.id);
  const choices = one.app === other.app ? (findApp(one.app ?? '')?.choices ?? []) : [];
  return [
    ...standDifferences(name, partIn(rig, one.part)?.settings ?? [], one.settings, other.settings),
    ...standDifferences(name, choices, one.choices, other.choices),
  ];
}

/** "1.5 m", of a distance or a lead; null where nothing is said. */
const metres = (value: number | undefined): string | null => (value === undefined ? null : `${value} m`);

/** Joints as "lead end A in receiver output", the order of files aside. */
function jointTexts(rig: Rig): Set<string> {
  const end = (ref: { part: string; port: string }) => {
    const port = partIn(rig, rig.parts.find((p) => p.id === ref.part)?.part ?? '')?.ports.find(
      (p) => p.id === ref.port,
    );
    return `${nameOf(rig, ref.part)}, ${port?.name ?? ref.port}`;
  };
  return new Set(rig.joints.map((joint) => `${end(joint.plug)} in ${end(joint.jack)}`));
}

function distanceDifferences(one: Rig, other: Rig, id: string): Difference[] {
  const [a, b] = [one, other].map(({ surroundings }) => own(surroundings.distances ?? {}, id));
  return a === b ? [] : [{ what: `${nameOf(one, id)}, mouth at`, one: metres(a), other: metres(b) }];
}

/** What differs between two rigs: parts that stand for one another bear the same id. */
export function compareRigs(one: Rig, other: Rig): Difference[] {
  const ids = [...new Set([...one.parts, ...other.parts].map((p) => p.id))];
  const parts = ids.flatMap((id): Difference[] => {
    const [a, b] = [one.parts.find((p) => p.id === id), other.parts.find((p) => p.id === id)];
    if (!a || !b || a.part !== b.part) {
      return [{ what: nameOf(a ? one : other, id), one: partName(one, a), other: partName(other, b) }];
    }
    const app = (p: PlacedPart) => (p.app === undefined ? undefined : findApp(p.app)?.name);
    return [
      ...settingDifferences(one, a, b),
      ...(app(a) === app(b)
        ? []
        : [{ what: `${nameOf(one, id)}, app`, one: said(app(a)), other: said(app(b)) }]),
      ...(a.length === b.length
        ? []
        : [{ what: `${nameOf(one, id)}, length`, one: metres(a.length), other: metres(b.length) }]),
      ...distanceDifferences(one, other, id),
    ];
  });
  const [mine, theirs] = [jointTexts(one), jointTexts(other)];
  const joints = [...new Set([...mine, ...theirs])]
    .filter((text) => mine.has(text) !== theirs.has(text))
    .map((text) => ({
      what: text,
      one: mine.has(text) ? 'joined' : null,
      other: theirs.has(text) ? 'joined' : null,
    }));
  const voice =
    one.surroundings.voice === other.surroundings.voice
      ? []
      : [{ what: 'Voice', one: one.surroundings.voice, other: other.surroundings.voice }];
  return [...parts, ...joints, ...voice];
}
