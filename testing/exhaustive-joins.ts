import { findPart, isPassiveLink, type Part, type PartPort } from '../src/core/parts';
import { kindOfChain } from '../src/core/search/route/chain-kinds';
import { withJoint, withPiece, type Layout } from '../src/core/search/route/layout';
import type { Found } from '../src/core/search/route/rank';
import type { RouteRequest } from '../src/core/search/route/request';
import { bestOfAll, chains, hangsLong, isRigid, type Step } from './exhaustive';

/** More layouts than so many are not tried, unless it is asked for. */
const MOST = 300;

interface Leg {
  readonly from: PartPort;
  readonly steps: readonly Step[];
  readonly to: PartPort;
}

/** A leg by the ids of the pieces at its ends. */
interface Laid {
  readonly start: string;
  readonly end: string;
  readonly leg: Leg;
}

const legsOf = (
  source: Part,
  parts: readonly Part[],
  goal: Part,
  longest: number,
  request: RouteRequest,
): Leg[] =>
  [...chains(source, parts, goal, longest)].filter(
    ({ from, steps, to }) =>
      !isRigid(source, from, steps, goal, to) && !hangsLong(steps, request.drawer) && from.direction !== 'in',
  );

/** `bought`: the piece in the middle where that is bought: its sockets make no other way. */
function lay(begun: Layout, legs: readonly Laid[], bought?: string): Layout | undefined {
  const used = new Set<string>();
  let layout = begun;
  for (const { start, end, leg } of legs) {
    const ends = [`${start}.${leg.from.id}`, `${end}.${leg.to.id}`];
    if (ends.some((one) => used.has(one))) return undefined;
    for (const one of ends) used.add(one);
    let at = { part: start, port: leg.from.id };
    for (const step of leg.steps) {
      const added = withPiece(layout, step.part);
      layout = withJoint(added.layout, at, { part: added.id, port: step.entry.id });
      at = { part: added.id, port: step.exit.id };
    }
    layout = withJoint(layout, at, { part: end, port: leg.to.id });
    const [from, to] = [start === bought ? undefined : leg.from, end === bought ? undefined : leg.to];
    layout = { ...layout, kind: `${layout.kind} ${kindOfChain(from, leg.steps, to)}` };
  }
  return layout;
}

/** Every choice of one from each list. */
function* choices<T>(lists: readonly (readonly T[])[]): Generator<T[]> {
  const [first, ...rest] = lists;
  if (!first) yield [];
  else for (const one of first) for (const more of choices(rest)) yield [one, ...more];
}

function begin(request: RouteRequest): Layout {
  const piece = (id: string, name: string, app?: RouteRequest['destinations'][number]['app']) => {
    const part = findPart(name);
    if (!part) throw new Error(`no part "${name}"`);
    return { id, part, ...(app !== undefined && { app }) };
  };
  const sources = request.sources.map(({ part }, n) => piece(`source-${n}`, part));
  const recorders = request.destinations.map(({ part, app }, n) => piece(`host-${n}`, part, app));
  return {
    pieces: [...sources, ...recorders],
    joints: [],
    sources: sources.map(({ id }) => id),
    recorders: recorders.map(({ id }) => id),
    kind: '',
  };
}

type Way = readonly [string, Part, string, Part];

/** Packs into a receiver, that into the box that is there, beside what else sounds. */
function behindReceiver(
  placed: { readonly layout: Layout; readonly id: string },
  receiver: Part,
  { sources, recorders }: Layout,
  at: (id: string) => Part,
): { begun: Layout; ways: readonly Way[]; first: string } {
  const both = withPiece(placed.layout, receiver);
  const box = both.layout.pieces.find(({ id }) => id === placed.id)?.part ?? receiver;
  const isPack = (id: string) => at(id).ports.some(({ connector }) => connector === 'radio');
  return {
    begun: { ...both.layout, kind: `${receiver.id} ${box.id}`, given: placed.id },
    ways: [
      ...sources.filter((id) => !isPack(id)).map((id): Way => [id, at(id), placed.id, box]),
      ...sources.filter(isPack).map((id): Way => [id, at(id), both.id, receiver]),
      [both.id, receiver, placed.id, box],
      ...recorders.map((host): Way => [placed.id, box, host, at(host)]),
    ],
    first: both.id,
  };
}

/**
 * The best routes for several sources or recorders by trying everything: each straight to the other, or all through one part with
 * sockets for them, the box that is there where the request names one; with a `receiver`, packs into that and it into the box. Undefined where there are too many to try. It shares with the search how a layout is completed, repaired,
 * judged and ranked, and nothing of how layouts are found.
 */
export function exhaustiveJoins(
  request: RouteRequest,
  parts: readonly Part[],
  longest: number,
  most = MOST,
  receiver?: Part,
): Found[] | undefined {
  const bare = begin(request);
  const at = (id: string): Part => {
    const piece = bare.pieces.find((one) => one.id === id);
    if (!piece) throw new Error(`no piece "${id}"`);
    return piece.part;
  };
  const layouts: Layout[] = [];
  const tryAll = (begun: Layout, ways: readonly Way[], bought?: string): boolean => {
    const lists = ways.map(([start, source, end, goal]) =>
      legsOf(source, parts, goal, longest, request).map((leg): Laid => ({ start, end, leg })),
    );
    for (const choice of choices(lists)) {
      const layout = lay(begun, choice, bought);
      if (layout) layouts.push(layout);
      if (layouts.length > most) return false;
    }
    return true;
  };
  if (request.through !== undefined) {
    const box = findPart(request.through);
    if (!box) throw new Error(`no part "${request.through}"`);
    const placed = withPiece(bare, box);
    if (receiver) {
      const { begun, ways, first } = behindReceiver(placed, receiver, bare, at);
      return tryAll(begun, ways, first) ? bestOfAll(request, layouts, parts, 2 * longest + 3) : undefined;
    }
    const ways = [
      ...bare.sources.map((source) => [source, at(source), placed.id, box] as const),
      ...bare.recorders.map((host) => [placed.id, box, host, at(host)] as const),
    ];
    const all = tryAll({ ...placed.layout, kind: box.id, given: placed.id }, ways);
    return all ? bestOfAll(request, layouts, parts, 2 * longest + 2) : undefined;
  }
  const pairs = bare.sources.flatMap((source) =>
    bare.recorders.map((host) => [source, at(source), host, at(host)] as const),
  );
  if (!tryAll(bare, pairs)) return undefined;
  for (const middle of parts) {
    const placed = withPiece(bare, middle);
    const ways = [
      ...bare.sources.map((source) => [source, at(source), placed.id, middle] as const),
      ...bare.recorders.map((host) => [placed.id, middle, host, at(host)] as const),
    ];
    const begun = { ...placed.layout, kind: isPassiveLink(middle) ? 'copper' : middle.id };
    if (!tryAll(begun, ways, placed.id)) return undefined;
  }
  return bestOfAll(request, layouts, parts, 2 * longest + 2);
}
