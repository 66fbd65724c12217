import { allFacts, type Facts } from '../engine';
import {
  earthFacts,
  earthLoops,
  worstOf,
  type EarHum,
  type EarthLoop,
  type HumShare,
  type Level,
} from '../engine/earth';
import {
  arriving,
  deviceDraws,
  discharge,
  netCharge,
  phantomSupplies,
  stores,
  supplyGraph,
  USUAL_MINUTES,
  type Arriving,
  type DeviceDraw,
  type Discharge,
  type Feed,
  type PhantomSupply,
  type Store,
} from '../engine/power';
import { applyEdit, type Rig, type RigEdit } from '../rig';

/** A supply line with the volts at its end. */
export interface FeedView extends Feed {
  readonly volts: Arriving;
}

/** What feeds a rig from outside: something on the mains, or a battery that feeds others. */
export interface SupplyView {
  readonly placed: string;
  readonly is: 'mains' | 'battery';
  readonly class?: 'earthed' | 'insulated';
  /** The strip or outlet, where it is said. */
  readonly place?: string;
}

/** Hum and whine at a recorder, at its worst channel. */
export interface HumView {
  readonly recorder: string;
  readonly hum: Level;
  readonly whine: Level;
  /** The louder of the two. */
  readonly typical: number;
  readonly shares: readonly HumShare[];
}

export interface NetCharge {
  readonly host: string;
  /** mA at 5 V; negative while it empties. */
  readonly milliamps: number;
}

/** How a rig is fed, how long it lasts, and what goes round its grounds. */
export interface PowerView {
  readonly supplies: readonly SupplyView[];
  readonly feeds: readonly FeedView[];
  /** What each USB device takes, by how its switches stand. */
  readonly draws: readonly DeviceDraw[];
  readonly phantoms: readonly PhantomSupply[];
  readonly net: readonly NetCharge[];
  readonly stores: readonly Store[];
  readonly discharge: readonly Discharge[];
  /** Minutes; `planned`: by the user. */
  readonly session: { readonly minutes: number; readonly planned: boolean };
  /** Loops of grounds that close over the mains or a charging lead. */
  readonly loops: readonly EarthLoop[];
  readonly hums: readonly HumView[];
  /** The same in ears, dBV. */
  readonly ears: readonly EarHum[];
}

const worstFirst = (a: HumView, b: HumView): number => b.typical - a.typical;

/** At each recorder the channel that hums most. */
function humsOf(facts: Facts): HumView[] {
  const { hums } = earthFacts(facts);
  const recorders = facts.rig.purpose.recorders;
  return recorders.flatMap((recorder) => {
    const found = hums
      .filter(({ host, shares }) => host === recorder && shares.length > 0)
      .map(({ hum, whine, shares }) => ({
        recorder,
        hum,
        whine,
        shares,
        typical: worstOf({ hum, whine }, 'typical'),
      }));
    return found.sort(worstFirst).slice(0, 1);
  });
}

/** A loop among leads alone, such as the two of a stereo pair, has nothing to drive it. */
const isDriven = (facts: Facts, loop: EarthLoop): boolean => {
  const { mains } = earthFacts(facts);
  const charging = supplyGraph(facts).feeds.some(
    ({ from, to, as }) =>
      (as === 'charge' || as === 'supply') && loop.parts.includes(from.part) && loop.parts.includes(to.part),
  );
  return charging || loop.parts.filter((id) => mains.some(({ laid }) => laid.placed.id === id)).length > 1;
};

function suppliesOf(facts: Facts): SupplyView[] {
  const mains = earthFacts(facts).mains.map(({ laid, class: kind, place, said }): SupplyView => ({
    placed: laid.placed.id,
    is: 'mains',
    class: kind,
    ...(said && { place }),
  }));
  const giving = supplyGraph(facts).feeds.filter(({ as }) => as === 'supply' || as === 'charge');
  const batteries = stores(facts)
    .filter(({ placed }) => giving.some(({ from }) => from.part === placed))
    .map(({ placed }): SupplyView => ({ placed, is: 'battery' }));
  return [...mains, ...batteries.filter(({ placed }) => !mains.some((one) => one.placed === placed))];
}

/** The same from facts that are there. */
export function powerViewOf(facts: Facts): PowerView {
  const graph = supplyGraph(facts);
  const held = stores(facts);
  const planned = facts.rig.surroundings.session?.minutes;
  return {
    supplies: suppliesOf(facts),
    feeds: graph.feeds.map((feed) => ({ ...feed, volts: arriving(graph, feed) })),
    draws: deviceDraws(facts),
    phantoms: phantomSupplies(facts),
    net: facts.rig.purpose.recorders.flatMap((host) => {
      const milliamps = netCharge(facts, host);
      return milliamps === undefined ? [] : [{ host, milliamps }];
    }),
    stores: held,
    discharge: discharge(held),
    session: { minutes: planned ?? USUAL_MINUTES, planned: planned !== undefined },
    loops: earthLoops(facts, earthFacts(facts).network).filter((loop) => isDriven(facts, loop)),
    hums: humsOf(facts),
    ears: earthFacts(facts).ears,
  };
}

/** Supply, session and earths of a rig, as its likeliest reading has them. */
export const powerView = (rig: Rig): PowerView => powerViewOf(allFacts(rig)[0]);

/** Hum and whine at each recorder after an edit. */
export const humsAfter = (rig: Rig, edits: readonly RigEdit[]): HumView[][] =>
  edits.map((edit) => humsOf(allFacts(applyEdit(rig, edit))[0]));
