import { findApp } from '../apps';
import { partIn, type PlacedPart, type Rig } from '../rig';
import { own } from '../schema';
import { nameOf } from './words';

/** One thing that is not the same in two rigs; null where one of them has nothing of the kind. */
export interface Difference {
  readonly what: string;
  readonly one: string | null;
  readonly other: string | null;
}

const partName = (rig: Rig, placed: PlacedPart | undefined): string | null =>
  placed ? (partIn(rig, placed.part)?.name ?? placed.part) : null;

const settingName = (rig: Rig, placed: PlacedPart, id: string): string =>
  partIn(rig, placed.part)?.settings?.find((s) => s.id === id)?.name ?? id;

const said = (value: unknown): string | null => (value === undefined ? null : String(value));

function settingDifferences(rig: Rig, one: PlacedPart, other: PlacedPart): Difference[] {
  const part = partIn(rig, one.part);
  return (part?.settings ?? []).flatMap(({ id, initial }) => {
    const [a, b] = [own(one.settings, id) ?? initial, own(other.settings, id) ?? initial];
    return a === b
      ? []
      : [{ what: `${nameOf(rig, one.id)}, ${settingName(rig, one, id)}`, one: said(a), other: said(b) }];
  });
}

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
        : [{ what: `${nameOf(one, id)}, length in m`, one: said(a.length), other: said(b.length) }]),
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
