import { SIDE_WITHIN } from '../../engine/flow';
import type { Contact } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import { feeds, type Analogue, type OpenEnd } from './end';
import { Grid, NO_ADMITTANCE } from './grid';
import type { Joined } from './join';

/** Under this share of a volt nothing hangs on what is still to come. */
const NOTHING = 1e-6;

/** Rows and columns of some unknowns, and all that stands after the unknowns. */
function picked(grid: Grid, nodes: number, keep: readonly number[], forms: readonly number[]): Grid {
  const small = new Grid(keep.length + forms.length, keep.length + grid.columns - nodes);
  const rows = [...keep, ...forms.map((form) => nodes + form)];
  for (const [r, row] of rows.entries()) {
    for (const [c, column] of keep.entries()) small.add(r, c, grid.re(row, column), grid.im(row, column));
    for (let c = nodes; c < grid.columns; c += 1)
      small.add(r, keep.length + c - nodes, grid.re(row, c), grid.im(row, c));
  }
  return small;
}

/** Less of a source than this is no sound, V: −160 dBV. */
const SILENT = 1e-8;

type Volts = readonly (readonly [number, number])[];

/** What stands on each contact while all are open, with every knob at the most, sound by sound. */
export function openVolts({
  alternating,
  size,
  sounds,
}: Pick<Analogue, 'alternating' | 'size' | 'sounds'>): readonly Volts[] {
  const open = alternating.copy();
  for (let node = 0; node < size; node += 1) open.eliminate(node, NO_ADMITTANCE);
  return sounds.map((_, sound) =>
    Array.from({ length: size }, (_unused, node): readonly [number, number] => {
      const [pr, pi] = [open.re(node, node), open.im(node, node)];
      const own = pr ** 2 + pi ** 2;
      if (!(Math.sqrt(own) > NO_ADMITTANCE)) return [0, 0];
      const [r, i] = [open.re(node, size + 2 * sound), open.im(node, size + 2 * sound)];
      return [(r * pr + i * pi) / own, (i * pr - r * pi) / own];
    }),
  );
}

/** Pairs of contacts between which any sound stands while all are open. */
function loudPairs(analogue: Omit<Analogue, 'pairs'>): Analogue['pairs'] {
  const volts = openVolts(analogue);
  const { place } = analogue;
  const contacts = [...place];
  return contacts.flatMap(([one, a], index) =>
    contacts.slice(index + 1).flatMap(([other, b]): (readonly [Contact, Contact])[] =>
      volts.some((at) => {
        const [[x, y], [u, v]] = [at[a] ?? [0, 0], at[b] ?? [0, 0]];
        return Math.hypot(x - u, y - v) > SILENT;
      })
        ? [[one, other]]
        : [],
    ),
  );
}

/** Whether of several sounds each of two has a contact on which it is far louder than the other. */
export function areApart(levels: readonly (readonly number[])[]): boolean {
  const leads = (one: readonly number[], other: readonly number[]): boolean =>
    one.some((level, at) => level > 10 ** (SIDE_WITHIN / 20) * (other[at] ?? 0) && level > SILENT);
  return levels.some((one, n) => levels.slice(n + 1).some((other) => leads(one, other) && leads(other, one)));
}

const stand = new WeakMap<Analogue, ReadonlyMap<string, number>>();

/** The most that stands between each two contacts, by their names; where there is a sleeve, against which every channel hears, from that alone. Kept. */
function betweenContacts({ analogue }: OpenEnd): ReadonlyMap<string, number> {
  if (!analogue) return new Map();
  const known = stand.get(analogue) ?? standOn(analogue);
  stand.set(analogue, known);
  return known;
}

function standOn(analogue: Analogue): ReadonlyMap<string, number> {
  const volts = openVolts(analogue);
  const contacts = [...analogue.place].sort(([one], [other]) => one.localeCompare(other));
  const hasSleeve = analogue.place.has('S');
  const counts = ([one]: readonly [Contact, number], [other]: readonly [Contact, number]) =>
    !hasSleeve || one === 'S' || other === 'S';
  return new Map(
    contacts.flatMap(([one, a], index) =>
      contacts
        .slice(index + 1)
        .filter((other) => counts([one, a], other))
        .map(([other, b]): readonly [string, number] => {
          const of = volts.map((at) => {
            const [[x, y], [u, v]] = [at[a] ?? [0, 0], at[b] ?? [0, 0]];
            return Math.hypot(x - u, y - v);
          });
          return [`${one} ${other}`, Math.max(0, ...of)];
        }),
    ),
  );
}

/** Whether of two ends at the same port each has contacts between which it stands far higher, against its own most, than the other. */
export function standApart(one: OpenEnd, other: OpenEnd): boolean {
  const [a, b] = [betweenContacts(one), betweenContacts(other)];
  const names = [...new Set([...a.keys(), ...b.keys()])];
  const ofMost = (of: ReadonlyMap<string, number>): number[] => {
    const most = Math.max(...of.values());
    return names.map((name) => (of.get(name) ?? 0) / most);
  };
  return areApart([ofMost(a), ofMost(b)]);
}

/** How much of each sound is driven into each contact. */
const drivenInto = ({ alternating, size, sounds }: Pick<Analogue, 'alternating' | 'size' | 'sounds'>) =>
  sounds.map((_, sound) =>
    Array.from({ length: size }, (_unused, node) =>
      Math.hypot(alternating.re(node, size + 2 * sound), alternating.im(node, size + 2 * sound)),
    ),
  );

/** Numbers that differ by less than about an eighth are one: leads and couplers between are no other state. */
const rounded = (value: number): number =>
  Math.abs(value) < 1e-9 ? 0 : Math.round(Math.log(Math.abs(value)) * 8);
const signed = (value: number): string => `${value < -1e-9 ? '-' : ''}${rounded(value)}`;

/** What leaks from contact to contact this far under what stands there, 60 dB, is nothing; what conducts better than this, siemens, is copper. */
const HARDLY = 1e-3;
const COPPER = 0.1;

function stateOf(
  port: PartPort,
  { place, size, alternating, direct, sounds, wants, sides }: Omit<Analogue, 'pairs'>,
): string {
  const words: (string | number)[] = [port.connector, port.gender, sides];
  for (const [contact, node] of place) words.push(contact, node);
  words.push('~', sounds.some(({ bare }) => bare) ? 'bare' : '');
  const between = (grid: Grid, r: number, c: number): number => {
    const own = (node: number) => Math.hypot(grid.re(node, node), grid.im(node, node));
    const value = Math.hypot(grid.re(r, c), grid.im(r, c));
    return value < HARDLY * Math.sqrt(own(r) * own(c)) ? 0 : rounded(Math.min(value, COPPER));
  };
  const driven = (grid: Grid, r: number, c: number): string => {
    const most = Math.max(...Array.from({ length: size }, (_, node) => Math.abs(grid.re(node, c))));
    const value = grid.re(r, c);
    return Math.abs(value) < HARDLY * most ? '0' : signed(value);
  };
  for (let r = 0; r < size; r += 1) {
    for (let c = r + 1; c < size; c += 1) words.push(between(alternating, r, c), between(direct, r, c));
    for (let c = size; c < alternating.columns; c += 1) words.push(driven(alternating, r, c));
    words.push(driven(direct, r, size));
  }
  for (const [w, { volts, most }] of wants.entries()) {
    words.push(volts, most);
    for (let c = 0; c <= size; c += 1) words.push(signed(direct.re(size + w, c)));
  }
  return words.join(' ');
}

/** Whether sounds have to stand apart on what is open: sources that share a plug, or both sides of one as long as nothing but copper was put on. */
const hasToPart = ({ sides, sounds }: Pick<Analogue, 'sides' | 'sounds'>, { paths = [] }: Part): boolean =>
  sides === 'split' || (sides === 'two' && sounds.length > 1 && paths.length === 0);

/** What is open at a port of a part once it is joined; undefined where no sound comes there, or what feeds the source cannot reach it any more. */
export function leave(
  joined: Joined,
  part: Part,
  port: PartPort,
  places: ReadonlyMap<Contact, number>,
): OpenEnd | undefined {
  if (joined.clipped) return undefined;
  const nodes = joined.classes.size;
  const classOf = (node: number): number => joined.classes.second[node] ?? 0;
  const keep = [...new Set([...places.values()].map(classOf))];
  const place = new Map([...places].map(([contact, node]) => [contact, keep.indexOf(classOf(node))]));
  const [alternating, direct] = [joined.alternating.copy(), joined.direct.copy()];
  for (let node = 0; node < nodes; node += 1) {
    if (keep.includes(node)) continue;
    alternating.eliminate(node, NO_ADMITTANCE);
    direct.eliminate(node, NO_ADMITTANCE);
  }
  const forms: number[] = [];
  const wants = joined.wants.filter((_, w) => {
    const hangs = keep.some((node) => Math.abs(direct.re(nodes + w, node)) > NOTHING);
    if (hangs) forms.push(w);
    return hangs;
  });
  for (const [w, want] of joined.wants.entries())
    if (!forms.includes(w) && !feeds(want, -direct.re(nodes + w, nodes), part)) return undefined;
  const open = {
    place,
    size: keep.length,
    alternating: picked(alternating, nodes, keep, []),
    direct: picked(direct, nodes, keep, forms),
    sounds: joined.sounds,
    wants,
    sides: joined.sides,
  };
  const analogue: Analogue = { ...open, pairs: loudPairs(open) };
  if (analogue.pairs.length === 0) return undefined;
  if (hasToPart(analogue, part) && !areApart(drivenInto(analogue))) return undefined;
  return { part, port, analogue, state: stateOf(port, analogue) };
}
