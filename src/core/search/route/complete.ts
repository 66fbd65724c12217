import { supplySockets, isWornToListen } from '../../parts';
import {
  halvedSources,
  halvesAtCopper,
  withHeadphones,
  withPairs,
  withSecondLead,
  withSecondWay,
  withSupply,
  type Stock,
} from './attach';
import { withCallers } from './call-in';
import { withCarried } from './carried';
import { chargingSockets, suppliedPorts } from './charging';
import { carriedIn } from './gear';
import { isTaken, type Layout } from './layout';
import { noticed } from './noticed';
import type { RouteRequest } from './request';
import { bridgings } from './growing';

/** A supply at some charging socket of every recorder that would not charge otherwise. */
function charged(layout: Layout, stock: Stock): Layout[] {
  return layout.recorders.reduce<Layout[]>(
    (layouts, host) =>
      layouts.flatMap((one) =>
        suppliedPorts(one, host)
          ? [one]
          : chargingSockets(one, host).flatMap((at) => withSupply(one, at, stock)),
      ),
    [layout],
  );
}

/** Parts that run on a port alone, none of which is joined: they want a supply at one of them. */
function powered(layout: Layout, stock: Stock): Layout[] {
  const dark = layout.pieces.filter(
    ({ id, part }) =>
      part.power &&
      part.power.every((source) => 'port' in source && !isTaken(layout, { part: id, port: source.port })),
  );
  return dark.reduce<Layout[]>(
    (layouts, { id, part }) =>
      layouts.flatMap((one) =>
        supplySockets(part).flatMap((port) => withSupply(one, { part: id, port }, stock)),
      ),
    [layout],
  );
}

/** A source that is worn on the ears. */
const wearsEars = ({ sources, pieces }: Layout): boolean =>
  pieces.some(({ id, part }) => sources.includes(id) && isWornToListen(part));

/** With the other half of each pair led beside the one that is joined, one pair after another; `halves` names those that are loose. */
function madeWhole(layout: Layout, halves: (layout: Layout) => readonly string[]): Layout[] {
  const loose = halves(layout);
  const [first] = loose;
  if (first === undefined) return [layout];
  return [...withSecondLead(layout), ...withSecondWay(layout)].flatMap((next) => {
    const left = halves(next);
    return left.length < loose.length && !left.includes(first) ? madeWhole(next, halves) : [];
  });
}

/** What a chain from source to recorder still lacks of what was asked for: the other half of a pair, headphones, a charger, metres. */
export function completed(bare: Layout, request: RouteRequest, stock: Stock): Layout[] {
  const { wishes = {} } = request;
  const single = madeWhole(withPairs(bare), (layout) => [
    // One side of a pair is enough for who asks for mono, or for a side or track a source.
    ...(wishes.channels === 'mono' || wishes.channels === 'apart' ? [] : halvedSources(layout)),
    ...(wishes.channels === 'stereo' ? halvesAtCopper(layout).map(({ start }) => start.part) : []),
  ]);
  // Both sides may leave a box by a lead each.
  const whole =
    wishes.channels === 'stereo' || wishes.channels === 'mixed'
      ? single.flatMap((layout) => [layout, ...withSecondLead(layout)])
      : single;
  const answered = wishes.callers ? whole.flatMap((layout) => withCallers(layout, stock)) : whole;
  const listens = (wishes.hear || wishes.guests) && !wishes.callers;
  // Who speaks into a headset wears it: whether they hear by it the pipeline says.
  const worn = (layout: Layout) => (wearsEars(layout) ? [layout] : []);
  const heard = listens
    ? answered.flatMap((layout) => [...worn(layout), ...withHeadphones(layout, stock)])
    : answered;
  const seen = heard.flatMap((layout) => noticed(layout, stock));
  const lit = seen.flatMap((layout) => powered(layout, stock));
  const fed = wishes.charge ? lit.flatMap((layout) => charged(layout, stock)) : lit;
  const carried = carriedIn(request);
  const all = carried.length === 0 ? fed : fed.flatMap((layout) => withCarried(layout, carried, stock));
  return all.flatMap((layout) => bridgings(layout, request));
}
