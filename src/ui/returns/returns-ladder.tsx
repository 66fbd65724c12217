'use client';
import type React from 'react';
import { peopleOf, type Rig } from '../../core/rig';
import { nameOf } from '../../core/words';
import { list } from '../../core/words/words';
import { calledIn, sayHeard } from '../../core/words/say-returns';
import type { Heard, HearState } from '../../core/engine/hearing';
import type { ReturnsView, Rung } from '../../core/views';
import { arcsOf, isShown, returnRows, type Arc, type ReturnRow } from './returns-rows';

/** Pixels of the lane at the right. */
const LANE = 250;

const STROKES: Readonly<Record<HearState, { readonly color: string; readonly dash?: string }>> = {
  hears: { color: 'var(--sea)' },
  quiet: { color: 'var(--brass)', dash: '6 4' },
  late: { color: 'var(--vermilion)' },
  twice: { color: 'var(--vermilion)', dash: '10 3 2 3' },
  not: { color: 'var(--vermilion)', dash: '4 5' },
  alone: { color: 'none' },
};

/** An arc to the right; one to oneself is a small loop. */
function pathOf({ from, to, reach, cell }: Arc): string {
  const [a, b] = cell.listener === cell.voice ? [from - 10, to + 10] : [from, to];
  return `M4,${a} C${reach * 1.33},${a} ${reach * 1.33},${b} 8,${b}`;
}

function Arcs({ arcs, height }: { arcs: readonly Arc[]; height: number }) {
  return (
    <svg aria-hidden className="absolute top-0 right-0" width={LANE} height={height}>
      <defs>
        {Object.entries(STROKES).map(([state, { color }]) => (
          <marker
            key={state}
            id={`arrow-${state}`}
            viewBox="0 0 8 8"
            refX={7}
            refY={4}
            markerWidth={9}
            markerHeight={9}
            markerUnits="userSpaceOnUse"
            orient="auto"
          >
            <path d="M0,0 L8,4 L0,8" fill="none" stroke={color} strokeWidth={1.6} />
          </marker>
        ))}
      </defs>
      {arcs.map((arc, index) => {
        const { color, dash } = STROKES[arc.cell.state];
        const middle = (arc.from + arc.to) / 2;
        return (
          <g key={`${arc.cell.listener} ${arc.cell.voice}`}>
            <path
              d={pathOf(arc)}
              fill="none"
              stroke={color}
              strokeWidth={2.5}
              strokeDasharray={dash}
              markerEnd={`url(#arrow-${arc.cell.state})`}
            />
            {arcs.length <= 6 && (
              <text
                x={arc.reach + 8}
                y={middle + (index % 2 === 0 ? -8 : 14)}
                fontSize={12}
                className="font-mono"
                fill={color}
                stroke="var(--paper)"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {sayHeard(arc.cell)}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}

interface RowProps {
  /** It lies on the way that is lit. */
  readonly lit: boolean;
  readonly rig: Rig;
  readonly row: ReturnRow;
  readonly chosen: boolean;
  readonly choose: () => void;
  /** What this person has of the chosen one’s, on a phone in place of the arcs. */
  readonly cells: readonly Heard[];
}

function Row({ rig, row, lit, chosen, choose, cells }: RowProps) {
  const people = row.who.flatMap((id) => peopleOf(rig).find((person) => person.id === id)?.name ?? []);
  const part = rig.parts.some(({ id }) => id === row.placed) ? nameOf(rig, row.placed) : 'in the room';
  const name = people.length > 0 ? `${list(people)} · ${part}` : part;
  if (row.who.length === 0)
    return (
      <li
        data-lit={lit || undefined}
        className="border-line text-soft data-lit:border-sea data-lit:text-ink flex items-center rounded-lg border px-3 text-sm data-lit:border-2 data-lit:font-semibold sm:h-(--row)"
        style={heightOf(row)}
      >
        <span className="sm:line-clamp-1">{name}</span>
      </li>
    );
  return (
    <li
      data-return-row={row.placed}
      data-lit={lit || undefined}
      className="sm:h-(--row)"
      style={heightOf(row)}
    >
      <button
        type="button"
        aria-pressed={chosen}
        onClick={choose}
        data-lit={lit || undefined}
        className="border-line bg-card hover:bg-panel data-lit:border-sea data-lit:border-2 aria-pressed:border-sea flex min-h-11 w-full flex-col justify-center rounded-lg border px-3 text-left aria-pressed:border-2 sm:h-full"
      >
        <span className="font-bold sm:line-clamp-1">{name}</span>
        {chosen && cells.length > 0 && (
          <span className="text-sm sm:hidden">
            {cells.map((cell) => `${calledIn(rig, cell.voice)}: ${sayHeard(cell)}`).join(' · ')}
          </span>
        )}
      </button>
    </li>
  );
}

const heightOf = ({ height }: ReturnRow): React.CSSProperties =>
  ({ '--row': `${height}px` }) as React.CSSProperties;

/** A row that several have, a microphone shared by two, goes from one to the next, and then to nobody. */
const next = ({ who }: ReturnRow, chosen: string | undefined): string | undefined =>
  who[chosen === undefined ? 0 : who.indexOf(chosen) + 1];

interface ReturnsLadderProps {
  readonly rig: Rig;
  readonly rungs: readonly Rung[];
  readonly view: ReturnsView;
  readonly chosen: string | undefined;
  readonly choose: (person: string | undefined) => void;
  /** The one of the matrix whose way is lit. */
  readonly lit: Heard | undefined;
}

/** The ladder, with what goes from whose voice to whose ears at its right. */
export function ReturnsLadder({ rig, rungs, view, chosen, choose, lit }: ReturnsLadderProps) {
  const { hearing } = view;
  const rows = returnRows(rig, rungs, hearing);
  const end = rows.at(-1);
  const height = end ? end.top + end.height : 0;
  const shown = lit ? { ...hearing, cells: [lit] } : hearing;
  const arcs = arcsOf(rig, rows, shown, lit ? undefined : chosen);
  return (
    <div className="mx-auto mt-4 max-w-3xl">
      <p className="text-soft mb-1 text-sm">
        {lit
          ? `How ${calledIn(rig, lit.voice)} comes to ${calledIn(rig, lit.listener)}: ${sayHeard(lit)}.`
          : chosen === undefined
            ? 'Choose one to see what they hear, and who hears them.'
            : `What goes to and from ${calledIn(rig, chosen)}.`}
      </p>
      <div className="relative">
        <div className="max-sm:hidden">
          <Arcs arcs={arcs} height={height} />
        </div>
        <ol aria-label="Who speaks and who hears" className="flex flex-col gap-1.5 sm:pr-[250px]">
          {rows.map((row) => (
            <Row
              key={row.placed}
              rig={rig}
              row={row}
              lit={lit?.path.includes(row.placed) === true}
              chosen={chosen !== undefined && row.who.includes(chosen)}
              choose={() => choose(next(row, chosen))}
              cells={hearing.cells.filter((cell) => cell.listener === chosen && isShown(cell))}
            />
          ))}
        </ol>
      </div>
    </div>
  );
}
