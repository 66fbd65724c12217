import { mate, type Contact } from '../../plugs';
import type { ContactRole, Part, PartPort } from '../../parts';
import { insideOf, nodesOfPort, reach, groundOf } from './inside';

/**
 * What lies on the contacts of an open end, each contact with a word: the contact of the last box on which its sound
 * stood, "-" for a ground or return, several words where conductors join. Digital lines keep their own letters.
 */
export type Labels = ReadonlyMap<Contact, string>;

/** An open end of a growing chain: the port that waits for its other half, what lies on it and what it still wants. */
export interface OpenEnd {
  readonly part: Part;
  readonly port: PartPort;
  readonly labels: Labels;
  /** Direct voltage that the source still wants from somewhere ahead; 0 when it wants none. */
  readonly wants: number;
  /** Accepts only what feeds a digital port: the sound is already numbers. */
  readonly digital: boolean;
  /** The sound device whose numbers they are. */
  readonly device?: Part;
}

export const RETURN = '-';
const SOUND: readonly ContactRole[] = ['left', 'right', 'microphone', 'hot', 'cold'];

/** Several words on one contact stand with this between them. */
const AND = '+';

const isSound = (word: string): boolean => word.split(AND).some((one) => one !== RETURN);

const together = (words: Iterable<string>): string =>
  [...new Set([...words].flatMap((word) => word.split(AND)))].sort().join(AND);

/** What lies on the contacts, as one text. */
export const wordsOf = (labels: Labels): string =>
  [...labels]
    .map(([contact, words]) => `${contact}:${words}`)
    .sort()
    .join(' ');

export const soundContacts = (labels: Labels): Contact[] =>
  [...labels].filter(([, word]) => isSound(word)).map(([contact]) => contact);

/** Digital lines of a port. */
const DIGITAL: readonly string[] = ['V', 'G', 'D', 'A'];
export const isDigital = (port: PartPort): boolean => nodesOfPort(port).every(([c]) => DIGITAL.includes(c));

/** The direct voltage without which a part's own sound sources are silent: phantom, plug-in power. */
function wantsOf(part: Part): number {
  return Math.max(
    0,
    part.stagesNeed?.volts ?? 0,
    ...part.circuit.map((e) =>
      e.kind === 'electret' ? e.minimumBias : e.kind === 'signal' ? (e.needs?.volts ?? 0) : 0,
    ),
  );
}

/** What a box of its own puts on one of its ports. */
function rolesOn(port: PartPort, carries: (contact: Contact, node: string) => boolean): Labels {
  return new Map(
    nodesOfPort(port).flatMap(([contact, node]): [Contact, string][] => {
      const role = port.roles?.[contact];
      if (role === 'ground') return [[contact, RETURN]];
      return carries(contact, node) ? [[contact, contact]] : [];
    }),
  );
}

const digitalEnd = (part: Part, port: PartPort, device: Part | undefined): OpenEnd => ({
  part,
  port,
  ...(device && { device }),
  digital: true,
  wants: 0,
  labels: new Map(nodesOfPort(port).map(([contact]) => [contact, contact])),
});

/** The ends at which a source gives its sound: its outputs, and the digital plug of one that is a sound device itself. */
export function sourceEnds(part: Part): OpenEnd[] {
  return part.ports.flatMap((port): OpenEnd[] => {
    if (isDigital(port)) {
      const device = part.bus?.port === port.id && part.bus.captures.length > 0;
      return device ? [digitalEnd(part, port, part)] : [];
    }
    if (port.direction === 'in' || port.direction === 'through') return [];
    const labels = rolesOn(port, (contact) => SOUND.includes(port.roles?.[contact] ?? 'ground'));
    const end = { part, port, labels, wants: wantsOf(part), digital: false };
    return soundContacts(labels).length > 0 ? [end] : [];
  });
}

/** What an end puts onto the contacts of a port that it is plugged into or that is plugged into it. */
export function across(end: Pick<OpenEnd, 'port' | 'labels'>, port: PartPort): Labels | undefined {
  const mating = mate(end.port, port);
  if (!mating.fits) return undefined;
  const plugIsEnd = end.port.gender === 'plug';
  const found = new Map<Contact, Set<string>>();
  const put = (contact: Contact, word: string | undefined) => {
    if (word === undefined) return;
    const words = found.get(contact) ?? new Set();
    found.set(contact, words.add(word));
  };
  for (const { jack, plug } of mating.touches) {
    const [touching] = plug;
    if (touching === undefined) continue;
    if (plugIsEnd) put(jack, end.labels.get(touching));
    else put(touching, end.labels.get(jack));
  }
  return new Map([...found].map(([contact, words]) => [contact, together(words)]));
}

/** What enters a port: nodes with sound on them, and the returns, beyond which sound is not followed. */
function entered(port: PartPort, labels: Labels) {
  const sound: string[] = [];
  const returns: string[] = [];
  for (const [contact, node] of nodesOfPort(port)) {
    const word = labels.get(contact);
    if (word === undefined) continue;
    (isSound(word) ? sound : returns).push(node);
  }
  return { sound, returns };
}

/**
 * Every node of a part that could carry what enters it. Sound is not followed through ground: what the part's ports call so
 * and what comes in as a return. Where sound itself enters on ground, a floating source has its two conductors exchanged,
 * and what enters as its return is heard instead.
 */
function heardIn(part: Part, sound: readonly string[], returns: readonly string[]): Set<string> {
  const inside = insideOf(part);
  const ground = groundOf(part);
  const usual = reach(inside.sound, sound, new Set([...ground, ...reach(inside.joined, returns)]));
  if (!sound.some((node) => ground.has(node))) return usual;
  const exchanged = reach(inside.sound, returns, new Set([...ground, ...reach(inside.joined, sound)]));
  return new Set([...usual, ...exchanged]);
}

/** Through a plain link every word keeps its conductor. */
function throughPlain(part: Part, entry: PartPort, labels: Labels, exit: PartPort): Labels {
  const { joined } = insideOf(part);
  const words = new Map<string, Set<string>>();
  for (const [contact, node] of nodesOfPort(entry)) {
    const word = labels.get(contact);
    if (word === undefined) continue;
    for (const other of reach(joined, [node])) words.set(other, (words.get(other) ?? new Set()).add(word));
  }
  return new Map(
    nodesOfPort(exit).flatMap(([contact, node]): [Contact, string][] => {
      const found = words.get(node);
      return found ? [[contact, together(found)]] : [];
    }),
  );
}

/** Whether a capture of a part could hear what enters a port. */
function isCaptured(part: Part, ids: readonly string[], heard: ReadonlySet<string>): boolean {
  return (part.captures ?? [])
    .filter((capture) => ids.includes(capture.id))
    .some(({ channels }) => channels.some(({ plus, minus }) => heard.has(plus) || heard.has(minus)));
}

/**
 * The ends at which what entered a part by one of its ports may leave it. Never leaves out a way that conducts: what it
 * gives is what the pipeline is then asked about.
 */
export function exitsOf(
  part: Part,
  entry: PartPort,
  labels: Labels,
  { wants, device }: Pick<OpenEnd, 'wants' | 'device'>,
): OpenEnd[] {
  const inside = insideOf(part);
  if (isDigital(entry)) return digitalExits(part, entry, labels, device);
  if (inside.plain) {
    const exit = part.ports.find((port) => port !== entry);
    if (!exit) return [];
    const out = throughPlain(part, entry, labels, exit);
    return soundContacts(out).length > 0 ? [{ part, port: exit, labels: out, wants, digital: false }] : [];
  }
  const { sound, returns } = entered(entry, labels);
  const heard = heardIn(part, sound, returns);
  const fed = reach(inside.direct, sound);
  const met = [...inside.supplies].some(([node, volts]) => fed.has(node) && volts >= wants);
  const still = wants > 0 && !met ? wants : 0;
  const own = still === 0 ? (part.stagesNeed?.volts ?? 0) : still;
  return part.ports.flatMap((port): OpenEnd[] => {
    if (port === entry || port.direction === 'in') return [];
    if (isDigital(port)) {
      const device = part.bus?.port === port.id && isCaptured(part, part.bus.captures, heard);
      return device && still === 0 ? [digitalEnd(part, port, part)] : [];
    }
    // What still wants its supply gets none through a part that lets no direct current on to this port.
    if (still > 0 && !nodesOfPort(port).some(([, node]) => fed.has(node))) return [];
    const out =
      port.roles === undefined
        ? new Map([...throughBox(part, port, heard, returns)])
        : rolesOn(port, (_, node) => heard.has(node));
    return soundContacts(out).length > 0
      ? [{ part, port, labels: out, wants: Math.max(still, own), digital: false }]
      : [];
  });
}

/** On a port without roles of its own: sound where it gets to, a return where the entry's returns do. */
function throughBox(
  part: Part,
  port: PartPort,
  heard: ReadonlySet<string>,
  returns: readonly string[],
): [Contact, string][] {
  const back = reach(insideOf(part).sound, returns);
  return nodesOfPort(port).flatMap(([contact, node]): [Contact, string][] =>
    heard.has(node) ? [[contact, contact]] : back.has(node) ? [[contact, RETURN]] : [],
  );
}

/** Digital lines go on through leads contact by contact, and through hubs and adapters toward the host. */
function digitalExits(part: Part, entry: PartPort, labels: Labels, device: Part | undefined): OpenEnd[] {
  const lives = labels.has('V') && labels.has('D');
  if (!lives) return [];
  if (part.hub) {
    const socket = part.hub.sockets.find((s) => s.port === entry.id && s.data);
    const upstream = part.ports.find((port) => port.id === part.hub?.upstream);
    return socket && upstream ? [digitalEnd(part, upstream, device)] : [];
  }
  if (part.bus || part.host) return [];
  return part.ports.flatMap((port): OpenEnd[] => {
    if (port === entry || !isDigital(port)) return [];
    const out = throughPlain(part, entry, labels, port);
    return out.has('V') && out.has('D') ? [{ ...digitalEnd(part, port, device), labels: out }] : [];
  });
}

/** Contacts of a port that lie on a node by wires alone. */
const contactsOn = (part: Part, port: PartPort, node: string): Set<Contact> => {
  const joined = reach(insideOf(part).joined, [node]);
  return new Set(nodesOfPort(port).flatMap(([contact, own]) => (joined.has(own) ? [contact] : [])));
};

/**
 * Whether one band of a plug lies on both the microphone and the ground spring of a headset jack: then it senses 0 Ω,
 * whatever else there is.
 */
export function isBridged(plug: PartPort, part: Part, port: PartPort): boolean {
  const mating = mate(plug, port);
  if (!mating.fits || mating.uncertain || port.gender !== 'jack') return false;
  return (part.captures ?? []).some(({ detection }) => {
    if (!detection) return false;
    const [mic, ground] = [detection.microphone, detection.ground].map((node) =>
      contactsOn(part, port, node),
    );
    const bands = (on: ReadonlySet<Contact> | undefined) =>
      mating.touches.flatMap(({ jack, plug: [band] }) => (on?.has(jack) && band !== undefined ? [band] : []));
    return bands(mic).some((band) => bands(ground).includes(band));
  });
}

/** Whether a host could record what comes to one of its ports: a converter there hears it, or a digital port takes it. */
export function couldRecord(host: Part, port: PartPort, labels: Labels, wants: number): boolean {
  const inside = insideOf(host);
  if (isDigital(port)) {
    const socket = host.host?.busPorts.some((busPort) => busPort.port === port.id && busPort.data);
    return socket === true && labels.has('V') && labels.has('D');
  }
  const { sound, returns } = entered(port, labels);
  const fed = reach(inside.direct, sound);
  const met = wants === 0 || [...inside.supplies].some(([node, volts]) => fed.has(node) && volts >= wants);
  if (!met) return false;
  const heard = heardIn(host, sound, returns);
  return isCaptured(
    host,
    (host.captures ?? []).map((capture) => capture.id),
    heard,
  );
}
