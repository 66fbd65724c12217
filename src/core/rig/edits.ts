import { isPassiveLink, type Part } from '../parts';
import { type AppId } from '../apps';
import { excessOf, freshId, LIMITS } from './limits';
import {
  canChoose,
  canStand,
  endsOf,
  goTogether,
  isFree,
  jointAt,
  jointsOf,
  partIn,
  portOf,
  samePort,
} from './lookup';
import { isSource } from './meant';
import { putNewcomer } from './newcomer';
import { makeOwn } from './own-parts';
import { forgetPart, putPerson, takenIds, takePerson, type PersonSaid } from './people';
import { putAir, putRoom, putSession, putSite, type SessionSaid } from './surroundings';
import type {
  Joint,
  PlacedPart,
  PolicyNote,
  Placing,
  PortRef,
  Rig,
  Room,
  SettingValue,
  VoiceEffort,
} from './types.generated';

/** An edit is data: it can be tried, shown, kept in a history and undone. */
export type RigEdit =
  | { readonly kind: 'swap'; readonly part: string; readonly to: string; readonly ports: readonly string[] }
  | { readonly kind: 'turn'; readonly part: string }
  | { readonly kind: 'set'; readonly part: string; readonly setting: string; readonly option: SettingValue }
  | { readonly kind: 'length'; readonly part: string; readonly metres: number }
  | { readonly kind: 'app'; readonly part: string; readonly app: AppId }
  | {
      readonly kind: 'choose';
      readonly part: string;
      readonly choice: string;
      readonly option: SettingValue;
    }
  | { readonly kind: 'policy'; readonly policy: PolicyNote }
  | { readonly kind: 'add'; readonly part: string; readonly port: string; readonly at: PortRef }
  | { readonly kind: 'place'; readonly part: string }
  | {
      /** A part more, by two of its ends between two that are free. */
      readonly kind: 'bridge';
      readonly part: string;
      readonly ports: readonly [string, string];
      readonly between: readonly [PortRef, PortRef];
    }
  | { readonly kind: 'join'; readonly a: PortRef; readonly b: PortRef }
  | { readonly kind: 'unplug'; readonly joint: string }
  | {
      readonly kind: 'mean';
      readonly part: string;
      readonly as: 'sources' | 'recorders';
      readonly meant: boolean;
    }
  | { readonly kind: 'tracks'; readonly apart: boolean; readonly side?: boolean }
  | { readonly kind: 'label'; readonly part: string; readonly label: string }
  | { readonly kind: 'note'; readonly part?: string; readonly text: string }
  | { readonly kind: 'move'; readonly joint: string; readonly from: PortRef; readonly to: PortRef }
  | {
      readonly kind: 'insert';
      readonly joint: string;
      readonly part: string;
      readonly ports: readonly [string, string];
    }
  | { readonly kind: 'remove'; readonly part: string }
  | {
      readonly kind: 'bypass';
      readonly part: string;
      /** The two joints of the part whose far ends then meet. */
      readonly joints: readonly [string, string];
    }
  | { readonly kind: 'voice'; readonly voice: VoiceEffort }
  /** The strip or outlet of a part; empty: somewhere. */
  | { readonly kind: 'outlet'; readonly part: string; readonly place: string }
  /** What is said anew of the plan; nothing takes the plan away. */
  | { readonly kind: 'session'; readonly session?: SessionSaid }
  | { readonly kind: 'site'; readonly hertz?: 50 | 60; readonly wet?: boolean }
  /** Where a loudspeaker stands to a microphone. */
  | { readonly kind: 'air'; readonly placing: Placing }
  | { readonly kind: 'room'; readonly room: Room }
  /** What is said anew of somebody, or all of somebody who comes. */
  | { readonly kind: 'person'; readonly person: PersonSaid }
  /** Somebody new of this name, whose id and microphone the rig as it then stands gives. */
  | { readonly kind: 'come'; readonly name: string }
  | { readonly kind: 'leave'; readonly person: string }
  | { readonly kind: 'distance'; readonly part: string; readonly metres: number }
  | { readonly kind: 'own'; readonly part: string; readonly as: Part }
  | { readonly kind: 'rename'; readonly name: string };

type EditOf<K extends RigEdit['kind']> = Extract<RigEdit, { kind: K }>;

const changePart = (rig: Rig, id: string, change: (placed: PlacedPart) => PlacedPart): Rig => ({
  ...rig,
  parts: rig.parts.map((placed) => (placed.id === id ? change(placed) : placed)),
});

/** Keeps the joint's identity and puts `next` where `old` was, as plug or jack by its gender. */
function rejoin(rig: Rig, joint: Joint, far: PortRef, next: PortRef): Joint {
  const isPlug = portOf(rig, next)?.gender === 'plug';
  return isPlug ? { ...joint, plug: next, jack: far } : { ...joint, plug: far, jack: next };
}

function keepSettings(placed: PlacedPart, part: Part): Record<string, SettingValue> {
  const known = Object.entries(placed.settings ?? {}).filter(([id, value]) => canStand(part, id, value));
  return Object.fromEntries(known);
}

/** Another part under the same id: what the new one also has stays as set, the old lead's length goes. */
function exchange(placed: PlacedPart, part: Part): PlacedPart {
  const { settings: _settings, length: _length, label: _label, ...rest } = placed;
  const kept = keepSettings(placed, part);
  return { ...rest, part: part.id, ...(Object.keys(kept).length > 0 && { settings: kept }) };
}

/** Whether a rig is there to record a part, or to record on it. */
const isMeant = ({ purpose }: Rig, id: string): boolean =>
  purpose.sources.includes(id) || purpose.recorders.includes(id);

function swap(rig: Rig, edit: EditOf<'swap'>): Rig {
  const part = partIn(rig, edit.to);
  const joints = jointsOf(rig, edit.part);
  const loops = joints.some(({ plug, jack }) => plug.part === jack.part);
  if (!part || loops || new Set(edit.ports).size < edit.ports.length) return rig;
  if (isPassiveLink(part) && isMeant(rig, edit.part)) return rig;
  const swapped = changePart(rig, edit.part, (placed) => exchange(placed, part));
  return {
    ...swapped,
    joints: rig.joints.flatMap((joint) => {
      const index = joints.indexOf(joint);
      if (index < 0) return [joint];
      const port = edit.ports[index];
      const far = endsOf(joint, edit.part)?.far;
      return port && far ? [rejoin(swapped, joint, far, { part: edit.part, port })] : [];
    }),
  };
}

/** The port at the other end of a part with exactly two ports. */
function otherEnd(part: Part, port: string): string {
  return part.ports.find((p) => p.id !== port)?.id ?? port;
}

function turn(rig: Rig, edit: EditOf<'turn'>): Rig {
  const placed = rig.parts.find((p) => p.id === edit.part);
  const part = placed && partIn(rig, placed.part);
  if (!part || part.ports.length !== 2) return rig;
  const flip = (ref: PortRef): PortRef =>
    ref.part === edit.part ? { ...ref, port: otherEnd(part, ref.port) } : ref;
  return {
    ...rig,
    joints: rig.joints.map((joint) => ({ ...joint, plug: flip(joint.plug), jack: flip(joint.jack) })),
  };
}

const farOf = (joint: Joint, near: PortRef): PortRef =>
  samePort(joint.plug, near) ? joint.jack : joint.plug;

/** To a free port, or to one of the same part that is in use: what is there goes where this came from, if it fits. */
function move(rig: Rig, edit: EditOf<'move'>): Rig {
  const { from, to } = edit;
  const there = jointAt(rig, to);
  const isPlaceFor =
    there && there.id !== edit.joint && from.part === to.part && goTogether(rig, farOf(there, to), from);
  const left = rig.joints.filter((j) => j.id !== edit.joint && !(isPlaceFor && j === there));
  if (!isFree({ ...rig, joints: left }, to)) return rig;
  return {
    ...rig,
    joints: rig.joints.map((joint) => {
      if (joint.id === edit.joint) return rejoin(rig, joint, farOf(joint, from), to);
      return isPlaceFor && joint === there ? rejoin(rig, joint, farOf(joint, to), from) : joint;
    }),
  };
}

function insert(rig: Rig, edit: EditOf<'insert'>): Rig {
  const joint = rig.joints.find((j) => j.id === edit.joint);
  const ports = partIn(rig, edit.part)?.ports.map((port) => port.id) ?? [];
  const [one, other] = edit.ports;
  if (!joint || one === other || !ports.includes(one) || !ports.includes(other)) return rig;
  const id = freshId(edit.part, takenIds(rig));
  const jointId = freshId(joint.id, new Set(rig.joints.map((j) => j.id)));
  const grown: Rig = { ...rig, parts: [...rig.parts, { id, part: edit.part }] };
  const [towardPlug, towardJack] = edit.ports;
  const first = rejoin(grown, joint, joint.plug, { part: id, port: towardPlug });
  const second = rejoin(grown, { ...joint, id: jointId }, joint.jack, { part: id, port: towardJack });
  return { ...grown, joints: grown.joints.flatMap((j) => (j === joint ? [first, second] : [j])) };
}

function remove(rig: Rig, edit: EditOf<'remove'>): Rig {
  const without = (ids: readonly string[]) => ids.filter((id) => id !== edit.part);
  const { [edit.part]: _gone, ...distances } = rig.surroundings.distances ?? {};
  const left = forgetPart(rig, edit.part);
  return {
    ...left,
    parts: rig.parts.filter((p) => p.id !== edit.part),
    joints: rig.joints.filter((j) => !endsOf(j, edit.part)),
    surroundings: { ...left.surroundings, ...(rig.surroundings.distances && { distances }) },
    purpose: {
      ...rig.purpose,
      sources: without(rig.purpose.sources),
      recorders: without(rig.purpose.recorders),
    },
  };
}

/** A joint of two ports, if their genders allow it and both are free; the same rig if not. */
function join(rig: Rig, { a, b }: EditOf<'join'>): Rig {
  const [one, other] = [portOf(rig, a), portOf(rig, b)];
  const taken = !isFree(rig, a) || !isFree(rig, b);
  if (!one || !other || one.gender === other.gender || taken || samePort(a, b)) return rig;
  const id = freshId('j1', new Set(rig.joints.map((j) => j.id)));
  const ends = one.gender === 'plug' ? { plug: a, jack: b } : { plug: b, jack: a };
  return { ...rig, joints: [...rig.joints, { id, ...ends }] };
}

/** A part taken out and what it stood between joined; the same rig where the two ends do not go together. */
function bypass(rig: Rig, edit: EditOf<'bypass'>): Rig {
  const [a, b] = edit.joints.map((id) => {
    const joint = rig.joints.find((j) => j.id === id);
    return joint && endsOf(joint, edit.part)?.far;
  });
  if (!a || !b) return rig;
  const without = remove(rig, { kind: 'remove', part: edit.part });
  const closed = join(without, { kind: 'join', a, b });
  return closed === without ? rig : closed;
}

/** A new part, joined to nothing yet; the first source and the first recorder laid out are meant as such. */
function place(rig: Rig, partId: string): { rig: Rig; id: string } | undefined {
  const part = partIn(rig, partId);
  if (!part) return undefined;
  const id = freshId(partId, takenIds(rig));
  const { sources, recorders } = rig.purpose;
  return {
    id,
    rig: {
      ...rig,
      parts: [...rig.parts, { id, part: partId }],
      purpose: {
        ...rig.purpose,
        sources: isSource(part) ? [...sources, id] : sources,
        recorders: part.host && recorders.length === 0 ? [...recorders, id] : recorders,
      },
    },
  };
}

function add(rig: Rig, edit: EditOf<'add'>): Rig {
  const placed = place(rig, edit.part);
  if (!placed) return rig;
  const joined = join(placed.rig, { kind: 'join', a: { part: placed.id, port: edit.port }, b: edit.at });
  return joined === placed.rig ? rig : joined;
}

function bridge(rig: Rig, { part, ports: [one, other], between: [a, b] }: EditOf<'bridge'>): Rig {
  const placed = place(rig, part);
  if (!placed || one === other) return rig;
  const first = join(placed.rig, { kind: 'join', a: { part: placed.id, port: one }, b: a });
  const second = join(first, { kind: 'join', a: { part: placed.id, port: other }, b });
  return second.joints.length === rig.joints.length + 2 ? second : rig;
}

function mean(rig: Rig, edit: EditOf<'mean'>): Rig {
  const placed = rig.parts.find((p) => p.id === edit.part);
  const part = placed && partIn(rig, placed.part);
  if (!part || (edit.meant && isPassiveLink(part))) return rig;
  const others = rig.purpose[edit.as].filter((id) => id !== edit.part);
  return { ...rig, purpose: { ...rig.purpose, [edit.as]: edit.meant ? [...others, edit.part] : others } };
}

function separate(rig: Rig, { apart, side }: EditOf<'tracks'>): Rig {
  const { tracks: _tracks, ...purpose } = rig.purpose;
  const tracks = apart ? 'apart' : side ? 'side' : undefined;
  return { ...rig, purpose: { ...purpose, ...(tracks && { tracks }) } };
}

function label(rig: Rig, edit: EditOf<'label'>): Rig {
  return changePart(rig, edit.part, ({ label: _old, ...placed }) =>
    edit.label.trim() ? { ...placed, label: edit.label.trim().slice(0, LIMITS.name) } : placed,
  );
}

function note(rig: Rig, edit: EditOf<'note'>): Rig {
  const write = <T extends { readonly note?: string }>({ note: _old, ...rest }: T) =>
    edit.text.trim() ? { ...rest, note: edit.text.slice(0, LIMITS.note) } : rest;
  return edit.part === undefined
    ? (write(rig) as Rig)
    : changePart(rig, edit.part, (placed) => write(placed) as PlacedPart);
}

const within = (value: number, from: number, to: number): boolean => value > from && value <= to;

function set(rig: Rig, edit: EditOf<'set'>): Rig {
  const placed = rig.parts.find((p) => p.id === edit.part);
  const part = placed && partIn(rig, placed.part);
  if (!part || !canStand(part, edit.setting, edit.option)) return rig;
  return changePart(rig, edit.part, (old) => ({
    ...old,
    settings: { ...old.settings, [edit.setting]: edit.option },
  }));
}

function choose(rig: Rig, edit: EditOf<'choose'>): Rig {
  const placed = rig.parts.find((p) => p.id === edit.part);
  if (!placed || !canChoose(placed, edit.choice, edit.option)) return rig;
  return changePart(rig, edit.part, (old) => ({
    ...old,
    choices: { ...old.choices, [edit.choice]: edit.option },
  }));
}

function distance(rig: Rig, edit: EditOf<'distance'>): Rig {
  if (!rig.parts.some((p) => p.id === edit.part)) return rig;
  if (edit.metres < LIMITS.shortestDistance || !within(edit.metres, 0, LIMITS.longestDistance)) return rig;
  const distances = { ...rig.surroundings.distances, [edit.part]: edit.metres };
  return { ...rig, surroundings: { ...rig.surroundings, distances } };
}

function outlet(rig: Rig, { part, place }: EditOf<'outlet'>): Rig {
  const said = place.trim().slice(0, LIMITS.place);
  return changePart(rig, part, ({ mains: _old, ...placed }) => (said ? { ...placed, mains: said } : placed));
}

/** Applies an edit; one that does not suit the rig (unknown part, occupied port, more than a file holds) gives the same rig back. */
export function applyEdit(rig: Rig, edit: RigEdit): Rig {
  const edited = applyUnbounded(rig, edit);
  return edited === rig || excessOf(edited) === undefined ? edited : rig;
}

/** Why an edit would lead to no rig that a file could hold; undefined where it would not. */
export const whyNot = (rig: Rig, edit: RigEdit): string | undefined => excessOf(applyUnbounded(rig, edit));

function applyUnbounded(rig: Rig, edit: RigEdit): Rig {
  switch (edit.kind) {
    case 'swap':
      return swap(rig, edit);
    case 'turn':
      return turn(rig, edit);
    case 'move':
      return move(rig, edit);
    case 'insert':
      return insert(rig, edit);
    case 'remove':
      return remove(rig, edit);
    case 'bypass':
      return bypass(rig, edit);
    case 'add':
      return add(rig, edit);
    case 'place':
      return place(rig, edit.part)?.rig ?? rig;
    case 'bridge':
      return bridge(rig, edit);
    case 'join':
      return join(rig, edit);
    case 'unplug':
      return { ...rig, joints: rig.joints.filter((joint) => joint.id !== edit.joint) };
    default:
      return applyChange(rig, edit);
  }
}

type Wiring =
  'swap' | 'turn' | 'move' | 'insert' | 'remove' | 'bypass' | 'add' | 'place' | 'bridge' | 'join' | 'unplug';

/** Edits that leave parts and joints where they are. */
function applyChange(rig: Rig, edit: Exclude<RigEdit, { kind: Wiring }>): Rig {
  switch (edit.kind) {
    case 'set':
      return set(rig, edit);
    case 'choose':
      return choose(rig, edit);
    case 'length':
      return within(edit.metres, 0, LIMITS.longestLead)
        ? changePart(rig, edit.part, (placed) => ({ ...placed, length: edit.metres }))
        : rig;
    case 'app':
      return changePart(rig, edit.part, ({ choices: _old, ...placed }) => ({ ...placed, app: edit.app }));
    case 'policy':
      return { ...rig, policies: [...(rig.policies ?? []), edit.policy].slice(-LIMITS.policies) };
    case 'mean':
      return mean(rig, edit);
    case 'tracks':
      return separate(rig, edit);
    case 'label':
      return label(rig, edit);
    case 'note':
      return note(rig, edit);
    case 'voice':
      return { ...rig, surroundings: { ...rig.surroundings, voice: edit.voice } };
    case 'distance':
      return distance(rig, edit);
    case 'outlet':
      return outlet(rig, edit);
    case 'session':
      return putSession(rig, edit.session);
    case 'air':
      return putAir(rig, edit.placing);
    case 'room':
      return putRoom(rig, edit.room);
    case 'person':
      return putPerson(rig, edit.person);
    case 'come':
      return putNewcomer(rig, edit.name);
    case 'leave':
      return takePerson(rig, edit.person);
    case 'site':
      return putSite(rig, edit);
    case 'own':
      return makeOwn(rig, edit.part, edit.as);
    case 'rename':
      return edit.name.trim() ? { ...rig, name: edit.name.trim().slice(0, LIMITS.name) } : rig;
  }
}
