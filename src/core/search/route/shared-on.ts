import { isPassiveLink, type Part } from '../../parts';
import { bare, type Ground } from './ground';
import { costOfOneMore, plus, useOf, type Cost } from './inventory';
import { withChain, withPiece, type Layout } from './layout';
import type { LegStore } from './leg-store';
import { Legs } from './legs';
import type { PartChain } from './part-chain';
import { middleOf } from './middles';
import { assign, entriesOf, firstOfPairs, middleEnds, openingsOf } from './sockets';
import { kindOfChain } from './chain-kinds';

/** Sources join in a part with too few outputs for all that record, and copper at its output shares out what leaves it. */
export interface SharedOn {
  readonly joins: Part;
  readonly shares: Part;
  readonly make: () => Legs;
  readonly own: Cost;
  readonly least: () => number;
  readonly lay: (chains: readonly PartChain[]) => Layout | undefined;
}

/** Copper with one way in and a way out for each of so many recorders. */
const canShare = (part: Part, recorders: number): boolean =>
  isPassiveLink(part) && part.ports.length === recorders + 1 && middleOf(part).outputs >= recorders;

/** Where so many sources come in beside a socket by which sound leaves, and there are fewer of these than recorders. */
const needsShare = (part: Part, { sources, recorders, apart }: Ground): boolean =>
  !isPassiveLink(part) &&
  (!apart || middleOf(part).apart >= sources.length) &&
  middleOf(part).outputs < recorders.length &&
  middleEnds(part).some(
    ({ analogue, port }) =>
      analogue !== undefined &&
      openingsOf(entriesOf(part).filter((entry) => entry.id !== port.id)) >= sources.length,
  );

/** The chain as it makes another way: by its boxes, and the socket of what records. */
const inKind = (chain: PartChain, ends: { readonly from?: true; readonly to?: true }): PartChain => ({
  ...chain,
  kind: kindOfChain(ends.from && chain.from, chain.links, ends.to && chain.to),
});

function sharing(ground: Ground, store: LegStore, joins: Part, shares: Part): SharedOn {
  const { sources, recorders, purse } = ground;
  const costOf = (part: Part) =>
    costOfOneMore(part, useOf([]), { ...purse, bother: { ...purse.bother, joint: 0 } });
  // What is kept apart has a side of a pair each all the way.
  const sides = ground.apart ? 'two by pair' : ground.sides;
  const ends = () => firstOfPairs(middleEnds(joins, sides));
  const split = () => middleEnds(shares, sides);
  return {
    joins,
    shares,
    own: plus(costOf(joins), costOf(shares)),
    make: () =>
      new Legs([
        ...sources.map((source) => store.toMiddle(source, joins, 'ahead')),
        store.between(joins, ends(), shares),
        ...recorders.map((recorder) => store.outOf(shares, split(), recorder, 'ahead')),
      ]),
    least: () =>
      sources.reduce((sum, source) => sum + store.leastTo(source, joins), 0) +
      recorders.reduce((sum, recorder) => sum + store.leastFrom(shares, recorder), 0),
    lay: (chains) => {
      const into = chains.slice(0, sources.length);
      const on = chains[sources.length];
      const out = chains.slice(sources.length + 1);
      const ports = assign(
        joins,
        into.map(({ to }) => to),
        ground.apart,
      );
      const exits =
        on &&
        assign(
          shares,
          out.map(({ from }) => from),
          false,
          [on.to],
        );
      if (!ports || !on || !exits) return undefined;
      const first = withPiece(bare(ground), joins);
      const second = withPiece({ ...first.layout, kind: joins.id }, shares);
      const joined = into.reduce(
        (grown, chain, n) =>
          withChain(grown, sources[n]?.id ?? '', inKind(chain, { from: true }), first.id, ports[n]?.id),
        second.layout,
      );
      const shared = withChain(joined, first.id, inKind(on, {}), second.id);
      return out.reduce((grown, chain, n) => {
        const way = { ...inKind(chain, { to: true }), from: exits[n] ?? chain.from };
        return withChain(grown, second.id, way, recorders[n]?.id ?? '');
      }, shared);
    },
  };
}

/** Each part in which several sources join, with each that could share out what leaves it. */
export function sharedOn(ground: Ground, store: LegStore): SharedOn[] {
  const { sources, recorders, pool } = ground;
  if (sources.length < 2 || recorders.length < 2) return [];
  const sharers = pool.parts.filter((part) => canShare(part, recorders.length));
  return pool.parts
    .filter((part) => needsShare(part, ground))
    .flatMap((joins) => sharers.map((shares) => sharing(ground, store, joins, shares)));
}
