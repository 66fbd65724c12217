import type { Part, PartPort } from '../../parts';
import { couldRecord, type OpenEnd, type Sides } from '../ends';
import type { Link, PartChain } from './chains';
import type { Piece } from './layout';
import type { Pool } from './pool';

/** A source's way over a part in the middle to a recorder: two chains that were found each by itself. */
export interface Ride {
  readonly start: OpenEnd;
  readonly into: PartChain;
  readonly middle: Part;
  readonly entry: PartPort;
  /** The middle's output as the second chain began there: what it asks for stays. */
  readonly exit: OpenEnd;
  readonly out: PartChain;
  readonly recorder: Piece;
}

type Step = (end: OpenEnd, link: Link) => OpenEnd[];

const follow = (ends: readonly OpenEnd[], links: readonly Link[], step: Step): readonly OpenEnd[] =>
  links.reduce((at, link) => at.flatMap((end) => step(end, link)), ends);

/** The same end, asked for other sides. */
const askedFor = (end: OpenEnd, sides: Sides = 'any'): OpenEnd =>
  end.analogue ? { ...end, analogue: { ...end.analogue, sides }, state: `${end.state} for ${sides}` } : end;

/**
 * Whether a source's own sound could be recorded at the end of both chains. Each chain was found with what stands at its beginning
 * taken as good as can be; together the first may leave too little for the second. To which sides it has to come is asked beyond the
 * middle: what mixes may lead it to both, and tracks are a side each.
 */
export function couldArrive(ride: Ride, pool: Pool, takes: (end: OpenEnd) => boolean): boolean {
  const { start, into, middle, entry, exit, out, recorder } = ride;
  const step: Step = (end, { part, entry: port, exit: at }) =>
    pool.stepsOver(end, { part, port }).flatMap((one) => (one.end.port.id === at.id ? [one.end] : []));
  const there = follow([askedFor(start)], into.links, step);
  const beyond = there
    .flatMap((end) => step(end, { part: middle, entry, exit: exit.port }))
    .map((end) => askedFor(end, exit.analogue?.sides));
  return follow(beyond, out.links, step).some((end) => takes(end) && couldRecord(recorder.part, out.to, end));
}
