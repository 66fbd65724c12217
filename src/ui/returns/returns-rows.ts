import type { Heard, Hearing } from '../../core/engine/hearing';
import { peopleOf, type Rig } from '../../core/rig';
import type { Rung } from '../../core/views';

/** Pixels of a row: of one who speaks or hears, and of what lies between. */
const [PERSON, OTHER, GAP] = [46, 28, 6];

/** A part of the ladder. */
export interface ReturnRow {
  /** A part, or a person who has nothing on the ladder. */
  readonly placed: string;
  /** Who speaks or hears here: parts, or people in their stead. */
  readonly who: readonly string[];
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

/** Where a person stands on the ladder: to speak at their microphone, to hear at what they wear. */
const placesOf = (rig: Rig, as: 'speaks' | 'hears'): ReadonlyMap<string, string> =>
  new Map(
    peopleOf(rig).map(({ id, microphone, wears }) => [
      id,
      (as === 'speaks' ? (microphone ?? wears) : (wears ?? microphone)) ?? id,
    ]),
  );

/** The ladder, with those who speak or hear larger; people who have nothing on it stand at its end. */
export function returnRows(
  rig: Rig,
  rungs: readonly Rung[],
  { hearers, speakers }: Hearing,
): readonly ReturnRow[] {
  const [speaks, hears] = [placesOf(rig, 'speaks'), placesOf(rig, 'hears')];
  const here = [
    ...hearers.map(({ id }) => [hears.get(id) ?? id, id] as const),
    ...speakers.map(({ id }) => [speaks.get(id) ?? id, id] as const),
  ];
  const apart = peopleOf(rig).flatMap(({ id, microphone, wears }) => ((microphone ?? wears) ? [] : [id]));
  let top = 0;
  return [...rungs.map(({ placed }) => placed), ...apart].map((placed) => {
    const who = [...new Set(here.flatMap(([at, id]) => (at === placed ? [id] : [])))];
    const row = { placed, who, top, height: who.length > 0 ? PERSON : OTHER };
    top += row.height + GAP;
    return row;
  });
}

/** Shown: what is heard, and what is missing or wrong; nobody’s own silence. */
export const isShown = ({ state }: Heard): boolean => state !== 'alone';

/** Arcs from row to row; longer ones reach further, and no two of one length lie on one another. */
export function arcsOf(
  rig: Rig,
  rows: readonly ReturnRow[],
  { cells }: Hearing,
  chosen: string | undefined,
): Arc[] {
  const [speaks, hears] = [placesOf(rig, 'speaks'), placesOf(rig, 'hears')];
  const middle = new Map(rows.map(({ placed, top, height }) => [placed, top + height / 2]));
  const shown = cells.filter(
    (cell) => isShown(cell) && (chosen === undefined || cell.listener === chosen || cell.voice === chosen),
  );
  const spans = shown.flatMap((cell) => {
    const [from, to] = [
      middle.get(speaks.get(cell.voice) ?? cell.voice),
      middle.get(hears.get(cell.listener) ?? cell.listener),
    ];
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
