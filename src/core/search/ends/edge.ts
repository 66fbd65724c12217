import { LOST_DB } from '../../checks';
import type { Part, PartPort } from '../../parts';
import type { Analogue, Edge, OpenEnd } from './end';
import { join, type Joined, type Voices } from './join';
import { leave, openVolts } from './leave';
import { passageOf } from './passage';
import { size, type Amplitude } from './stages';

/** The estimate may be off by so much, dB: what is nearer to the limit is left for the pipeline to say. */
const GRACE = 0.3;

const decibels = (value: number): number => 20 * Math.log10(value);

const loudest = (analogue: Analogue): number => Math.max(0, ...openVolts(analogue).flat().map(size));

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

/** The edge of an end on the other side of a part that listens to nothing. */
export function edgeBeyond(part: Part, entry: PartPort, end: OpenEnd, exit: PartPort): Edge | undefined {
  const edge = end.analogue?.edge;
  if (!edge || listens(part)) return undefined;
  const passage = passageOf(part, [entry, exit], edge.hertz);
  const joined = join(passage, entry, { ...end, analogue: edge.analogue });
  const places = passage.places[1];
  const analogue = joined && places && leave(joined, part, exit, places)?.analogue;
  return analogue && { ...edge, analogue };
}

/** It has stages or converters: what follows does not load what comes in. */
export const listens = ({ paths = [], captures = [] }: Part): boolean =>
  paths.length > 0 || captures.length > 0;

/** What is loudest of a sound where a part listens, and at which place. */
function heardIn(
  { heard }: Joined,
  at?: string,
): { readonly at: string; readonly volts: number } | undefined {
  const volts = ([sound]: readonly Amplitude[]): number => (sound ? size(sound.most) : 0);
  const found = [...heard].map(([id, amplitudes]) => ({ at: id, volts: volts(amplitudes) }));
  if (at !== undefined) return found.find((one) => one.at === at);
  return found.sort((a, b) => b.volts - a.volts)[0];
}

/** Whether a part, where it listens, loads a source so that it is dulled (checks/dull), in whichever place its switches stand. */
export function isDulled(part: Part, entry: PartPort, end: OpenEnd): boolean {
  const edge = end.analogue?.edge;
  if (!edge || !listens(part)) return false;
  const middle = join(passageOf(part, [entry]), entry, end);
  const upper = join(passageOf(part, [entry], edge.hertz), entry, { ...end, analogue: edge.analogue });
  const here = middle && heardIn(middle);
  const there = here && upper && heardIn(upper, here.at);
  if (!here || !there || !(here.volts > 0) || !(there.volts > 0)) return false;
  return decibels(here.volts / there.volts) + edge.own > LOST_DB + GRACE;
}
