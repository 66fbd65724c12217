import { LOST_DB } from '../../checks';
import type { Part, PartPort } from '../../parts';
import { contactsOf, type Contact } from '../../plugs';
import { isDigital, type Analogue, type Edge, type OpenEnd } from './end';
import { NO_ADMITTANCE } from './grid';
import { join, type Joined, type Voices } from './join';
import { leave, openVolts } from './leave';
import { isCoupled } from './outlets';
import { passageOf } from './passage';
import { size, type Amplitude } from './stages';

/** The estimate may be off by so much, dB: what is nearer to the limit is left for the pipeline to say. */
const GRACE = 0.3;

const decibels = (value: number): number => 20 * Math.log10(value);

interface LoudPair {
  readonly pair: readonly Contact[];
  readonly volts: number;
}

/** What stands between each two of its contacts, the loudest first. */
function loudPairs(analogue: Analogue): readonly LoudPair[] {
  const open = openVolts(analogue);
  const between = ([one, other]: readonly [Contact, Contact]): number =>
    Math.max(
      0,
      ...open.map((at) => {
        const [[x, y], [u, v]] = [one, other].map((c) => at[analogue.place.get(c) ?? 0] ?? [0, 0]) as [
          Amplitude['most'],
          Amplitude['most'],
        ];
        return size([x - u, y - v]);
      }),
    );
  const all = analogue.pairs.map((pair) => ({ pair, volts: between(pair) }));
  return all.sort((a, b) => b.volts - a.volts);
}

const loudestPair = (analogue: Analogue): LoudPair => loudPairs(analogue)[0] ?? { pair: [], volts: 0 };

const loudest = (analogue: Analogue): number => loudestPair(analogue).volts;

/** Where the band of a source that a coil gives ends, Hz; undefined for what has no coil. */
function bandEnd({ circuit }: Part): number | undefined {
  if (!circuit.some(({ kind }) => kind === 'inductor')) return undefined;
  const ends = circuit.flatMap((e) => (e.kind === 'signal' && e.band ? [e.band[1]] : []));
  return ends.length > 0 ? Math.max(...ends) : undefined;
}

/** A source's own end with what it gives at the upper end of its band. */
export function withEdge(end: OpenEnd, voices: Voices): OpenEnd {
  const { part, port, analogue } = end;
  const hertz = bandEnd(part);
  if (!analogue || hertz === undefined) return end;
  const passage = passageOf(part, [port], hertz);
  const joined = join(passage, undefined, undefined, voices);
  const [places] = passage.places;
  const there = joined && places && leave(joined, part, port, places)?.analogue;
  if (!there) return end;
  const own = decibels(loudest(there) / loudest(analogue));
  return { ...end, analogue: { ...analogue, edge: { hertz, analogue: there, own } } };
}

/** So much may the capacitance of leads lift a coil's upper band at the most, dB. Ours: a lead and a coupler ahead of 100 kΩ lift it by 1.3. */
const RINGS = 6;

/** Whether too little is left of a coil's upper band, whatever else hangs on the end. */
export const isDullOpen = (analogue: Analogue, edge: Edge): boolean =>
  decibels(loudest(analogue) / loudest(edge.analogue)) + edge.own > LOST_DB + RINGS;

/** Behind more than this at the upper end of its band, ohms, a coil wants more than a line input, which has as much. Typical. */
const LINE_OHMS = 10_000;

/** What stands between two contacts with everything else open, ohms. */
function ohmsBetween(
  { alternating, place, size: nodes }: Analogue,
  [one, other]: readonly Contact[],
): number {
  const [a, b] = [one && place.get(one), other && place.get(other)];
  if (a === undefined || b === undefined) return 0;
  const open = alternating.copy();
  for (let node = 0; node < nodes; node += 1)
    if (node !== a && node !== b) open.eliminate(node, NO_ADMITTANCE);
  return 1 / Math.hypot(open.re(a, a), open.im(a, a));
}

/** Pairs of contacts between which so much of the loudest stands are as loud: a leg of a floating winding against the shield, and its two legs. */
const AS_LOUD = 0.9;

/** A coil of which a line input would leave little, between whichever contacts it is as loud. */
export function isTender({ analogue }: OpenEnd): boolean {
  const upper = analogue?.edge?.analogue;
  if (!upper) return false;
  const [loudest, ...others] = loudPairs(upper);
  const asLoud = others.filter(({ volts }) => volts >= AS_LOUD * (loudest?.volts ?? 0));
  return [...(loudest ? [loudest] : []), ...asLoud].every(({ pair }) => ohmsBetween(upper, pair) > LINE_OHMS);
}

/** A source by its two loudest contacts straight on every two contacts of a port of a part, where it is to be fed either way round. */
export function onEveryPair(end: OpenEnd, part: Part, port: PartPort): OpenEnd[] {
  const { analogue } = end;
  if (!analogue || isDigital(port)) return [];
  const loud = loudestPair(analogue).pair;
  const own: PartPort = { ...port, gender: port.gender === 'plug' ? 'jack' : 'plug' };
  const contacts = contactsOf(port.connector);
  const at = (of: Analogue, pair: readonly [Contact, Contact]): Analogue => ({
    ...of,
    place: new Map(pair.map((contact, n) => [contact, (loud[n] && of.place.get(loud[n])) ?? n])),
    pairs: [pair],
    ...(of.edge && { edge: { ...of.edge, analogue: at(of.edge.analogue, pair) } }),
  });
  // Of direct current it hangs on which way round; a sound has none.
  const eitherWay = analogue.wants.length > 0;
  return contacts.flatMap((one, index) =>
    contacts
      .filter((other, at) => (eitherWay ? other !== one : at > index))
      .map((other): OpenEnd => {
        const state = `${end.state} on ${port.connector} ${port.gender} ${one}${other}`;
        return { part, port: own, analogue: at(analogue, [one, other]), state };
      }),
  );
}

/** The edge of an end on the other side of a part that listens to nothing, or past its stages by copper. */
export function edgeBeyond(part: Part, entry: PartPort, end: OpenEnd, exit: PartPort): Edge | undefined {
  const edge = end.analogue?.edge;
  if (!edge || (listens(part) && !isCoupled(part, entry, exit))) return undefined;
  const passage = passageOf(part, [entry, exit], edge.hertz);
  const joined = join(passage, entry, { ...end, analogue: edge.analogue });
  const places = passage.places[1];
  const analogue = joined && places && leave(joined, part, exit, places)?.analogue;
  return analogue && { ...edge, analogue };
}

/** It has stages or converters: what follows does not load what comes in. */
export const listens = ({ paths = [], captures = [] }: Part): boolean =>
  paths.length > 0 || captures.length > 0;

/** Less than this is nothing that is heard, volts. */
const NOTHING = 1e-9;

/**
 * What is loudest of a sound where a part listens, and at which place: where a stage senses it, ahead of whatever gain; what comes to a
 * converter behind stages is held under its clip level, and tells nothing of what was lost.
 */
function heardIn(
  part: Part,
  { heard }: Joined,
  at?: string,
): { readonly at: string; readonly volts: number } | undefined {
  const volts = ([sound]: readonly Amplitude[]): number => (sound ? size(sound.most) : 0);
  const found = [...heard].map(([id, amplitudes]) => ({ at: id, volts: volts(amplitudes) }));
  if (at !== undefined) return found.find((one) => one.at === at);
  const senses = new Set(part.circuit.flatMap((e) => (e.kind === 'sense' ? [e.id] : [])));
  const sensed = found.filter((one) => senses.has(one.at) && one.volts > NOTHING);
  return (sensed.length > 0 ? sensed : found).sort((a, b) => b.volts - a.volts)[0];
}

/** Whether a part, where it listens, loads a source so that it is dulled (checks/dull), in whichever place its switches stand. */
export const isDulled = (part: Part, entry: PartPort, end: OpenEnd): boolean =>
  lostIn(part, entry, end) > LOST_DB + GRACE;

/** The same whatever leads may lie between. */
export const isBoundToDull = (part: Part, entry: PartPort, end: OpenEnd): boolean =>
  lostIn(part, entry, end) > LOST_DB + RINGS;

/** What is lost where a part listens of a coil's upper band, dB; 0 where there is none, or nobody listens. */
function lostIn(part: Part, entry: PartPort, end: OpenEnd): number {
  const edge = end.analogue?.edge;
  if (!edge || !listens(part)) return 0;
  const middle = join(passageOf(part, [entry]), entry, end);
  const upper = join(passageOf(part, [entry], edge.hertz), entry, { ...end, analogue: edge.analogue });
  const here = middle && heardIn(part, middle);
  const there = here && upper && heardIn(part, upper, here.at);
  if (!here || !there || !(here.volts > 0) || !(there.volts > 0)) return 0;
  return decibels(here.volts / there.volts) + edge.own;
}
