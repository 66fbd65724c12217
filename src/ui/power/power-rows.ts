import type { Rung } from '../../core/views';
import { partOf, type Rig } from '../../core/rig';
import type { FeedView, PowerView } from '../../core/views';
import { sayRow } from './say-row';
import { isSupply } from '../../core/parts';

/** Pixels of a row by what it says: its name alone, one line more, two. */
const HEIGHTS = [30, 62, 82] as const;
const GAP = 8;
/** So many letters go into a line of a row. */
const LINE = 46;
/** Pixels from a supply's box to the next. */
const BOX = 66;

/** A part of the rig that is no supply, with all that feeds it. */
export interface PowerRow {
  readonly placed: string;
  readonly depth: number;
  readonly fedBy: readonly FeedView[];
  readonly gives: readonly FeedView[];
  readonly says: string;
  /** Pixels from the top, and of its own. */
  readonly top: number;
  readonly height: number;
  /** It lies on a loop of grounds. */
  readonly loops: boolean;
}

/** Something that feeds from the left: what stands on the wall or holds a charge, or the wall itself. */
export interface SupplyBox {
  readonly key: string;
  readonly placed: string;
  /** The part is the row itself: the box is the wall. */
  readonly wall: boolean;
  readonly place?: string;
  readonly earthed: boolean;
  /** Pixels from the top to its middle. */
  readonly y: number;
  /** Rows that it feeds, with what flows, mA; none is known of what a mains lead carries. */
  readonly to: readonly { readonly row: number; readonly milliamps?: number }[];
  readonly loops: boolean;
}

/** Middle of a row, pixels from the top. */
export const middleOf = ({ top, height }: Pick<PowerRow, 'top' | 'height'>): number => top + height / 2;

const heightOf = (says: string): number => HEIGHTS[says === '' ? 0 : says.length <= LINE ? 1 : 2];

/** The ladder without its supplies and their leads. */
export function powerRows(rig: Rig, rungs: readonly Rung[], view: PowerView): PowerRow[] {
  const onLoop = new Set(view.loops.flatMap(({ parts }) => parts));
  const takers = new Set(view.feeds.flatMap(({ to }) => to.part));
  let top = 0;
  return rungs
    .filter(({ placed, lane }) => {
      const part = partOf(rig, placed);
      if (!part || isSupply(part)) return false;
      return lane !== 'supply' || takers.has(placed);
    })
    .map(({ placed, depth }) => {
      const fedBy = view.feeds.filter(({ to }) => to.part === placed);
      const says = sayRow(rig, placed, fedBy, view).join(' · ');
      const row = { top, height: heightOf(says) };
      top += row.height + GAP;
      return {
        placed,
        depth,
        fedBy,
        gives: view.feeds.filter(({ from }) => from.part === placed),
        says,
        ...row,
        loops: onLoop.has(placed),
      };
    });
}

type Unplaced = Omit<SupplyBox, 'y'> & { readonly wants: number };

/** Boxes in the order of what they feed, none over another. */
export function supplyBoxes(rows: readonly PowerRow[], view: PowerView): SupplyBox[] {
  const rowOf = new Map(rows.map(({ placed }, index) => [placed, index]));
  const onLoop = new Set(view.loops.flatMap(({ parts }) => parts));
  const found = view.supplies.flatMap(({ placed, place, class: kind }): Unplaced[] => {
    const own = rowOf.get(placed);
    const feeds = view.feeds.filter(({ from }) => from.part === placed);
    const to =
      own !== undefined
        ? [{ row: own }]
        : feeds.flatMap((feed) => {
            const row = rowOf.get(feed.to.part);
            return row === undefined ? [] : [{ row, milliamps: feed.takes }];
          });
    if (to.length === 0 && own === undefined && feeds.length === 0 && rows.length === 0) return [];
    const wants =
      to.length === 0
        ? 0
        : to.reduce((sum, { row }) => sum + middleOf(rows[row] ?? { top: 0, height: 0 }), 0) / to.length;
    return [
      {
        key: placed,
        placed,
        wall: own !== undefined,
        ...(place !== undefined && { place }),
        earthed: kind === 'earthed',
        to,
        loops: onLoop.has(placed),
        wants,
      },
    ];
  });
  let last = -Infinity;
  return found
    .sort((a, b) => a.wants - b.wants)
    .map(({ wants, ...box }) => {
      last = Math.max(wants, last + BOX, 30);
      return { ...box, y: last };
    });
}
