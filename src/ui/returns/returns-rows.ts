import type { Heard, Hearing } from '../../core/engine/hearing';
import type { Rung } from '../../core/views';

/** Pixels of a row: of one who speaks or hears, and of what lies between. */
const [PERSON, OTHER, GAP] = [46, 28, 6];

/** A part of the ladder. */
export interface ReturnRow {
  readonly placed: string;
  readonly person: boolean;
  readonly top: number;
  readonly height: number;
}

/** From who speaks to who hears. */
export interface Arc {
  readonly cell: Heard;
  readonly from: number;
  readonly to: number;
  /** How far it reaches to the right, pixels. */
  readonly reach: number;
}

/** The ladder, with those who speak or hear larger. */
export function returnRows(rungs: readonly Rung[], { hearers, speakers }: Hearing): ReturnRow[] {
  const people = new Set([...hearers, ...speakers].map(({ id }) => id));
  let top = 0;
  return rungs.map(({ placed }) => {
    const person = people.has(placed);
    const row = { placed, person, top, height: person ? PERSON : OTHER };
    top += row.height + GAP;
    return row;
  });
}

/** Shown: what is heard, and what is missing or wrong; nobody’s own silence. */
export const isShown = ({ state }: Heard): boolean => state !== 'alone';

/** Arcs from row to row; longer ones reach further, and no two of one length lie on one another. */
export function arcsOf(rows: readonly ReturnRow[], { cells }: Hearing, chosen: string | undefined): Arc[] {
  const middle = new Map(rows.map(({ placed, top, height }) => [placed, top + height / 2]));
  const shown = cells.filter(
    (cell) => isShown(cell) && (chosen === undefined || cell.listener === chosen || cell.voice === chosen),
  );
  const spans = shown.flatMap((cell) => {
    const [from, to] = [middle.get(cell.voice), middle.get(cell.listener)];
    return from === undefined || to === undefined ? [] : [{ cell, from, to, span: Math.abs(to - from) }];
  });
  const inOrder = [...spans].sort((a, b) => a.span - b.span);
  return inOrder.map(({ cell, from, to }, index) => ({
    cell,
    from: from + offset(index),
    to: to + offset(index),
    reach: 34 + index * Math.min(22, 150 / Math.max(1, inOrder.length)),
  }));
}

/** Arcs that end at one row do so a little apart. */
const offset = (index: number): number => ((index % 5) - 2) * 4;
