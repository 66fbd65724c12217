'use client';
import { BatteryCharging, Plug } from 'lucide-react';
import type React from 'react';
import type { Rig } from '../../core/rig';
import { nameOf } from '../../core/words';
import type { PowerView, Rung } from '../../core/views';
import { middleOf, powerRows, supplyBoxes, type PowerRow, type SupplyBox } from './power-rows';
import { sayCurrent } from './say-row';

/** Pixels of the side lane, of a box in it, and where the loop goes down beside the rungs. */
const [LANE, BOX_WIDTH, LOOP_X] = [252, 146, 242];

/** Where current goes from one rung to another, pixels from the left. */
const INNER_X = 222;

/** Two pixels for a whisper, ten for three amperes. */
const thickness = (milliamps: number | undefined): number =>
  milliamps === undefined ? 3 : Math.min(10, 2 + milliamps / 375);

interface LaneProps {
  readonly rows: readonly PowerRow[];
  readonly boxes: readonly SupplyBox[];
  readonly height: number;
  readonly hum: string;
}

/** What one rung gives another, beside the rungs: broken where it is refused. */
function Between({ rows }: Pick<LaneProps, 'rows'>) {
  const rowOf = new Map(rows.map((row) => [row.placed, row]));
  return rows.flatMap((giver) =>
    giver.gives.flatMap(({ to, takes, refused }) => {
      const taker = rowOf.get(to.part);
      if (!taker || (takes <= 0 && !refused)) return [];
      const [from, into] = [middleOf(giver), middleOf(taker)];
      const toward = into < from ? -1 : 1;
      return (
        <g key={`${giver.placed} ${to.part} ${to.port}`}>
          <path
            d={`M${LANE},${from + 8 * toward} H${INNER_X} V${into - 8 * toward} H${LANE}`}
            fill="none"
            stroke={refused ? 'var(--vermilion)' : 'var(--brass)'}
            strokeWidth={refused ? 3 : thickness(takes)}
            strokeDasharray={refused ? '4 4' : undefined}
          />
          <text
            x={INNER_X - 8}
            y={(from + into) / 2 + 4}
            textAnchor="end"
            fontSize={13}
            className="font-mono"
            fill={refused ? 'var(--vermilion)' : 'var(--ink)'}
          >
            {refused ? 'refused' : sayCurrent(takes)}
          </text>
        </g>
      );
    }),
  );
}

function Lane({ rows, boxes, height, hum }: LaneProps) {
  const at = (row: number): number => middleOf(rows[row] ?? { top: 0, height: 0 });
  const looped = boxes.filter(({ loops }) => loops);
  const ends = looped.flatMap(({ to }) => to.map(({ row }) => at(row)));
  const [top, bottom] = [Math.min(...ends), Math.max(...ends)];
  const [first, last] = [Math.min(...looped.map(({ y }) => y)), Math.max(...looped.map(({ y }) => y))];
  const closes = looped.length > 1;
  return (
    <svg aria-hidden className="absolute top-0 left-0" width={LANE} height={height}>
      <Between rows={rows} />
      {boxes.flatMap((box) =>
        box.to.map(({ row, milliamps }) => (
          <g key={`${box.key} ${row}`}>
            <path
              d={`M${BOX_WIDTH},${box.y} H${BOX_WIDTH + 34} V${at(row)} H${LANE}`}
              fill="none"
              stroke="var(--brass)"
              strokeWidth={thickness(milliamps)}
            />
            {milliamps !== undefined && (
              <text x={BOX_WIDTH + 42} y={at(row) - 8} fontSize={13} className="font-mono" fill="var(--ink)">
                {sayCurrent(milliamps)}
              </text>
            )}
          </g>
        )),
      )}
      {closes && (
        <g stroke="var(--vermilion)" strokeWidth={3} strokeDasharray="7 5" fill="none">
          <path d={`M40,${first + 22} V${last - 22}`} />
          <path d={`M${LOOP_X},${top} V${bottom}`} />
        </g>
      )}
      {closes && (
        <text fontSize={13} className="font-mono" fill="var(--vermilion)">
          {['loop:', ...hum.split(/ (?=[−0-9])/)].map((line, index) => (
            <tspan key={line} x={52} y={(first + last) / 2 - 12 + index * 18}>
              {line}
            </tspan>
          ))}
        </text>
      )}
    </svg>
  );
}

function Boxes({ rig, boxes }: { rig: Rig; boxes: readonly SupplyBox[] }) {
  return boxes.map((box) => {
    const Sign = box.wall || box.earthed ? Plug : BatteryCharging;
    const name = box.wall ? (box.place ?? 'The wall') : nameOf(rig, box.placed);
    return (
      <div
        key={box.key}
        className={`bg-card absolute left-0 flex min-h-12 -translate-y-1/2 items-center gap-1.5 rounded-lg border px-2 text-sm leading-tight ${box.loops ? 'border-vermilion' : 'border-line'}`}
        style={{ top: box.y, width: BOX_WIDTH }}
      >
        <Sign size={15} aria-hidden className="flex-none" />
        <span className="min-w-0">
          <span className={box.wall || box.place === undefined ? 'line-clamp-2' : 'line-clamp-1'}>
            {name}
          </span>
          {!box.wall && box.place !== undefined && (
            <span className="text-soft line-clamp-1">{box.place}</span>
          )}
        </span>
      </div>
    );
  });
}

interface PowerLadderProps {
  readonly rig: Rig;
  readonly rungs: readonly Rung[];
  readonly view: PowerView;
  /** "whine −49 dBFS". */
  readonly hum: string;
}

/** The ladder with its supply from the left; a loop of grounds closes through the rungs. */
export function PowerLadder({ rig, rungs, view, hum }: PowerLadderProps) {
  const rows = powerRows(rig, rungs, view);
  const boxes = supplyBoxes(rows, view);
  const end = rows.at(-1);
  const height = Math.max(end ? end.top + end.height : 0, (boxes.at(-1)?.y ?? 0) + 40);
  return (
    <div className="mx-auto mt-4 max-w-3xl">
      <p className="text-soft mb-1 text-sm max-sm:hidden">
        {boxes.length > 0 ? 'from the wall' : 'nothing from the wall'}
      </p>
      <div className="relative" style={{ minHeight: height }}>
        <div className="max-sm:hidden">
          <Lane rows={rows} boxes={boxes} height={height} hum={hum} />
          <Boxes rig={rig} boxes={boxes} />
        </div>
        <ol aria-label="Supply, from source to recorder" className="flex flex-col gap-2 sm:pl-[252px]">
          {rows.map((row) => (
            <Row key={row.placed} rig={rig} row={row} hum={hum} />
          ))}
        </ol>
      </div>
    </div>
  );
}

function Row({ rig, row, hum }: { rig: Rig; row: PowerRow; hum: string }) {
  const refused = row.fedBy.some((feed) => feed.refused);
  // What takes nothing and gives nothing steps back.
  const quiet = row.says === '';
  return (
    <li
      data-power-row={row.placed}
      className={`flex flex-col justify-center rounded-lg border px-3 py-0.5 sm:h-(--row) ${refused ? 'border-vermilion' : 'border-line'} ${quiet ? '' : 'bg-card'}`}
      style={{ '--row': `${row.height}px` } as React.CSSProperties}
    >
      <span className={`leading-snug sm:line-clamp-1 ${quiet ? 'text-soft text-sm' : 'font-bold'}`}>
        {nameOf(rig, row.placed)}
      </span>
      {row.says !== '' && (
        <span
          className={`text-sm leading-snug sm:line-clamp-2 ${refused ? 'text-vermilion' : 'text-soft'}`}
          title={row.says}
        >
          {row.says}
        </span>
      )}
      {row.loops && (
        <span className="text-vermilion text-sm sm:sr-only">on the loop of grounds{hum && `: ${hum}`}</span>
      )}
    </li>
  );
}
