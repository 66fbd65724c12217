import { mate, type Contact, type Mating } from '../../plugs';
import type { PartPort } from '../../parts';

/** Which unknowns of two things that are joined are one: a number for each unknown of the first and of the second. */
export interface Classes {
  readonly first: readonly number[];
  readonly second: readonly number[];
  readonly size: number;
}

const matings = new WeakMap<PartPort, WeakMap<PartPort, Mating>>();

/** What two ports do at their likeliest; kept. */
export function matingOf(a: PartPort, b: PartPort): Mating {
  const byOther = matings.get(a) ?? new WeakMap<PartPort, Mating>();
  matings.set(a, byOther);
  const known = byOther.get(b) ?? mate(a, b);
  byOther.set(b, known);
  return known;
}

/** A spring of a jack that meets another band than it most likely does. */
export interface Departure {
  readonly jack: Contact;
  readonly plug: Contact;
}

/** Every other way in which two ports may really lie. */
export function departures(a: PartPort, b: PartPort): Departure[] {
  const mating = matingOf(a, b);
  return mating.fits
    ? mating.touches.flatMap(({ jack, plug }) => plug.slice(1).map((contact) => ({ jack, plug: contact })))
    : [];
}

/** Unknowns tied by the contacts that touch. `a` is the port of the first, `b` that of the second; undefined where they do not fit. */
export function tie(
  reading: Departure | undefined,
  a: { readonly port: PartPort; readonly place: ReadonlyMap<Contact, number>; readonly size: number },
  b: {
    readonly port: PartPort;
    readonly place: ReadonlyMap<Contact, number> | undefined;
    readonly size: number;
  },
): Classes | undefined {
  const mating = matingOf(a.port, b.port);
  if (!mating.fits) return undefined;
  const parent = Array.from({ length: a.size + b.size }, (_, index) => index);
  const root = (index: number): number => {
    const up = parent[index] ?? index;
    return up === index ? index : root(up);
  };
  const isPlug = a.port.gender === 'plug';
  // A band that two springs share, and a spring that has no unknown of its own, tie what is left.
  const bands = new Map<Contact, number>();
  for (const { jack, plug } of mating.touches) {
    const band = reading?.jack === jack ? reading.plug : plug[0];
    if (band === undefined) continue;
    const onA = isPlug ? a.place.get(band) : a.place.get(jack);
    const onB = isPlug ? b.place?.get(jack) : b.place?.get(band);
    const nodes = [onA, onB === undefined ? undefined : a.size + onB, bands.get(band)].filter(
      (node): node is number => node !== undefined,
    );
    const [first] = nodes;
    if (first === undefined) continue;
    for (const node of nodes) parent[root(node)] = root(first);
    bands.set(band, first);
  }
  const numbers = new Map<number, number>();
  const number = (index: number): number => {
    const key = root(index);
    const found = numbers.get(key) ?? numbers.size;
    numbers.set(key, found);
    return found;
  };
  const all = parent.map((_, index) => number(index));
  return { first: all.slice(0, a.size), second: all.slice(a.size), size: numbers.size };
}
