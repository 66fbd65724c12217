import type { Part, PartPort } from '../../parts';
import { couldRecord, isDigital, partsSides, playedAt, standApart, type OpenEnd, type Sides } from '../ends';
import type { Link, PartChain } from './part-chain';
import type { Piece } from './layout';
import type { Pool } from './pool';

/** A source's way over a part in the middle to a recorder: two chains that were found each by itself. */
export interface Ride {
  readonly start: OpenEnd;
  readonly into: PartChain;
  readonly middle: Part;
  readonly entry: PartPort;
  /** The middle's output at which the second chain begins, and the sides to which a source has to come beyond it. */
  readonly exit: PartPort;
  readonly sides: Sides;
  readonly out: PartChain;
  readonly recorder: Piece;
}

/** A source that has come to a part in the middle. */
export type Come = Pick<Ride, 'start' | 'into' | 'entry'>;

type Step = (end: OpenEnd, link: Link) => readonly OpenEnd[];

const follow = (ends: readonly OpenEnd[], links: readonly Link[], step: Step): readonly OpenEnd[] =>
  links.reduce((at, link) => at.flatMap((end) => step(end, link)), ends);

/** The same end, asked for other sides. */
const askedFor = (end: OpenEnd, sides: Sides = 'any'): OpenEnd =>
  end.analogue ? { ...end, analogue: { ...end.analogue, sides }, state: `${end.state} for ${sides}` } : end;

/** Copper on the way has parted the sides. */
const isParted = ({ links }: PartChain): boolean => links.some(({ part, exit }) => partsSides(part, exit));

/** What is known of one thing, then of another. */
function kept<K extends object, T>(known: Map<K, Map<string, T>>, key: K, name: string, make: () => T): T {
  const byName = known.get(key) ?? new Map<string, T>();
  known.set(key, byName);
  const value = byName.get(name) ?? make();
  byName.set(name, value);
  return value;
}

/** Replays of sources over one part in the middle. What comes to it, what leaves it, and what that comes to is each worked out once. */
export class Rides {
  private readonly there = new Map<PartChain, Map<string, readonly OpenEnd[]>>();
  private readonly outside = new Map<PartChain, Map<string, readonly OpenEnd[]>>();
  private readonly beyond = new Map<PartChain, Map<string, readonly OpenEnd[]>>();
  private readonly ends = new Map<PartChain, Map<string, readonly string[]>>();

  constructor(private readonly pool: Pool) {}

  private readonly step: Step = (end, { part, entry: port, exit: at }) =>
    this.pool.stepsOver(end, { part, port }).flatMap((one) => (one.end.port.id === at.id ? [one.end] : []));

  /**
   * What leaves a part in the middle of a source that came to it by a chain. What leaves it as numbers was converted in it: it has come
   * to its sides there, but for what copper parted on the way, the other half of which brings the other side.
   */
  private left({ start, into, entry }: Come, middle: Part, exit: PartPort): readonly OpenEnd[] {
    // What a host plays into the middle by numbers sounds there as if it began there.
    if (isDigital(entry)) return kept(this.outside, into, `played ${exit.id}`, () => playedAt(middle, exit));
    const from = isDigital(exit) && !isParted(into) ? start : askedFor(start);
    return kept(this.outside, into, `${start.state} ${entry.id} ${exit.id}`, () =>
      kept(this.there, into, from.state, () => follow([from], into.links, this.step)).flatMap((end) =>
        this.step(end, { part: middle, entry, exit }),
      ),
    );
  }

  /** Whether a source that comes to a part leaves it by another output of the kind of this one, too, or its other half may, by another plug. */
  leavesBeside(come: Come, middle: Part, exit: PartPort): boolean {
    return (
      isParted(come.into) ||
      middle.ports.some(
        (other) =>
          other !== exit &&
          other.direction === 'out' &&
          other.connector === exit.connector &&
          this.left(come, middle, other).length > 0,
      )
    );
  }

  /** Whether two sources that come to a part could leave it each with a pair of contacts on which the other is far lower. */
  leaveApart(middle: Part, exit: PartPort, [a, b]: readonly [Come, Come]): boolean {
    const [ofA, ofB] = [this.left(a, middle, exit), this.left(b, middle, exit)];
    return ofA.some((one) => ofB.some((other) => standApart(one, other)));
  }

  /**
   * In what states a source's own sound could be recorded at the end of both chains; none where it could not. Each chain was found with what stands at its beginning
   * taken as good as can be; together the first may leave too little for the second. To which sides it has to come is asked beyond the
   * middle: what mixes may lead it to both, and tracks are a side each.
   */
  arrives(ride: Ride, takes: (end: OpenEnd) => boolean): readonly string[] {
    const { start, into, middle, entry, exit, sides, out, recorder } = ride;
    const { step } = this;
    const beyond = kept(this.beyond, into, `${start.state} ${entry.id} ${exit.id}`, () =>
      this.left({ start, into, entry }, middle, exit).map((end) => askedFor(end, sides)),
    );
    return beyond.flatMap((end) =>
      kept(this.ends, out, `${recorder.id} ${end.state}`, () =>
        follow([end], out.links, step)
          .filter((last) => takes(last) && couldRecord(recorder.part, out.to, last))
          .map(({ state }) => state),
      ),
    );
  }
}
