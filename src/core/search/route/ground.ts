import type { Part, PartPort } from '../../parts';
import { isDigital, playedAt, sourceEnds, type OpenEnd, type SidesAsked } from '../ends';
import { isSource } from '../../rig';
import { distanceDb, dbSpl, metres, type DbSpl } from '../../units';
import { VOICE_LEVEL, WORN } from '../../engine/flow';
import type { KnownBounds } from './bounds';
import type { Cost, Purse } from './inventory';
import type { Layout, Piece } from './layout';
import type { PartChain } from './part-chain';
import { chainPlayedInto } from './played-into';
import type { Pool } from './pool';
import type { reachFrom } from './reach';
import type { Spent } from './rest';
import type { RequestSource, RouteRequest } from './request';

/** What every stream of a search shares. */
export interface Ground {
  readonly request: RouteRequest;
  readonly sources: readonly Piece[];
  /** What every source goes into, where the user has it already. */
  readonly middle?: Part;
  /** Something has to reach farther than unbalanced leads should. */
  readonly far: boolean;
  /** Every recorder charges meanwhile. */
  readonly charge: boolean;
  /** The most that may be spent. */
  readonly budget: number;
  /** To what sides of what records it every source has to come. */
  readonly sides: SidesAsked;
  /** Each source on a side or track of its own. */
  readonly apart: boolean;
  /** Who speaks at the far ends comes back into the part in the middle. */
  readonly callers: boolean;
  readonly recorders: readonly Piece[];
  readonly pool: Pool;
  readonly purse: Purse;
  readonly longest: number;
  /** What a source that is not joined to its own supply needs beside the chain. */
  readonly extra: (source: OpenEnd) => Cost;
  /** Whether a chain from a port over these parts to a recorder, behind a part in the middle that is to be bought, is one that was found with something needless in it. */
  readonly needless: (from: PartPort, parts: readonly Part[], middle?: Part) => boolean;
  /** Ways from the source to the recorder to which no other of their kind is better any more, where a chain weighs so much. */
  readonly spent: (weight: number) => readonly Spent[];
  /** The same of a chain into or out of a part in the middle, by the order in which they are laid. */
  readonly spentOn: (middle: Part, leg: number, weight: number) => readonly Spent[];
  /** That is asked after so many open ends, each time. */
  readonly spentAfter: number;
  /** Whether a source is known to be lost by the way that it has in a layout, whatever else is in it. */
  readonly isLost: (layout: Layout) => boolean;
  /** Of how many ways that is known so far. */
  readonly lostWays: () => number;
  /** What costs more than this is not wanted any more. */
  readonly ceiling: () => Cost | undefined;
  /** Whether the app of a recorder takes what comes to it this way. */
  readonly takes: (recorder: Piece, end: OpenEnd) => boolean;
  /** What is still to be paid to each recorder, for searches in which apps take the same. */
  readonly toRecorders: Map<string, KnownBounds>;
  /** What is still to be paid into each part, and from each source on, for every search of the request. */
  readonly intoParts: Map<string, KnownBounds>;
  readonly reaches: Map<string, ReturnType<typeof reachFrom>>;
}

/** What a search stands on before it has begun. */
export type GroundOfPass = Omit<
  Ground,
  'ceiling' | 'extra' | 'needless' | 'spent' | 'spentOn' | 'isLost' | 'lostWays'
>;

/** One source comes to one recorder, over whatever there is. */
export const isOneChain = ({
  middle,
  sources,
  recorders,
}: Pick<Ground, 'middle' | 'sources' | 'recorders'>): boolean =>
  !middle && sources.length === 1 && recorders.length === 1;

/** Sources and recorders, joined to nothing yet. */
export const bare = ({ sources, recorders }: Ground): Layout => ({
  pieces: [...sources, ...recorders.filter((r) => !sources.includes(r))],
  joints: [],
  sources: sources.map((piece) => piece.id),
  recorders: recorders.map((piece) => piece.id),
  kind: '',
});

const pressureAt = (request: RouteRequest, source: RequestSource | undefined): DbSpl =>
  dbSpl(VOICE_LEVEL[request.voice ?? 'normal'] + distanceDb(metres(source?.distance ?? WORN)));

const ends = new WeakMap<Ground, Map<Piece, readonly OpenEnd[]>>();

/** The ends at which a source gives its sound, each to come to the sides that are asked for; worked out once for a search. */
export function endsOfSource(ground: Ground, source: Piece): readonly OpenEnd[] {
  const known = ends.get(ground) ?? new Map<Piece, readonly OpenEnd[]>();
  ends.set(ground, known);
  const found = known.get(source) ?? findEnds(ground, source);
  known.set(source, found);
  return found;
}

function findEnds(ground: Ground, source: Piece): OpenEnd[] {
  const { request, sources } = ground;
  const pressure = pressureAt(request, request.sources[sources.indexOf(source)]);
  const own = sourceEnds(source.part, pressure, ground.sides);
  // A phone or computer gives what it plays by its own jack, else by what it plays into.
  if (own.length > 0 || !source.part.host) return own;
  return ground.pool.parts
    .filter((part) => !isSource(part))
    .flatMap((player) => playedEnds(ground, source.part, player));
}

/** The ends at which a host's playback is given by another thing at its port, such as a headset dongle. */
function playedEnds({ pool, purse, sides }: Ground, host: Part, player: Part): OpenEnd[] {
  const chain = chainPlayedInto(host, player, pool, purse);
  if (!chain) return [];
  const { from, links, to } = chain;
  return player.ports
    .flatMap((port) => playedAt(player, port, sides))
    .map((end) => ({
      ...end,
      begins: { from, links: [...links, { part: player, entry: to, exit: end.port }] },
    }));
}

/** The end of a source at which a chain begins. Where it plays by numbers into the box that it comes to, nothing is open before that. */
export function startOf(ground: Ground, source: Piece, { from, to }: PartChain): OpenEnd | undefined {
  if (source.part.host && isDigital(to)) return { part: source.part, port: from, state: 'plays' };
  return endsOfSource(ground, source).find(({ port }) => port.id === from.id);
}
