import { supplySockets } from './builders';
import type { Capture, CircuitElement, Part, Quantity } from './types.generated';

const joinsContactsOnly = (part: Part): boolean =>
  !part.host && !part.hub && !part.bus && (part.settings ?? []).length === 0;

/** Leads and adapters that pass on what lies on their contacts: two ends, no electronics that a host would see, nothing to set. */
export const isPlainLink = (part: Part): boolean =>
  part.ports.length === 2 &&
  joinsContactsOnly(part) &&
  part.ports.every((port) => port.direction === 'through');

const COPPER: readonly CircuitElement['kind'][] = ['wire', 'conductor', 'capacitor'];
const WIRING: readonly CircuitElement['kind'][] = [...COPPER, 'resistor'];

/** More than what lies between the conductors of any lead, F: such a capacitor is there to let sound through. */
const BLOCKING = 1e-7;

/** A plain link of copper and nothing else: no capacitor that stands in the way of direct current. */
export const isCopper = (part: Part): boolean =>
  isPlainLink(part) &&
  part.circuit.every(
    (element) =>
      COPPER.includes(element.kind) &&
      !(element.kind === 'capacitor' && typeof element.farads === 'number' && element.farads > BLOCKING),
  );

/** A lead or adapter, with as many ends as it may have, and a resistor in it perhaps: another of them is no other way. */
export const isWiring = (part: Part): boolean =>
  joinsContactsOnly(part) &&
  part.ports.every((port) => port.direction === 'through' || port.direction === 'out') &&
  part.circuit.every(({ kind }) => WIRING.includes(kind));

/** Copper between sockets, however many: leads, adapters, splitters. */
export const isPassiveLink = (part: Part): boolean =>
  joinsContactsOnly(part) &&
  part.ears === undefined &&
  part.circuit.every(({ kind }) => WIRING.includes(kind));

/** It is there to give others power, and does nothing else: a charger, a power bank, a port on the wall. */
export const isSupply = (part: Part): boolean => !part.host && (part.outlets ?? []).length > 0;

/** A phone or computer whose playback comes out somewhere: of a jack of its own, or of what is in its port. */
export const playsBack = ({ host, circuit }: Part): boolean =>
  host !== undefined &&
  (circuit.some((e) => e.kind === 'signal' && e.hears === 'playback') ||
    (host.runsApps && host.busPorts.some(({ data }) => data)));

/** It brings a sound of its own, other than what a host plays through it. */
const hasOwnSound = ({ circuit }: Part): boolean =>
  circuit.some((e) => e.kind === 'electret' || (e.kind === 'signal' && e.hears !== 'playback'));

/** It passes on what comes in, with or without electronics: leads, pads, converters, dongles, hubs, interfaces. */
export const passesOn = (part: Part): boolean =>
  !part.host && !isSupply(part) && !isWornToListen(part) && !hasOwnSound(part) && part.ports.length > 1;

/** The switch on which a figure hangs, if one. */
export const switchesOf = (quantity: Quantity | undefined): string[] =>
  typeof quantity === 'object' && 'setting' in quantity ? [quantity.setting] : [];

/** What a thing is for, as somebody who looks for another in its place would say; a headset is for two. */
const usesOf = (part: Part): readonly string[] => {
  if (part.host) return ['recorder'];
  if (isSupply(part)) return ['supply'];
  const found = [
    ...(hasOwnSound(part) ? ['source'] : []),
    ...(isWornToListen(part) || part.speaker ? ['listening'] : []),
    ...(passesOn(part) && !part.speaker ? ['between'] : []),
  ];
  return found.length > 0 ? found : ['other'];
};

/** Whether one may stand for the other. */
export const servesLike = (part: Part, other: Part): boolean =>
  usesOf(part).some((use) => usesOf(other).includes(use));

/** Ends beside those for power: a thing with more of them is a box with inputs of its own. */
const MOST_ENDS = 3;

/** The same, small enough to be put in the way of one lead. */
export const goesBetween = (part: Part): boolean => {
  const power = new Set(supplySockets(part));
  return passesOn(part) && part.ports.filter(({ id }) => !power.has(id)).length <= MOST_ENDS;
};

/** It is worn on the ears, with or without a microphone of its own. */
export const isWornToListen = (part: Part): boolean => !part.host && part.ears !== undefined;

/** The same, without a microphone. */
export const isHeadphones = (part: Part): boolean =>
  isWornToListen(part) && !part.circuit.some((e) => e.kind === 'electret' || e.kind === 'signal');

/** Where it has to stay while it is used. On a gimbal or on the body it cannot be. */
export const staysPut = (part: Part): boolean => part.stands === 'table' || part.stands === 'wall';

/** Each channel has a socket of its own: what is on one of them is an input, and no half of a stereo programme. */
export const hasInputsApart = ({ channels }: Capture): boolean =>
  channels.length > 1 && new Set(channels.map(({ socket }) => socket)).size === channels.length;

/** Whether a figure is nothing but open or closed by a switch. */
const closedBy = (quantity: Quantity): string | undefined =>
  typeof quantity === 'object' &&
  'setting' in quantity &&
  Object.values(quantity.values).every((value) => value === 0 || value === null || value === -Infinity)
    ? quantity.setting
    : undefined;

/** Switches that close every path of a part. */
function closingAll({ paths = [] }: Part): string[] {
  const [first, ...others] = paths.map(({ gain }) => new Set(gain.flatMap((one) => closedBy(one) ?? [])));
  return [...(first ?? [])].filter((setting) => others.every((set) => set.has(setting)));
}

/**
 * Switches that say that something is in a socket, beside the socket itself: of files from before supplies were parts. What they stand
 * for is to be put there; they are read and not offered.
 */
export function standIns({ hub }: Part): ReadonlySet<string> {
  const supplied = hub?.supplied ?? [];
  const hasSocket = supplied.some((source) => 'port' in source);
  return new Set(
    hasSocket ? supplied.flatMap((source) => ('setting' in source ? [source.setting] : [])) : [],
  );
}

/** Switches that say nothing but whether it is on, fed, linked or live: nearly always they stand as delivered. */
export const stateSwitches = (part: Part): ReadonlySet<string> =>
  new Set([
    ...part.circuit.flatMap((e) =>
      e.kind === 'signal' ? (e.mutedBy ?? []).map(({ setting }) => setting) : [],
    ),
    ...(part.power ?? []).flatMap((source) => ('setting' in source ? [source.setting] : [])),
    ...closingAll(part),
  ]);
