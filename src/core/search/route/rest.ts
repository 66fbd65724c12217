import { isPassiveLink, type Part, type PartPort } from '../../parts';
import type { OpenEnd } from '../ends';
import type { Bounds } from './bounds';
import { boxNames, kindOfBoxes, socketKind } from './chain-kinds';
import { bothOf, throughOneOf, type Course } from './course';
import { hasAll } from './rank';
import { passesCharge } from './vias';

/** A chain so far: where it began, over what, and what stands open. */
export interface Way {
  readonly from: PartPort;
  readonly links: readonly { readonly part: Part }[];
  readonly end: OpenEnd;
  /** How far it is on the course that every chain has to take. */
  readonly step: number;
}

/** Whatever socket it is. */
export const ANY = '';

/** A way that was found, and that no other of its kind is better than any more. */
export interface Spent {
  /** The sockets at its ends, as `socketKind` names them, and its boxes, each as often as it is there. */
  readonly from: string;
  readonly boxes: readonly string[];
  readonly to: string;
  /** It leaves a socket for headphones, or no way between these things could. */
  readonly leaves: boolean;
  /** Nothing weighs of it but money and bother, and all that it takes is its boxes and copper: what has more in it is padding (rank.ts). */
  readonly isPlain: boolean;
}

/** What a way has to lead over yet: a box, one that amplifies, or one that passes a charge on; or else a splitter that leaves a socket for headphones. */
type Box = 'a box' | 'a stage' | 'a charge';
type Over = Box | `${Box} or a fork`;

/** Whether headphones can go into it beside what it is in the chain for. */
const isFork = (part: Part): boolean =>
  part.ports.length > 2 &&
  part.ports.some(
    ({ direction, roles }) => direction === 'out' && Object.values(roles ?? {}).includes('left'),
  );

function isBox(part: Part, box: Box): boolean {
  if (isPassiveLink(part)) return false;
  if (box === 'a charge') return passesCharge(part);
  return box === 'a box' || (part.paths ?? []).length > 0;
}

const isOver = (part: Part, over: Over): boolean =>
  over.endsWith(' or a fork')
    ? isFork(part) || isBox(part, over.slice(0, -' or a fork'.length) as Box)
    : isBox(part, over as Box);

/** What `Rest` rests on. */
export interface RestAsked {
  /** Of the goal. */
  readonly ports: readonly PartPort[];
  readonly parts: readonly Part[];
  readonly course: Course;
  /** Bounds to some of the goal's ports, on a course. */
  readonly boundsTo: (ports: readonly PartPort[], course: Course) => Bounds;
  /** What is spent where the next chain weighs so much; always the same list while it is the same. */
  readonly spent?: ((weight: number) => readonly Spent[]) | undefined;
}

/** One kind of sockets of the goal. */
class Socket {
  readonly kind: string;
  private any: Bounds | undefined;
  private readonly byOver = new Map<Over, Bounds>();
  constructor(
    readonly ports: readonly [PartPort, ...PartPort[]],
    private readonly asked: RestAsked,
  ) {
    this.kind = socketKind(ports[0]);
  }

  /** The least to it, however it is reached. */
  get free(): Bounds {
    return (this.any ??= this.asked.boundsTo(this.ports, this.asked.course));
  }

  /** The least to it over some such box. */
  over(over: Over): Bounds {
    const known = this.byOver.get(over) ?? this.asked.boundsTo(this.ports, this.courseOver(over));
    this.byOver.set(over, known);
    return known;
  }

  private courseOver(over: Over): Course {
    const boxes = this.asked.parts.filter((part) => isOver(part, over));
    return bothOf(this.asked.course, throughOneOf(over, new Set(boxes)));
  }
}

function socketsOf(asked: RestAsked): Socket[] {
  const byKind = new Map<string, [PartPort, ...PartPort[]]>();
  for (const port of asked.ports) {
    const like = byKind.get(socketKind(port));
    if (like) like.push(port);
    else byKind.set(socketKind(port), [port]);
  }
  return [...byKind.values()].map((ports) => new Socket(ports, asked));
}

/**
 * The least that is still to be paid. Where a way between two kinds of sockets was found, whatever else has the same boxes weighs more and is
 * the same way, and what has more of them is often padding: there the least is that over what could still make it another.
 */
export class Rest {
  private readonly all: Bounds;
  private readonly sockets: readonly Socket[];
  private spent: readonly Spent[] = [];
  /** What a way has to lead over yet, by its kind and the socket that it is to come to. */
  private overs = new Map<string, Over | undefined>();

  constructor(private readonly asked: RestAsked) {
    this.all = asked.boundsTo(asked.ports, asked.course);
    this.sockets = socketsOf(asked);
  }

  /** Asks what is spent where the next chain weighs so much; whether that is other than before. */
  learn(weight: number): boolean {
    const spent = this.asked.spent?.(weight) ?? this.spent;
    if (spent === this.spent) return false;
    this.spent = spent;
    this.overs = new Map();
    return true;
  }

  private overFor({ from, links }: Way, { kind }: Socket): Over | undefined {
    const boxes = links.flatMap(({ part }) => (isPassiveLink(part) ? [] : [part]));
    const forks = links.some(({ part }) => isFork(part));
    const rivals = this.spent.filter(
      (one) =>
        [ANY, socketKind(from)].includes(one.from) && [ANY, kind].includes(one.to) && (one.leaves || !forks),
    );
    const needed = (isRival: (one: Spent) => boolean, box: Box): Over | undefined => {
      const those = rivals.filter(isRival);
      if (those.length === 0) return undefined;
      return those.some(({ leaves }) => leaves) ? box : `${box} or a fork`;
    };
    const names = boxNames(links);
    const isAlike = (one: Spent): boolean => one.boxes.join() === names.join();
    if (boxes.some(passesCharge)) return needed(isAlike, 'a box');
    const isPadding = (one: Spent): boolean =>
      one.isPlain &&
      one.boxes.length > 0 &&
      (isAlike(one) || (names.length > one.boxes.length && hasAll(names, one.boxes)));
    // Copper with more in it is another way where something amplifies.
    const isStaged = boxes.some((part) => isBox(part, 'a stage'));
    const isBarer = (one: Spent): boolean => one.isPlain && one.boxes.length === 0 && !isStaged;
    return needed(isPadding, 'a charge') ?? needed(isBarer, 'a stage') ?? needed(isAlike, 'a box');
  }

  private overTo(way: Way, socket: Socket): Over | undefined {
    const forks = way.links.some(({ part }) => isFork(part));
    const key = `${kindOfBoxes(way.from, way.links, socket.kind)}${forks ? ' forks' : ''}`;
    if (this.overs.has(key)) return this.overs.get(key);
    const over = this.overFor(way, socket);
    this.overs.set(key, over);
    return over;
  }

  /** The least from an open end on. */
  from(way: Way): number {
    if (this.spent.length === 0) return this.all.from(way.end, way.step);
    let least = Infinity;
    for (const socket of this.sockets) {
      const over = this.overTo(way, socket);
      const rest = over ? socket.over(over).from(way.end, 2 * way.step) : socket.free.from(way.end, way.step);
      least = Math.min(least, rest);
    }
    return least;
  }

  /** The least from an open end on over parts that are put on it, by how far the chain is with each. */
  over(way: Way): (part: Part, step: number) => number {
    if (this.spent.length === 0) return this.all.over(way.end);
    const bySocket = this.sockets.map((socket) => {
      const over = this.overTo(way, socket);
      if (!over) return socket.free.over(way.end);
      const onward = socket.over(over).over(way.end);
      return (part: Part, step: number) => onward(part, 2 * step + (isOver(part, over) ? 1 : 0));
    });
    return (part, step) => Math.min(...bySocket.map((least) => least(part, step)));
  }

  /** What an end goes on by alike: of one state, so far on the course, and what must still come. */
  keyOf(way: Way): string {
    const left =
      this.spent.length === 0 ? '' : this.sockets.map((socket) => this.overTo(way, socket) ?? '').join();
    return `${left} ${way.step} ${way.end.state}`;
  }
}
