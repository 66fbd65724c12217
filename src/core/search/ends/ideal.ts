import { contactsOf, type Contact } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import type { Analogue, OpenEnd, Sides } from './end';
import { Grid } from './grid';
import { join } from './join';
import { nodesOfPort, passageOf } from './passage';

/** Resistance of the ideal source, ohms, and what it gives at the most and at the least, volts: whatever may come to a box. */
const OHMS = 200;
const MOST = 3;
const LEAST = 1e-4;

const groundOf = (port: PartPort): Contact | undefined => {
  const contacts = contactsOf(port.connector);
  return (
    contacts.find((c) => port.roles?.[c] === 'ground') ?? (contacts.includes('1') ? '1' : contacts.at(-1))
  );
};

/** An open end that would suit a port: sound on every contact but its ground, blocked for direct current. */
export const idealEnd = (part: Part, port: PartPort): OpenEnd => {
  const ground = groundOf(port);
  const live = contactsOf(port.connector).filter((contact) => contact !== ground);
  return endFor(
    part,
    port,
    ground === undefined ? [] : live.map((c) => [c, ground, port.roles?.[c] === 'cold' ? -1 : 1]),
  );
};

/** An open end with sound between two contacts alone. */
export const pairEnd = (part: Part, port: PartPort, one: Contact, other: Contact): OpenEnd =>
  endFor(part, port, [[one, other, 1]]);

function endFor(
  part: Part,
  port: PartPort,
  pairs: readonly (readonly [Contact, Contact, sign: number])[],
): OpenEnd {
  const own: PartPort = { ...port, gender: port.gender === 'plug' ? 'jack' : 'plug' };
  const state = `ideal ${port.connector} ${port.gender} ${pairs.join(' ')}`;
  return { part, port: own, analogue: soundsOn(port, [pairs], 'any'), state };
}

/** An open port of copper with a sound of its own on each contact but its ground, all of which have to stay apart. */
export function splitEnd(part: Part, port: PartPort): OpenEnd | undefined {
  const ground = groundOf(port);
  const live = nodesOfPort(port, part).filter(([contact]) => contact !== ground);
  if (ground === undefined || live.length < 2) return undefined;
  const sounds = live.map(([contact]) => [[contact, ground, 1] as const]);
  return {
    part,
    port,
    analogue: soundsOn(port, sounds, 'split'),
    state: `split ${port.connector} ${port.gender} ${live.join(' ')}`,
  };
}

function soundsOn(
  port: PartPort,
  sounds: readonly (readonly (readonly [Contact, Contact, sign: number])[])[],
  sides: Sides,
): Analogue {
  const contacts = contactsOf(port.connector);
  const place = new Map(contacts.map((contact, index) => [contact, index]));
  const size = contacts.length;
  const alternating = new Grid(size, size + 2 * sounds.length);
  for (const [sound, pairs] of sounds.entries()) {
    for (const [one, other, sign] of pairs) {
      const [node, ground] = [place.get(one) ?? 0, place.get(other) ?? 0];
      const y = 1 / OHMS;
      alternating.add(node, node, y);
      alternating.add(ground, ground, y);
      alternating.add(node, ground, -y);
      alternating.add(ground, node, -y);
      for (const [column, volts] of [MOST, LEAST].entries()) {
        alternating.add(node, size + 2 * sound + column, sign * volts * y);
        alternating.add(ground, size + 2 * sound + column, -sign * volts * y);
      }
    }
  }
  return {
    place,
    size,
    alternating,
    direct: new Grid(size, size + 1),
    sounds: sounds.map((_, index) => ({ id: `ideal ${index}`, crest: 0 })),
    pairs: sounds.flatMap((pairs) => pairs.map(([one, other]) => [one, other] as const)),
    wants: [],
    sides,
  };
}

const channels = new WeakMap<PartPort, readonly string[]>();

/** Converter channels of a part that a socket of it reaches, each as "capture number". */
export function channelsOf(part: Part, port: PartPort): readonly string[] {
  const known = channels.get(port);
  if (known) return known;
  const joined = join(passageOf(part, [port]), port, idealEnd(part, port));
  const found = (part.captures ?? []).flatMap((capture) =>
    capture.channels.flatMap((_, n) => {
      const [sound] = joined?.heard.get(`${capture.id}#${n}`) ?? [];
      return sound && Math.hypot(...sound.most) > 1e-6 ? [`${capture.id} ${n}`] : [];
    }),
  );
  channels.set(port, found);
  return found;
}
