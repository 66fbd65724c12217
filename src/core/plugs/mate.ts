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

const known = new Map<string, Mating>();

/** Which plug contact each jack spring touches with the plug fully home; never throws, a misfit is an answer. */
export function mate(plug: Fitting, jack: Fitting): Mating {
  const key = `${plug.gender} ${plug.connector} ${jack.gender} ${jack.connector}`;
  const found = known.get(key) ?? mated(plug, jack);
  known.set(key, found);
  return found;
}

function mated(plug: Fitting, jack: Fitting): Mating {
  if (plug.gender === jack.gender) {
    return { fits: false, misfit: plug.gender === 'plug' ? 'two-plugs' : 'two-jacks' };
  }
  const [inserted, socket] = plug.gender === 'plug' ? [plug, jack] : [jack, plug];
  if (isPhoneConnector(inserted.connector) && isPhoneConnector(socket.connector)) {
    return matePhone(inserted.connector, socket.connector);
  }
  if (inserted.connector !== socket.connector) return { fits: false, misfit: 'family' };
  const touches = contactsOf(socket.connector).map((contact) => ({ jack: contact, plug: [contact] }));
  return { fits: true, touches, uncertain: false };
}
