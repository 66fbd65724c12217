import { DEFAULT_APP, findApp } from '../apps';
import { isTurnable, type Part, type PartSetting } from '../parts';
import {
  applyEdit,
  endsOf,
  jointAt,
  partIn,
  partOf,
  portOf,
  type PortRef,
  peopleOf,
  type PersonSaid,
  type Rig,
  type Placing,
  type RigEdit,
  type SessionSaid,
  type SettingValue,
} from '../rig';
import { formatDb } from '../units';
import { sayMinutes } from './say-time';
import { capital, nameOf, noun } from './words';

const partName = (rig: Rig, id: string): string => partIn(rig, id)?.name ?? id;

function inSentence(name: string): string {
  return /^[A-Z][a-z]/.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;
}

/** A lead's ends, when it matters which is where. */
function endFirst(part: Part | undefined, first: string | undefined): string {
  const port = part?.ports.find((p) => p.id === first);
  return part && isTurnable(part) && port ? `, ${port.name} first` : '';
}

const endsAfter = (rig: Rig, { to, ports }: Extract<RigEdit, { kind: 'swap' }>): string =>
  endFirst(partIn(rig, to), ports[0]);

/** The name of a switch's place, or a knob's dB. */
function placeName(setting: PartSetting | undefined, value: SettingValue): string {
  if (typeof value === 'number') return formatDb(value);
  const option = setting?.kind === 'switch' ? setting.options.find((o) => o.id === value) : undefined;
  return option?.name ?? value;
}

const appIdOf = (rig: Rig, part: string): string =>
  rig.parts.find((placed) => placed.id === part)?.app ?? DEFAULT_APP;

/** The same where it is clear what is being replaced: the other part's name, and which end goes first. */
export function sayChoice(rig: Rig, edit: RigEdit): string {
  return edit.kind === 'swap' ? `${partName(rig, edit.to)}${endsAfter(rig, edit)}` : sayEdit(rig, edit);
}

const jointOf = (rig: Rig, id: string) => rig.joints.find((joint) => joint.id === id);

/** A free plug into a free socket, the socket by its name and the plug by its own where the part has several. */
function joined(rig: Rig, a: PortRef, b: PortRef): string {
  const [plug, jack] = portOf(rig, a)?.gender === 'jack' ? [b, a] : [a, b];
  const [end, socket] = [portOf(rig, plug), portOf(rig, jack)];
  const plugs = partOf(rig, plug.part)?.ports.filter(({ gender }) => gender === 'plug') ?? [];
  const which = end && plugs.length > 1 ? ` (${end.name})` : '';
  return `Plug ${inSentence(nameOf(rig, plug.part))}${which} into the ${socket?.name ?? jack.port} of ${inSentence(nameOf(rig, jack.part))}`;
}

/** " the lead and the phone", where a joint is known. */
function whereBetween(rig: Rig, id: string): string {
  const joint = jointOf(rig, id);
  if (!joint) return '';
  return ` ${inSentence(nameOf(rig, joint.plug.part))} and ${inSentence(nameOf(rig, joint.jack.part))}`;
}

/** "Put a patch cable between the output of the receiver and the headset jack of the phone", and which end comes first where that matters. */
function bridged(rig: Rig, { part, ports, between }: Extract<RigEdit, { kind: 'bridge' }>): string {
  const ends = between.map(
    (ref) => `the ${portOf(rig, ref)?.name ?? ref.port} of ${inSentence(nameOf(rig, ref.part))}`,
  );
  return `Put ${inSentence(partName(rig, part))} between ${ends.join(' and ')}${endFirst(partIn(rig, part), ports[0])}`;
}

function bypassed(rig: Rig, part: string, joints: readonly string[]): string {
  const ends = joints.map((id) => {
    const joint = jointOf(rig, id);
    return inSentence(nameOf(rig, joint && endsOf(joint, part)?.far.part));
  });
  return `Take ${inSentence(nameOf(rig, part))} out and plug ${ends.join(' and ')} together`;
}

function pulled(rig: Rig, id: string): string {
  const joint = jointOf(rig, id);
  if (!joint) return 'Pull the plug';
  const socket = portOf(rig, joint.jack)?.name ?? joint.jack.port;
  return `Pull ${inSentence(nameOf(rig, joint.plug.part))} out of the ${socket} of ${inSentence(nameOf(rig, joint.jack.part))}`;
}

/** How is it spoken, from how far; where it is plugged in, for how long, and what the place is like. */
function saySurroundings(
  rig: Rig,
  edit: Extract<
    RigEdit,
    {
      kind:
        'voice' | 'distance' | 'outlet' | 'session' | 'site' | 'air' | 'room' | 'person' | 'come' | 'leave';
    }
  >,
): string {
  switch (edit.kind) {
    case 'voice':
      return `Speak ${edit.voice}`;
    case 'distance':
      return `Put ${noun(rig, edit.part)} ${edit.metres} m from the mouth`;
    case 'outlet':
      return edit.place.trim()
        ? `Plug ${inSentence(nameOf(rig, edit.part))} into ${edit.place.trim()}`
        : `Leave open where ${inSentence(nameOf(rig, edit.part))} is plugged in`;
    case 'session':
      return saySession(edit.session);
    case 'air':
      return sayPut(rig, inSentence(nameOf(rig, edit.placing.speaker)), edit.placing);
    case 'room':
      return 'Say what the room is';
    case 'person':
      return sayPersonEdit(rig, edit.person);
    case 'come':
      return `${edit.name.trim()} comes into the room`;
    case 'leave':
      return `${peopleOf(rig).find(({ id }) => id === edit.person)?.name ?? 'Somebody'} leaves the room`;
    case 'site':
      return 'Say what the supply of the place is';
  }
}

/** What was changed of a person: "Put Ann 1.2 m from the microphone". */
function sayPersonEdit(rig: Rig, said: PersonSaid): string {
  const before = peopleOf(rig).find(({ id }) => id === said.id);
  const name = said.name ?? before?.name ?? 'Somebody';
  if (!before) return `${name} comes into the room`;
  const [moved] = said.places ?? [];
  if (!moved) return `Say anew who ${name} is and what they use`;
  return sayPut(rig, name, { ...moved, microphone: moved.part });
}

/** "Plan a session of 90 min", or what is said anew of the one that is planned. */
function saySession(session: SessionSaid | undefined): string {
  if (!session) return 'Plan no session';
  if (session.minutes !== undefined) return `Plan a session of ${sayMinutes(session.minutes)}`;
  return session.charge ? 'Say how full the batteries are' : 'Say what the phone does meanwhile';
}

/** "Put the loudspeaker 4 m from the microphone, 126° off its axis". */
function sayPut(rig: Rig, whom: string, { microphone, metres, degrees }: Omit<Placing, 'speaker'>): string {
  const from = inSentence(nameOf(rig, microphone));
  const far = metres === undefined ? '' : ` ${metres} m from ${from}`;
  const off =
    degrees === undefined
      ? ''
      : `${far ? ', ' : ' '}${Math.round(degrees)}° off ${far ? 'its axis' : `the axis of ${from}`}`;
  return `Put ${whom}${far}${off}`;
}

const sayMeant = (rig: Rig, { part, as, meant }: Extract<RigEdit, { kind: 'mean' }>): string =>
  `${capital(inSentence(nameOf(rig, part)))} is ${meant ? '' : 'not '}${as === 'sources' ? 'a source to be recorded' : 'a recorder'}`;

function saySet(rig: Rig, { part, setting: id, option }: Extract<RigEdit, { kind: 'set' }>): string {
  const setting = partOf(rig, part)?.settings?.find((s) => s.id === id);
  return `Set ${inSentence(nameOf(rig, part))}: ${setting?.name ?? id} to ${placeName(setting, option)}`;
}

function sayMove(rig: Rig, { joint, from, to }: Extract<RigEdit, { kind: 'move' }>): string {
  const [before, after] = [from, to].map((ref) => portOf(rig, ref)?.name ?? ref.port);
  const there = jointAt(rig, to);
  return there && there.id !== joint
    ? `Exchange the plugs in the ${before} and the ${after} of ${inSentence(nameOf(rig, to.part))}`
    : `Move the plug to the ${after} of ${inSentence(nameOf(rig, to.part))}`;
}

/** What edits do that are done one after another. */
export function sayEdits(rig: Rig, edits: readonly RigEdit[]): string {
  let stands = rig;
  return edits
    .map((edit, index) => {
      const says = sayEdit(stands, edit);
      stands = applyEdit(stands, edit);
      return index === 0 ? says : `then ${says.charAt(0).toLowerCase()}${says.slice(1)}`;
    })
    .join(', ');
}

/** What an edit does, as a verb. */
export function sayEdit(rig: Rig, edit: RigEdit): string {
  switch (edit.kind) {
    case 'swap':
      return `Swap ${inSentence(nameOf(rig, edit.part))} for ${inSentence(partName(rig, edit.to))}${endsAfter(rig, edit)}`;
    case 'turn':
      return `Turn ${inSentence(nameOf(rig, edit.part))} round`;
    case 'set':
      return saySet(rig, edit);
    case 'length':
      return `Make ${inSentence(nameOf(rig, edit.part))} ${edit.metres} m long`;
    case 'app':
      return `Use another app on ${inSentence(nameOf(rig, edit.part))}: ${findApp(edit.app)?.name ?? edit.app}`;
    case 'choose': {
      const choice = findApp(appIdOf(rig, edit.part))?.choices.find((c) => c.id === edit.choice);
      return `In the app on ${inSentence(nameOf(rig, edit.part))}: ${choice?.name ?? edit.choice}, ${placeName(choice, edit.option)}`;
    }
    case 'policy':
      return `Note that ${findApp(edit.policy.app)?.name ?? edit.policy.app} ${edit.policy.takes ? 'takes' : 'does not take'} ${edit.policy.way === 'usb' ? 'USB sound' : 'a headset'}`;
    case 'add': {
      const at = portOf(rig, edit.at)?.name ?? edit.at.port;
      return `Plug ${inSentence(partName(rig, edit.part))} into the ${at} of ${inSentence(nameOf(rig, edit.at.part))}`;
    }
    case 'bridge':
      return bridged(rig, edit);
    case 'place':
      return `Lay out ${inSentence(partName(rig, edit.part))}`;
    case 'join':
      return joined(rig, edit.a, edit.b);
    case 'unplug':
      return pulled(rig, edit.joint);
    case 'mean':
      return sayMeant(rig, edit);
    case 'tracks':
      return edit.apart ? 'Keep the sources apart' : 'Every source on every side';
    case 'label':
      return `Call ${inSentence(nameOf(rig, edit.part))} ${edit.label}`;
    case 'note':
      return 'Write a note';
    case 'move':
      return sayMove(rig, edit);
    case 'insert':
      return `Put ${inSentence(partName(rig, edit.part))} between${whereBetween(rig, edit.joint)}`;
    case 'remove':
      return `Take ${inSentence(nameOf(rig, edit.part))} out`;
    case 'bypass':
      return bypassed(rig, edit.part, edit.joints);
    case 'own':
      return `Change the figures of ${inSentence(nameOf(rig, edit.part))}`;
    case 'rename':
      return `Rename to ${capital(edit.name)}`;
    default:
      return saySurroundings(rig, edit);
  }
}
