import { CATALOGUE, findPart, type Part, type PartPort } from '../parts';
import { DEFAULT_APP, findApp } from '../apps';
import { mate } from '../plugs';
import { own } from '../schema';
import type { Joint, PlacedPart, PortRef, Rig, SettingValue } from './types.generated';

/** A placed part with its catalogue part. */
export interface LaidPart {
  readonly placed: PlacedPart;
  readonly part: Part;
}

/** The shipped part with this id, or the rig's own. */
export const partIn = (rig: Pick<Rig, 'ownParts'>, id: string): Part | undefined =>
  findPart(id) ?? rig.ownParts?.find((part) => part.id === id);

/** Every part that can be laid out in a rig: the catalogue, then what is the user's own. */
export const partsFor = (rig: Pick<Rig, 'ownParts'>): readonly Part[] =>
  rig.ownParts ? [...CATALOGUE, ...rig.ownParts] : CATALOGUE;

/** Every placed part whose catalogue part is known; a rig that was read from outside has no others. */
export function laidParts(rig: Rig): readonly LaidPart[] {
  const known = laid.get(rig.parts);
  if (known && known.own === rig.ownParts) return known.found;
  const found = rig.parts.flatMap((placed) => {
    const part = partIn(rig, placed.part);
    return part ? [{ placed, part }] : [];
  });
  laid.set(rig.parts, { own: rig.ownParts, found });
  return found;
}

/** By the rig's list of parts, which is never changed in place. */
const laid = new WeakMap<
  Rig['parts'],
  { readonly own: Rig['ownParts']; readonly found: readonly LaidPart[] }
>();

export function partOf(rig: Rig, placedId: string): Part | undefined {
  const placed = rig.parts.find((p) => p.id === placedId);
  return placed && partIn(rig, placed.part);
}

export const portOf = (rig: Rig, ref: PortRef): PartPort | undefined =>
  partOf(rig, ref.part)?.ports.find((port) => port.id === ref.port);

/** Whether what is at one port goes together with another port. */
export function goTogether(rig: Rig, a: PortRef, b: PortRef): boolean {
  const [one, other] = [portOf(rig, a), portOf(rig, b)];
  return one !== undefined && other !== undefined && mate(one, other).fits;
}

/** The joint that occupies a port, if any. */
export const jointAt = (rig: Pick<Rig, 'joints'>, ref: PortRef): Joint | undefined =>
  rig.joints.find((joint) => samePort(joint.plug, ref) || samePort(joint.jack, ref));

/** Ports of a part that lie in the opening of one of them, that one first. */
export const portsInOpening = (part: Part, port: PartPort): readonly PartPort[] => [
  port,
  ...part.ports.filter(
    (other) => other !== port && port.opening !== undefined && other.opening === port.opening,
  ),
];

/** Whether a plug could go in: nothing is in the port, nor in another that shares its opening. */
export function isFree(rig: Rig, ref: PortRef): boolean {
  const part = partOf(rig, ref.part);
  const port = part?.ports.find(({ id }) => id === ref.port);
  if (!part || !port) return jointAt(rig, ref) === undefined;
  return portsInOpening(part, port).every(({ id }) => !jointAt(rig, { part: ref.part, port: id }));
}

export const samePort = (a: PortRef, b: PortRef): boolean => a.part === b.part && a.port === b.port;

/** The two ends of a joint, the given part's first; undefined when the part is not in it. */
export function endsOf(joint: Joint, placedId: string): { near: PortRef; far: PortRef } | undefined {
  if (joint.plug.part === placedId) return { near: joint.plug, far: joint.jack };
  if (joint.jack.part === placedId) return { near: joint.jack, far: joint.plug };
  return undefined;
}

export const jointsOf = (rig: Pick<Rig, 'joints'>, placedId: string): Joint[] =>
  rig.joints.filter((joint) => endsOf(joint, placedId) !== undefined);

/** What the user calls it, else the catalogue's name. */
export const displayName = (laid: LaidPart): string => laid.placed.label ?? laid.part.name;

/** Where a setting stands: as turned, else as delivered. */
export function settingOf(laid: LaidPart, setting: string): SettingValue | undefined {
  return own(laid.placed.settings, setting) ?? laid.part.settings?.find((s) => s.id === setting)?.initial;
}

/** What is chosen in the app of a host: as the user chose, else its usual; undefined where the app has no such choice. */
export function choiceOf(placed: PlacedPart, choice: string): SettingValue | undefined {
  const setting = findApp(placed.app ?? DEFAULT_APP)?.choices.find((c) => c.id === choice);
  return setting && (own(placed.choices, choice) ?? setting.initial);
}

/** Whether the app of a host has this choice and it can be made so. */
export function canChoose(placed: PlacedPart, id: string, value: SettingValue): boolean {
  const choice = findApp(placed.app ?? DEFAULT_APP)?.choices.find((c) => c.id === id);
  return choice?.kind === 'switch' && choice.options.some((option) => option.id === value);
}

/** Whether a part has this setting and it can stand there. */
export function canStand(part: Part, id: string, value: SettingValue): boolean {
  const setting = part.settings?.find((s) => s.id === id);
  if (!setting) return false;
  return setting.kind === 'switch'
    ? setting.options.some((option) => option.id === value)
    : typeof value === 'number' && value >= setting.from && value <= setting.to;
}

/** Placed parts that hang together with one, by any joint; itself among them. */
export function joinedTo(rig: Rig, start: string): ReadonlySet<string> {
  const seen = new Set([start]);
  for (const id of seen) {
    for (const joint of jointsOf(rig, id)) {
      const far = endsOf(joint, id)?.far.part;
      if (far !== undefined) seen.add(far);
    }
  }
  return seen;
}
