import { contactsOf, isDigitalConnector, type Contact } from '../../plugs';
import { isWiring, type Part, type PartPort } from '../../parts';
import { wayOver } from '../../rig';
import { dbV, metres, type DbV, type Metres } from '../../units';
import type { Facts } from '../facts';
import type { RecordedWay } from './staircase';

/** A part on a way, as long as it is, with the ports by which it is entered and left. */
export interface RunStop {
  readonly part: Part;
  readonly metres: number;
  readonly into?: string;
  readonly out?: string;
}

/** Leads and adapters in a row between two things that are more than wiring. */
export interface Run {
  /** Places in the way of the first and the last of them. */
  readonly first: number;
  readonly last: number;
  readonly metres: Metres;
  /** Hot and cold, or a transformer's winding, at both ends: what it picks up lies on both, and is taken off. */
  readonly balanced: boolean;
}

const HOT_AND_COLD = ['hot', 'cold'] as const;

const carriesSound = ({ part }: RunStop): boolean =>
  part.ports.some(({ connector }) => !isDigitalConnector(connector) && connector !== 'radio');

/** Copper and passive things that pass both conductors on alike, such as a pad: the run goes on through them. */
const passesOn = ({ part }: Pick<RunStop, 'part'>): boolean =>
  isWiring(part) ||
  (part.ports.length > 1 &&
    part.ports.every(({ direction }) => direction === 'through') &&
    part.circuit.every(({ kind }) => kind !== 'transformer'));

/** Of a connector with three contacts and more: what shields the others. */
const shieldOf = ({ connector }: PartPort): Contact | undefined => {
  const contacts = contactsOf(connector);
  return contacts.length < 3 ? undefined : contacts.find((contact) => contact === '1' || contact === 'S');
};

/**
 * A transformer's winding across two contacts of a port, neither of which is its shield or is tied to another port: what lies on both alike
 * does nothing to it. One for each side against the sleeve parts earths, and balances nothing.
 */
function isWinding({ circuit }: Part, port: PartPort): boolean {
  const shield = `${port.id}.${shieldOf(port)}`;
  const own = new Set(contactsOf(port.connector).map((contact) => `${port.id}.${contact}`));
  const contactAt = (node: string): string | undefined => {
    if (own.has(node)) return node;
    const lead = circuit.find(
      (e) => e.kind === 'resistor' && ((e.a === node && own.has(e.b)) || (e.b === node && own.has(e.a))),
    );
    return lead && 'b' in lead ? (own.has(lead.a) ? lead.a : lead.b) : undefined;
  };
  const isTied = (contact: string): boolean =>
    circuit.some((e) => e.kind === 'wire' && (e.a === contact || e.b === contact));
  return circuit.some((e) => {
    if (e.kind !== 'transformer') return false;
    return [
      [e.a, e.b],
      [e.c, e.d],
    ].some(([one = '', other = '']) => {
      const [x, y] = [contactAt(one), contactAt(other)];
      return [x, y].every((one) => one !== undefined && one !== shield && !isTied(one)) && x !== y;
    });
  });
}

function endsBalanced(stop: RunStop | undefined, at: string | undefined): boolean {
  const port = stop?.part.ports.find(({ id }) => id === at);
  if (!stop || !port) return false;
  const roles = Object.values(port.roles ?? {});
  return HOT_AND_COLD.every((role) => roles.some((one) => one === role)) || isWinding(stop.part, port);
}

/** Two conductors and a shield at either end: a lead with fewer joins cold to the shield. */
const hasTwoAndShield = (stop: RunStop): boolean =>
  !carriesSound(stop) ||
  stop.part.ports
    .filter(({ id }) => id === stop.into || id === stop.out)
    .every(({ connector }) => contactsOf(connector).length >= 3);

/** The runs along a way that carry sound as a voltage. */
export function runsAlong(way: readonly RunStop[]): Run[] {
  const runs: Run[] = [];
  for (let at = 0; at < way.length; at += 1) {
    const first = at;
    let length = 0;
    for (let stop = way[at]; stop && passesOn(stop); stop = way[(at += 1)])
      if (carriesSound(stop)) length += stop.metres;
    if (at === first || length === 0) continue;
    const [before, after] = [way[first - 1], way[at]];
    const balanced =
      way.slice(first, at).every(hasTwoAndShield) &&
      endsBalanced(before, before?.out) &&
      endsBalanced(after, after?.into);
    runs.push({ first, last: at - 1, metres: metres(length), balanced });
  }
  return runs;
}

/** An unbalanced run longer than this picks up hum and loses treble (15 to 20 ft; common practice). */
export const UNBALANCED_METRES = 6;

/** No run of a rig is longer than this: the most metres of wiring that hang together, whatever passes there. */
export function longestStretch({ rig, laid }: Facts): Metres {
  const group = new Map([...laid.values()].filter(passesOn).map(({ placed }) => [placed.id, placed.id]));
  const headOf = (id: string): string => {
    const up = group.get(id) ?? id;
    return up === id ? id : headOf(up);
  };
  for (const { plug, jack } of rig.joints) {
    if (group.has(plug.part) && group.has(jack.part)) group.set(headOf(plug.part), headOf(jack.part));
  }
  const lengths = new Map<string, number>();
  for (const id of group.keys()) {
    const one = laid.get(id);
    const own = one?.placed.length ?? one?.part.length ?? 0;
    lengths.set(headOf(id), (lengths.get(headOf(id)) ?? 0) + own);
  }
  return metres(Math.max(0, ...lengths.values()));
}

/** Where a lead lies. */
export type Place = 'quiet' | 'show' | 'stage';

/** What is induced in a metre of unbalanced lead, V RMS. Ours, within ±10 dB: half a square metre in a field of 0.02, 0.06 and 0.6 µT at 50 Hz and its harmonics. */
export const VOLTS_PER_METRE: Readonly<Record<Place, number>> = { quiet: 3e-6, show: 1e-5, stage: 1e-4 };

/** How much of it a balanced input takes off, dB: an imbalance of a thousandth (IEC 60268-3 tells how it is measured; the figure is typical). */
export const REJECTION = 60;

/** What a run picks up, as a level beside the signal on it. */
export const pickedUp = ({ metres: length, balanced }: Run, place: Place): DbV =>
  dbV(20 * Math.log10(VOLTS_PER_METRE[place] * length) - (balanced ? REJECTION : 0));

/** How long a run may be for what it picks up to stay so far under the peaks on it, m. */
export const metresFor = (
  { peak, balanced }: Pick<RunOnWay, 'peak' | 'balanced'>,
  place: Place,
  under: number,
): Metres => metres(10 ** ((peak - under + (balanced ? REJECTION : 0)) / 20) / VOLTS_PER_METRE[place]);

/** A run of a way of sound, with the level that goes along it. */
export interface RunOnWay extends Run {
  /** The placed parts that it is made of. */
  readonly parts: readonly string[];
  /** Peaks of the sound there, dBV. */
  readonly peak: DbV;
}

/** The runs of a way, from stage to stage. */
export function runsOf({ rig, laid }: Facts, { chain, source, recorder }: RecordedWay): RunOnWay[] {
  const steps = chain.stages;
  const stops = [source, ...steps.map(({ placed }) => placed), recorder].filter(
    (id, index, all) => id !== all[index - 1],
  );
  return stops.slice(1).flatMap((to, index): RunOnWay[] => {
    const from = stops[index] ?? source;
    const way = wayOver(rig.joints, from, to) ?? [];
    const parts = way.flatMap(({ id, ...ports }): (RunStop & { readonly id: string })[] => {
      const one = laid.get(id);
      return one ? [{ id, part: one.part, metres: one.placed.length ?? one.part.length ?? 0, ...ports }] : [];
    });
    const leaving = steps.findLast(({ placed }) => placed === from) ?? steps[0];
    return runsAlong(parts).map((run) => ({
      ...run,
      parts: parts.slice(run.first, run.last + 1).map(({ id }) => id),
      peak: leaving?.peak ?? dbV(-Infinity),
    }));
  });
}
