import type { Contact } from '../../plugs';
import type { Part, PartPort } from '../../parts';
import { copperOf } from './conducts';
import type { OpenEnd } from './end';
import { join, type Voices } from './join';
import { leave } from './leave';
import { nodesOfPort, passageOf } from './passage';

type Pairs = readonly (readonly [Contact, Contact])[];

const outlets = new WeakMap<PartPort, Map<string, Pairs>>();

/** Between which contacts of a port a stage of its part puts its sound. */
export function outletPairs(part: Part, exit: PartPort, drive: string): Pairs {
  const byDrive = outlets.get(exit) ?? new Map<string, Pairs>();
  outlets.set(exit, byDrive);
  const known = byDrive.get(drive);
  if (known) return known;
  const passage = passageOf(part, [exit]);
  const voices: Voices = new Map([[drive, { id: drive, crest: 0, most: [1, 0], least: [1, 0] }]]);
  const brings = passage.alternating.columns.some(({ id }) => id === drive);
  const joined = brings ? join(passage, undefined, undefined, voices) : undefined;
  const [places] = passage.places;
  const found = (joined && places && leave(joined, part, exit, places)?.analogue?.pairs) ?? [];
  byDrive.set(drive, found);
  return found;
}

/** Whether a stage of a part gives its sound by a port. */
export const isDriven = (part: Part, exit: PartPort): boolean =>
  part.circuit.some((e) => e.kind === 'drive' && outletPairs(part, exit, e.id).length > 0);

/** The stages of a part that something at one of its ports reaches. */
export function drivesReached(part: Part, entry: PartPort, end: OpenEnd): ReadonlySet<string> {
  const passage = passageOf(part, [entry]);
  const joined = join(passage, entry, end);
  const reached = new Set<string>();
  for (const { from, to } of passage.ways) {
    const [sound] = joined?.heard.get(from) ?? [];
    if (sound && Math.hypot(...sound.most) > 1e-9) reached.add(to);
  }
  return reached;
}

/** Whether copper leads from two or more conductors of one port of a part to another port. */
export function isCoupled(part: Part, entry: PartPort, exit: PartPort): boolean {
  const copper = copperOf(part);
  const out = new Set(nodesOfPort(exit, part).map(([, node]) => copper(node)));
  const shared = new Set(
    nodesOfPort(entry, part).flatMap(([, node]) => (out.has(copper(node)) ? [copper(node)] : [])),
  );
  return shared.size > 1;
}
