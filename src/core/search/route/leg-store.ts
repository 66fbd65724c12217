import { isPassiveLink, type Part, type PartPort } from '../../parts';
import { couldRecord, isBare, isDriven, passes, recordedPeaks, sendsOf, type OpenEnd } from '../ends';
import { LONGEST_RUN } from '../../checks';
import { UNBALANCED_METRES } from '../../engine/levels';
import { FAR_DOWN, IN_LINE, SHARED_OUT, TOUCHY } from '../bother';
import { needsHub } from './carried';
import { boundsKnown, boundsTo, type Goal, type KnownBounds } from './bounds';
import { ChainFinder, type Arrival, type ChainSearch } from './chains';
import { hasKnobs } from './touchy';
import { reachFrom } from './reach';
import { chargesThrough } from './charging';
import { endsOfSource, isOneChain, type Ground } from './ground';
import type { Piece } from './layout';
import { NOTHING, type Cost } from './inventory';
import { Leg } from './legs';
import type { PartChain } from './part-chain';
import { chainPlayedInto } from './played-into';
import type { RequestSource, RouteRequest } from './request';
import { apart, mostApart } from './runs';
import { entriesOf, firstOfPairs, isRadioIn } from './sockets';
import { boxCourse } from './vias';
import { farCourse } from './bridging';
import { bothOf, FREE } from './course';

/** How many things that are carried along have to share a hub with what records; 0 where a host has ports for them, or a jack for the sound. */
const hubFor = ({ request }: Ground, host: Part): number => {
  const more = request.carried?.length ?? 0;
  return needsHub(host, more) && (host.captures ?? []).length === 0 ? more : 0;
};

/** Whether the box that is there lies farther from its recorder, or a source from it, than an unbalanced lead should reach. */
const farOut = (request: RouteRequest, place: string | undefined): boolean =>
  apart(request, request.throughPlace, place) > UNBALANCED_METRES;
/** Metres that a leg to the box that is there, or to a recorder, bridges by itself. */
const metresTo = (request: RouteRequest, from: string | undefined, to: string | undefined): number =>
  Math.max(request.wishes?.length ?? 0, apart(request, from, to));
const farIn = (request: RouteRequest, place: string | undefined): boolean =>
  metresTo(request, place, request.throughPlace) > UNBALANCED_METRES;

/** Whether a lead for numbers, with one for sound that need not be balanced, may reach over the shortest of the distances that are asked for. */
const reachByNumbers = ({ wishes, distances = [] }: RouteRequest): boolean => {
  const all = [wishes?.length ?? 0, ...distances.map(({ metres }) => metres)].filter((metres) => metres > 0);
  return Math.min(...all) <= LONGEST_RUN + UNBALANCED_METRES;
};

/** Where a part in the middle of a long way stands: ahead of it, with the sources, or behind it, with what records. */
export type Stand = 'ahead' | 'behind';

/** What a leg has to bridge: metres by itself, or in some way. */
interface Stretch {
  readonly metres?: number;
  readonly isFar?: boolean;
  /** It comes as a voltage, not as numbers. */
  readonly asVoltage?: boolean;
}

/** Peaks are estimated to so many dB: ends whose figures differ by an eighth are one, and what is recorded is told in whole dB. Ours. */
const ESTIMATED = 1;

/** Legs that ask for the same way are one. */
export class LegStore {
  private readonly legs = new Map<string, Leg>();
  constructor(private readonly ground: Ground) {}

  /** What one source weighs that hangs in a socket for line: it counts once, however many do. */
  private get inLine(): Cost {
    return { ...NOTHING, weight: IN_LINE / this.ground.sources.length };
  }

  /**
   * What it weighs for sure that something comes to a recorder as a voltage (what comes as numbers has it from its converter): knobs that alone keep
   * what is sent by nothing but copper from clipping there.
   */
  private sureAt(recorder: Piece, { from, port, end, links }: Arrival, sender: Part | undefined): Cost {
    const peaks = end.digital ? undefined : recordedPeaks(recorder.part, port, end);
    if (!peaks) return NOTHING;
    const isMisfit =
      sender !== undefined &&
      hasKnobs(sender) &&
      isDriven(sender, from) &&
      links.every(({ part }) => isPassiveLink(part)) &&
      peaks.full - ESTIMATED >= FAR_DOWN;
    const touchy = isMisfit ? TOUCHY / this.ground.recorders.length : 0;
    return { ...NOTHING, weight: touchy };
  }

  /** What it weighs that a bare microphone comes into a part in the middle: into copper that shares it out. */
  private unboxed(middle: Part): number | undefined {
    const { recorders, sources } = this.ground;
    return isPassiveLink(middle) && sources.length === 1 && recorders.length > 1 ? SHARED_OUT : undefined;
  }

  /** What it weighs that a source comes into a part in the middle: a bare microphone into a socket for line, or into what shares it out. */
  private roughAt(middle: Part, port: PartPort, end: OpenEnd): Cost {
    if (!isBare(end)) return NOTHING;
    if (isPassiveLink(middle)) return { ...NOTHING, weight: this.unboxed(middle) ?? 0 };
    const beyond = this.ground.pool.stepsOver(end, { part: middle, port });
    return beyond.length > 0 && beyond.every((step) => step.end.inLine) ? this.inLine : NOTHING;
  }

  /** Whether what a leg to a recorder has more than a way that is known is padding: it is the whole way, or all that is left of it. */
  private couldPad(middle: Part | undefined): boolean {
    const { recorders, sources, callers } = this.ground;
    if (!middle) return sources.length === 1 && recorders.length === 1;
    return !isPassiveLink(middle) && (recorders.length === 1 || callers);
  }

  private knownTo(recorder: Piece, asVoltage = false): KnownBounds {
    return boundsKnown(this.ground.toRecorders, `${this.keyOf(recorder)} ${asVoltage}`);
  }

  /** The least that a leg from a source to a part can weigh. */
  leastTo(source: Piece, middle: Part): number {
    const key = this.keyOf(source);
    const { ground } = this;
    const { reaches, pool, purse } = ground;
    const reach = reaches.get(key) ?? reachFrom(endsOfSource(ground, source), pool, purse);
    reaches.set(key, reach);
    const played = this.playedInto(source, middle)?.cost.weight ?? Infinity;
    return Math.min(played, reach(middle, entriesOf(middle)));
  }

  private readonly played = new Map<string, PartChain | undefined>();

  /**
   * The way by which a source plays into a box by numbers, where a lead for these reaches: a box to be bought stands with the sources, or with what
   * records. Callers come back that way, and are no such source.
   */
  private playedInto(source: Piece, middle: Part, at: Stand = 'ahead'): PartChain | undefined {
    const { pool, purse, request, callers, recorders } = this.ground;
    if (callers || !source.part.host) return undefined;
    const between = recorders.map((recorder) => this.metresBetween(source, recorder));
    const toBought = at === 'ahead' ? 0 : Math.max(...between);
    const isGiven = this.ground.middle !== undefined;
    const metres = isGiven ? metresTo(request, this.placeOf(source), request.throughPlace) : toBought;
    if (metres > LONGEST_RUN) return undefined;
    const key = `${source.part.id} > ${middle.id}`;
    if (!this.played.has(key)) this.played.set(key, chainPlayedInto(source.part, middle, pool, purse));
    return this.played.get(key);
  }

  /** The least that a leg from a port of a part to a recorder can weigh. */
  private leastFromPort(recorder: Piece): (port: PartPort) => number {
    const { pool, purse } = this.ground;
    return boundsTo(this.goalAt(recorder), [], pool, purse, { known: this.knownTo(recorder) }).fromPort;
  }

  /** The same from any of its ports. */
  leastFrom(middle: Part, recorder: Piece): number {
    const ports = middle.ports.filter(({ direction }) => direction !== 'in');
    return Math.min(Infinity, ...ports.map(this.leastFromPort(recorder)));
  }

  /** Outputs of a part with a mix of their own from which a recorder could be reached. */
  sendsTo(middle: Part, recorder: Piece): string[] {
    const least = this.leastFromPort(recorder);
    return middle.ports
      .filter((port) => sendsOf(middle).has(port.id) && Number.isFinite(least(port)))
      .map(({ id }) => id);
  }

  private goalAt(recorder: Piece, asVoltage = false): Goal {
    return {
      part: recorder.part,
      ports: recorder.part.ports.filter((port) => port.direction !== 'out'),
      accepts: (port, end) =>
        !(asVoltage && end.digital) &&
        this.ground.takes(recorder, end) &&
        couldRecord(recorder.part, port, end),
    };
  }

  private leg(key: string, make: () => ChainFinder, ready?: PartChain): Leg {
    const known = this.legs.get(key) ?? new Leg(make(), ready);
    this.legs.set(key, known);
    return known;
  }

  private keyOf(piece: Piece): string {
    const { request, sources, recorders } = this.ground;
    const source: Partial<RequestSource> | undefined = request.sources[sources.indexOf(piece)];
    const destination = request.destinations[recorders.indexOf(piece)];
    const { distance, place } = { ...source, ...destination };
    return `${piece.part.id} ${distance ?? ''} ${place ?? ''} ${destination?.app ?? ''}`;
  }

  private placeOf(piece: Piece): string | undefined {
    const { request, sources, recorders } = this.ground;
    return (request.sources[sources.indexOf(piece)] ?? request.destinations[recorders.indexOf(piece)])?.place;
  }

  private metresBetween(source: Piece, recorder: Piece): number {
    return metresTo(this.ground.request, this.placeOf(source), this.placeOf(recorder));
  }

  private isFarOut(recorder: Piece): boolean {
    const { far, middle, request } = this.ground;
    return far && (!middle || farOut(request, this.placeOf(recorder)));
  }

  /** Out of the box that is there. */
  private outOfGiven(recorder: Piece): Stretch {
    const { request } = this.ground;
    return { metres: apart(request, request.throughPlace, this.placeOf(recorder)) };
  }

  /** Out of what stands in the middle. `at`: where that stands, if it is to be bought. */
  outOf(middle: Part, starts: readonly OpenEnd[], recorder: Piece, at: Stand): Leg {
    const given = this.ground.middle !== undefined;
    const stretch = given ? this.outOfGiven(recorder) : at === 'behind' ? { isFar: false } : {};
    return this.toRecorder(middle.id, starts, recorder, middle, stretch);
  }

  /** `middle`: what the leg leads out of, where that is to be bought or there. */
  toRecorder(
    from: string,
    starts: readonly OpenEnd[],
    recorder: Piece,
    middle?: Part,
    { metres = 0, isFar = this.isFarOut(recorder), asVoltage = false }: Stretch = {},
  ): Leg {
    const { ground } = this;
    const charges = ground.charge && chargesThrough(recorder.part);
    const carries = recorder === ground.recorders[0] ? hubFor(ground, recorder.part) : 0;
    return this.leg(`${from} > ${this.keyOf(recorder)} ${isFar} ${asVoltage}`, () => {
      const [first] = starts;
      const { ports, accepts } = this.goalAt(recorder, asVoltage);
      return new ChainFinder({
        starts,
        goal: recorder.part,
        ports,
        accepts,
        known: this.knownTo(recorder, asVoltage),
        pool: ground.pool,
        purse: ground.purse,
        longest: ground.longest,
        budget: ground.budget,
        metres,
        farthest: mostApart(ground.request),
        ceiling: ground.ceiling,
        inLine: this.inLine,
        rough: (arrival) => this.sureAt(recorder, arrival, first?.begins ? undefined : first?.part),
        startsDiffer: ground.callers,
        ...(this.couldPad(middle) && {
          needless: (from: PartPort, parts: readonly Part[]) => ground.needless(from, parts, middle),
        }),
        ...(!middle && isOneChain(ground) && { spent: ground.spent }),
        spentAfter: ground.spentAfter,
        ...(middle && this.spentOn(middle, ground.sources.length + ground.recorders.indexOf(recorder))),
        course: bothOf(
          charges || carries > 0 ? boxCourse(ground.pool, charges, carries) : FREE,
          isFar ? farCourse(recorder.part, reachByNumbers(ground.request)) : FREE,
        ),
        ...(first?.part.power && { extra: ground.extra }),
      });
    });
  }

  /** Several sources come to one recorder as voltages: an app records from one sound device at a time (checks/records-other-device). */
  fromSource(source: Piece, recorder: Piece, all = false): Leg {
    const ends = endsOfSource(this.ground, source);
    return this.toRecorder(
      `${all ? 'all' : 'first'} ${this.keyOf(source)}`,
      all ? ends : firstOfPairs(ends),
      recorder,
      undefined,
      { metres: this.metresBetween(source, recorder), asVoltage: this.ground.sources.length > 1 },
    );
  }

  /** From an output of one recorder on to another: how far apart these two stand. */
  onward(first: Piece, starts: readonly OpenEnd[], second: Piece): Leg {
    const metres = apart(this.ground.request, this.placeOf(first), this.placeOf(second));
    const isFar = this.ground.far && metres > UNBALANCED_METRES;
    return this.toRecorder(`onward ${first.id}`, starts, second, undefined, { metres, isFar });
  }

  /** From what sources join in to copper that shares it out. */
  between(joins: Part, starts: readonly OpenEnd[], shares: Part): Leg {
    const { ground } = this;
    return this.leg(`${joins.id} > ${shares.id}`, () => {
      const ports = entriesOf(shares);
      const accepts: Goal['accepts'] = (port, end) => passes(shares, port, end);
      const { pool, purse, longest, budget, ceiling } = ground;
      const goal = { goal: shares, ports, accepts, always: true, farthest: mostApart(ground.request) };
      return new ChainFinder({ starts, ...goal, pool, purse, longest, budget, ceiling, inLine: this.inLine });
    });
  }

  /** Into what stands in the middle. `at`: where that stands, if it is to be bought. */
  toMiddle(source: Piece, middle: Part, at: Stand): Leg {
    const { ground } = this;
    const place = this.placeOf(source);
    const isFarIn = ground.middle
      ? farIn(ground.request, place)
      : at === 'behind' &&
        ground.recorders.some((recorder) => this.metresBetween(source, recorder) > UNBALANCED_METRES);
    // What comes into a receiver by radio comes from wherever it has to.
    const isFar = ground.far && isFarIn && !middle.ports.some(isRadioIn);
    const unboxed = this.unboxed(middle);
    return this.leg(
      `${this.keyOf(source)} > ${middle.id} ${isFar}`,
      () => {
        const starts = firstOfPairs(endsOfSource(ground, source));
        return new ChainFinder({
          starts,
          goal: middle,
          ports: entriesOf(middle),
          known: boundsKnown(ground.intoParts, middle.id),
          pool: ground.pool,
          purse: ground.purse,
          longest: ground.longest,
          budget: ground.budget,
          ...(ground.middle && { metres: metresTo(ground.request, place, ground.request.throughPlace) }),
          farthest: mostApart(ground.request),
          ceiling: ground.ceiling,
          inLine: this.inLine,
          rough: ({ port, end }) => this.roughAt(middle, port, end),
          ...(unboxed !== undefined && { unboxed }),
          course: isFar ? farCourse(middle, reachByNumbers(ground.request)) : FREE,
          ...this.spentOn(middle, ground.sources.indexOf(source)),
          spentAfter: ground.spentAfter,
          accepts: (port, end) => passes(middle, port, end),
          always: true,
        });
      },
      this.playedInto(source, middle, at),
    );
  }

  /** What is spent of a chain into or out of a part in the middle. */
  private spentOn(middle: Part, leg: number): Pick<ChainSearch, 'spent'> {
    return { spent: (weight) => this.ground.spentOn(middle, leg, weight) };
  }
}
