import type { App } from '../src/core/apps';
import type { Battery, CircuitElement, Part, PartSetting, Quantity } from '../src/core/parts';
import type { Rig, RigEdit, SettingValue } from '../src/core/rig';

/** What a name stands for: a name of one kind never becomes one of another. */
type Kind =
  'part' | 'port' | 'node' | 'setting' | 'option' | 'stage' | 'capture' | 'app' | 'choice' | 'alike';

type Name = <T extends string>(kind: Kind, old: T) => T;

/** Mixes a seed and a word to 32 bits (FNV-1a; from memory). */
function mixed(seed: number, word: string): number {
  let hash = 0x811c9dc5 ^ seed;
  for (const char of word) hash = Math.imul(hash ^ char.charCodeAt(0), 0x01000193) >>> 0;
  return hash;
}

/** New words for old, the same one for the same, by a seed; nothing of the old word shows in the new. */
export function namesBy(seed: number): Name {
  const used = new Map<string, string>();
  return <T extends string>(kind: Kind, old: T): T => {
    const key = `${kind} ${old}`;
    const known = used.get(key) ?? `n${mixed(seed, key).toString(36)}${used.size}`;
    used.set(key, known);
    return known as T;
  };
}

/** Contacts keep their letters: those are the connector's. */
function node(name: Name, old: string): string {
  const [port = '', contact] = old.split('.');
  return contact === undefined ? name('node', old) : `${name('port', port)}.${contact}`;
}

const keys = <T>(values: Readonly<Record<string, T>>, by: (key: string) => string): Record<string, T> =>
  Object.fromEntries(Object.entries(values).map(([key, value]) => [by(key), value]));

function quantity(name: Name, old: Quantity): Quantity {
  if (typeof old !== 'object') return old;
  if ('setting' in old) {
    return { setting: name('setting', old.setting), values: keys(old.values, (k) => name('option', k)) };
  }
  return 'knob' in old ? { knob: name('setting', old.knob) } : old;
}

const QUANTITIES = ['ohms', 'farads', 'henries', 'noise', 'clip', 'volts', 'sensitivity'] as const;
const NODES = ['a', 'b', 'c', 'd', 'plus', 'minus', 'microphone', 'ground'] as const;

/** A flat record with its nodes and quantities renamed. */
function record<T extends object>(name: Name, old: T): T {
  const changed: Record<string, unknown> = { ...(old as Record<string, unknown>) };
  for (const key of NODES) if (typeof changed[key] === 'string') changed[key] = node(name, changed[key]);
  for (const key of [...QUANTITIES, 'gain', 'draw', 'takes', 'gives'] as const) {
    if (changed[key] !== undefined && !Array.isArray(changed[key])) {
      changed[key] = quantity(name, changed[key] as Quantity);
    }
  }
  if (typeof changed.fedBy === 'string') changed.fedBy = name('port', changed.fedBy);
  return changed as T;
}

const by = <T extends { setting: string; is: string }>(name: Name, old: T): T => ({
  ...old,
  setting: name('setting', old.setting),
  is: name('option', old.is),
});

function element(name: Name, old: CircuitElement): CircuitElement {
  const changed = record(name, old);
  const own = 'id' in changed ? { ...changed, id: name('stage', changed.id) } : changed;
  if (own.kind !== 'signal') return own;
  return {
    ...own,
    ...(own.mutedBy && { mutedBy: own.mutedBy.map((one) => by(name, one)) }),
    ...(own.needs && { needs: record(name, own.needs) }),
  };
}

const setting = <T extends PartSetting>(name: Name, kind: 'setting' | 'choice', old: T): T =>
  old.kind === 'knob'
    ? { ...old, id: name(kind, old.id) }
    : {
        ...old,
        id: name(kind, old.id),
        options: old.options.map((option) => ({ ...option, id: name('option', option.id) })),
        initial: name('option', old.initial),
      };

const powerBy = (name: Name, sources: Part['power']) =>
  sources?.map((one) => ('port' in one ? { port: name('port', one.port) } : by(name, one)));

/** What hears, is heard, or is driven. */
function stagesOf(name: Name, old: Part): Partial<Part> {
  return {
    circuit: old.circuit.map((one) => element(name, one)),
    ...(old.paths && {
      paths: old.paths.map((path) => ({
        ...record(name, path),
        from: name('stage', path.from),
        to: name('stage', path.to),
        gain: path.gain.map((gain) => quantity(name, gain)),
      })),
    }),
    ...(old.captures && {
      captures: old.captures.map((capture) => ({
        ...record(name, capture),
        id: name('capture', capture.id),
        port: name('port', capture.port),
        channels: capture.channels.map((channel) => ({
          ...record(name, channel),
          ...(channel.socket !== undefined && { socket: name('port', channel.socket) }),
        })),
        ...(capture.on && { on: by(name, capture.on) }),
        ...(capture.detection && { detection: record(name, capture.detection) }),
      })),
    }),
    ...(old.ears && { ears: old.ears.map((ear) => record(name, ear)) }),
    ...(old.speaker && { speaker: record(name, old.speaker) }),
    ...(old.bears && { bears: old.bears.map((one) => record(name, one)) }),
    ...(old.stagesNeed && { stagesNeed: record(name, old.stagesNeed) }),
  };
}

function batteryOf(name: Name, old: Battery): Battery {
  const { milliwatts, on } = old;
  return {
    ...old,
    ...(milliwatts !== undefined && { milliwatts: quantity(name, milliwatts) }),
    ...(on && { on: by(name, on) }),
  };
}

/** What it is to the bus, and where its power comes from and goes to. */
function busOf(name: Name, old: Part): Partial<Part> {
  const port = (id: string) => name('port', id);
  return {
    ...(old.bus && {
      bus: {
        ...record(name, old.bus),
        port: port(old.bus.port),
        captures: old.bus.captures.map((id) => name('capture', id)),
        ...(old.bus.worksIn && { worksIn: old.bus.worksIn.map((app) => name('app', app)) }),
        ...(old.bus.format && {
          format: { ...old.bus.format, bits: quantity(name, old.bus.format.bits) },
        }),
      },
    }),
    ...(old.hub && {
      hub: {
        ...old.hub,
        upstream: port(old.hub.upstream),
        sockets: old.hub.sockets.map((one) => ({ ...one, port: port(one.port) })),
        ...(old.hub.supplied && { supplied: powerBy(name, old.hub.supplied) }),
      },
    }),
    ...(old.host && {
      host: { ...old.host, busPorts: old.host.busPorts.map((one) => ({ ...one, port: port(one.port) })) },
    }),
    ...(old.outlets && {
      outlets: old.outlets.map((one) => ({ ...one, port: port(one.port), gives: quantity(name, one.gives) })),
    }),
    ...(old.power && { power: powerBy(name, old.power) }),
    ...(old.mains && { mains: { ...old.mains, ...(old.mains.on && { on: by(name, old.mains.on) }) } }),
    ...(old.battery && { battery: batteryOf(name, old.battery) }),
    ...(old.isolated && { isolated: old.isolated.map(port) }),
    ...(old.noticedWith !== undefined && { noticedWith: port(old.noticedWith) }),
    ...(old.passesCharge && { passesCharge: old.passesCharge.map(port) }),
  };
}

/** A part with every id, port, node, stage, setting and option renamed. */
export const renamedPart = (name: Name, old: Part): Part => ({
  ...old,
  id: name('part', old.id),
  ports: old.ports.map((port) => ({
    ...port,
    id: name('port', port.id),
    ...(port.alike !== undefined && { alike: name('alike', port.alike) }),
  })),
  ...(old.settings && { settings: old.settings.map((one) => setting(name, 'setting', one)) }),
  ...stagesOf(name, old),
  ...busOf(name, old),
});

/** An app class with its id and every choice and option renamed. */
export function renamedApp(name: Name, old: App): App {
  const chosen = <T extends { choice: string; is: string }>(one: T): T => ({
    ...one,
    choice: name('choice', one.choice),
    is: name('option', one.is),
  });
  const numbers = <T extends { choice: string; numbers: Readonly<Record<string, number>> }>(one: T): T => ({
    ...one,
    choice: name('choice', one.choice),
    numbers: keys(one.numbers, (option) => name('option', option)),
  });
  const { own, stale, monitor, stereo, trackCount, tracks } = old.decides;
  return {
    ...old,
    id: name('app', old.id),
    choices: old.choices.map((one) => setting(name, 'choice', one)),
    decides: {
      ...(own && { own: chosen(own) }),
      ...(stale && { stale: chosen(stale) }),
      ...(monitor && { monitor: chosen(monitor) }),
      ...(stereo && { stereo: chosen(stereo) }),
      ...(trackCount && { trackCount: numbers(trackCount) }),
      ...(tracks && {
        tracks: tracks.map((t) => ({ ...t, input: numbers(t.input), armed: chosen(t.armed) })),
      }),
    },
  };
}

const option = (name: Name, value: SettingValue): SettingValue =>
  typeof value === 'string' ? name('option', value) : value;

const values = (name: Name, kind: 'setting' | 'choice', old: Readonly<Record<string, SettingValue>>) =>
  Object.fromEntries(
    Object.entries(old).map(([id, value]) => [name(kind, id), option(name, value)] as const),
  );

const end = (name: Name, { part, port }: { part: string; port: string }) => ({
  part,
  port: name('port', port),
});

/** A rig of the renamed parts; the ids of what is laid out stay, and nothing else does. */
export function renamedRig(name: Name, rig: Rig): Rig {
  return {
    ...rig,
    parts: rig.parts.map((placed) => ({
      ...placed,
      part: name('part', placed.part),
      ...(placed.app !== undefined && { app: name('app', placed.app) }),
      ...(placed.settings && { settings: values(name, 'setting', placed.settings) }),
      ...(placed.choices && { choices: values(name, 'choice', placed.choices) }),
    })),
    joints: rig.joints.map((joint) => ({
      ...joint,
      plug: end(name, joint.plug),
      jack: end(name, joint.jack),
    })),
    ...(rig.policies && {
      policies: rig.policies.map((note) => ({
        ...note,
        app: name('app', note.app),
        ...(note.host !== undefined && { host: name('part', note.host) }),
      })),
    }),
    ...(rig.ownParts && { ownParts: rig.ownParts.map((part) => renamedPart(name, part)) }),
  };
}

/** An edit as the renamed rig would have it. */
export function renamedEdit(name: Name, edit: RigEdit): RigEdit {
  switch (edit.kind) {
    case 'swap':
      return { ...edit, to: name('part', edit.to), ports: edit.ports.map((port) => name('port', port)) };
    case 'set':
      return { ...edit, setting: name('setting', edit.setting), option: option(name, edit.option) };
    case 'choose':
      return { ...edit, choice: name('choice', edit.choice), option: option(name, edit.option) };
    case 'app':
      return { ...edit, app: name('app', edit.app) };
    case 'add':
      return {
        ...edit,
        part: name('part', edit.part),
        port: name('port', edit.port),
        at: end(name, edit.at),
      };
    case 'move':
      return { ...edit, from: end(name, edit.from), to: end(name, edit.to) };
    case 'join':
      return { ...edit, a: end(name, edit.a), b: end(name, edit.b) };
    case 'insert':
      return {
        ...edit,
        part: name('part', edit.part),
        ports: [name('port', edit.ports[0]), name('port', edit.ports[1])],
      };
    default:
      return edit;
  }
}
