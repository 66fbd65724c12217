import {
  contactsOf,
  diameterOf,
  isPhoneConnector,
  type Connector,
  type Contact,
  type Gender,
  type PhoneConnector,
} from './connectors';
import { JACK_SPRINGS, PLUG_BANDS, type JackSpring, type PlugBand } from './geometry';

/** One end of a joint as the joint sees it. */
export interface Fitting {
  readonly connector: Connector;
  readonly gender: Gender;
}

/** What one jack contact touches. More than one entry: real jacks differ; the likeliest stands first. */
export interface Touch {
  readonly jack: Contact;
  readonly plug: readonly Contact[];
}

/** `opening`: another plug fills the opening that two sockets share. */
export type Misfit = 'two-plugs' | 'two-jacks' | 'size' | 'family' | 'opening';

export type Mating =
  | { readonly fits: true; readonly touches: readonly Touch[]; readonly uncertain: boolean }
  | { readonly fits: false; readonly misfit: Misfit };

/** Bands that lie within the spring's range of depths, the one at its nominal depth (or nearest to it) first. */
function bandsUnder(spring: JackSpring, bands: readonly PlugBand[]): Contact[] {
  const distance = (b: PlugBand) => Math.max(b.from - spring.at, spring.at - b.to, 0);
  return bands
    .filter((b) => b.to > spring.deepest && b.from < spring.nearest)
    .sort((a, b) => distance(a) - distance(b))
    .map((b) => b.contact);
}

function matePhone(plug: PhoneConnector, jack: PhoneConnector): Mating {
  if (diameterOf(plug) !== diameterOf(jack)) return { fits: false, misfit: 'size' };
  const touches = JACK_SPRINGS[jack].map((spring) => ({
    jack: spring.contact as Contact,
    plug: bandsUnder(spring, PLUG_BANDS[plug]),
  }));
  return { fits: true, touches, uncertain: touches.some((touch) => touch.plug.length > 1) };
}

const TWO_PLUGS: Mating = { fits: false, misfit: 'two-plugs' };
const TWO_JACKS: Mating = { fits: false, misfit: 'two-jacks' };

/** By the plug's connector and the socket's. */
const known = new Map<Connector, Map<Connector, Mating>>();

/** Which plug contact each jack spring touches with the plug fully home; never throws, a misfit is an answer. */
export function mate(one: Fitting, other: Fitting): Mating {
  if (one.gender === other.gender) return one.gender === 'plug' ? TWO_PLUGS : TWO_JACKS;
  const [plug, jack] =
    one.gender === 'plug' ? [one.connector, other.connector] : [other.connector, one.connector];
  const byJack = known.get(plug) ?? new Map<Connector, Mating>();
  const found = byJack.get(jack) ?? mated(plug, jack);
  byJack.set(jack, found);
  known.set(plug, byJack);
  return found;
}

function mated(plug: Connector, jack: Connector): Mating {
  if (isPhoneConnector(plug) && isPhoneConnector(jack)) return matePhone(plug, jack);
  if (plug !== jack) return { fits: false, misfit: 'family' };
  const touches = contactsOf(jack).map((contact) => ({ jack: contact, plug: [contact] }));
  return { fits: true, touches, uncertain: false };
}
