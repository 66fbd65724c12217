'use client';
import { ChevronDown, ChevronRight } from 'lucide-react';
import type { Step } from '../../core/engine/levels';
import type { Rig } from '../../core/rig';
import { nameOf } from '../../core/words';
import { sayKnobs } from '../../core/words/say-levels';
import { formatDb } from '../../core/units';
import type { Editing } from '../bench/editing';
import { LevelBar } from './level-bar';
import { placeOf, TICKS, tickPlace } from './level-scale';
import { StepFigures } from './step-figures';
import type { WayRow } from './way-rows';

interface LevelRowProps extends Pick<Editing, 'edit' | 'preview'> {
  readonly rig: Rig;
  readonly row: WayRow;
  readonly open: boolean;
  readonly toggle: () => void;
}

/** From the level of the rung above to the level here, and on to the next: through all rungs one line. */
function Lines({ row: { shown, before, isLast } }: { row: WayRow }) {
  if (!shown) return null;
  const line = (from: number | undefined, to: number, stroke: string, dash?: string) => {
    if (!Number.isFinite(to)) return null;
    const here = placeOf(to);
    const above =
      from !== undefined && Number.isFinite(from) ? `M${placeOf(from)},0 L${here},50` : `M${here},50`;
    return (
      <path
        d={isLast ? above : `${above} L${here},100`}
        fill="none"
        stroke={stroke}
        strokeWidth={1.5}
        strokeDasharray={dash}
        vectorEffect="non-scaling-stroke"
      />
    );
  };
  return (
    <svg
      aria-hidden
      className="pointer-events-none absolute inset-x-0 -top-[5px] h-[calc(100%+10px)] w-full"
      viewBox="0 0 100 100"
      preserveAspectRatio="none"
    >
      {line(before?.peak, shown.peak, 'var(--sea)')}
      {line(before?.noise, shown.noise, 'var(--brass)', '4 3')}
    </svg>
  );
}

/** The clip level as a bracket, and by how much the peaks are over it. */
function Ceiling({ step }: { step: Step }) {
  if (step.clipLevel === null || !Number.isFinite(step.clipLevel)) return null;
  const over = step.peak - step.clipLevel;
  return (
    <>
      <span
        aria-hidden
        className="border-ink absolute top-1/2 h-9 w-1.5 -translate-y-1/2 rounded-l-sm border-2 border-r-0"
        style={{ left: `${placeOf(step.clipLevel)}%` }}
      />
      {over > 0 && (
        <span
          className="text-vermilion absolute top-0 -translate-x-full pr-1 font-mono text-xs font-bold whitespace-nowrap"
          style={{ left: `${placeOf(step.clipLevel)}%` }}
        >
          {formatDb(over)} over
        </span>
      )}
    </>
  );
}

/** What a row says to who does not see it. */
function spoken({ shown }: WayRow): string {
  if (!shown) return '';
  const room =
    shown.clipLevel === null ? '' : `, ${formatDb(shown.clipLevel - shown.peak)} under its clip level`;
  return `Peaks ${formatDb(shown.peak, 'dBV')}, noise ${formatDb(shown.noise, 'dBV')}${room}`;
}

/** One rung of the staircase: its name and knobs, and its levels on the one axis. */
export function LevelRow({ rig, row, open, toggle, edit, preview }: LevelRowProps) {
  const { placed, knobs, shown, steps } = row;
  const [knob] = knobs;
  const name = nameOf(rig, placed);
  const set = (value: number) =>
    knob && ({ kind: 'set', part: knob.part, setting: knob.setting, option: value } as const);
  const says = sayKnobs(rig, placed, knobs);
  const Sign = open ? ChevronDown : ChevronRight;
  return (
    <li className="border-line bg-card relative rounded-lg border" data-level-row={placed}>
      <div className="grid grid-cols-1 sm:grid-cols-[13rem_minmax(0,1fr)]">
        <button
          type="button"
          aria-expanded={open}
          onClick={toggle}
          className="hover:bg-panel flex min-h-11 items-center gap-2 rounded-lg px-2.5 py-1 text-left"
        >
          <Sign size={16} aria-hidden className="text-soft flex-none" />
          <span className="min-w-0 leading-tight">
            <span className="line-clamp-2 font-bold">{name}</span>
            {says && <span className="text-soft block text-sm">{says}</span>}
          </span>
        </button>
        <div className={`relative mx-2 ${shown && steps.length > 0 ? 'min-h-14' : 'min-h-8 max-sm:min-h-4'}`}>
          {TICKS.map((tick) => (
            <span
              key={tick}
              aria-hidden
              className="bg-line absolute inset-y-0 w-px"
              style={{ left: `${tickPlace(tick)}%` }}
            />
          ))}
          <Lines row={row} />
          {shown && steps.length > 0 && (
            <>
              {Number.isFinite(shown.noise) && (
                <span
                  aria-hidden
                  className="bg-brass absolute top-1/2 h-7 w-[3px] -translate-y-1/2 rounded"
                  style={{ left: `${placeOf(shown.noise)}%` }}
                />
              )}
              <LevelBar
                step={shown}
                name={knob ? `${name}: ${says}` : name}
                turn={(value) => {
                  const change = set(value);
                  if (change) preview(change);
                }}
                keep={(value) => {
                  const change = set(value);
                  if (change) edit(change);
                }}
                {...(knob && { knob })}
              />
              <Ceiling step={shown} />
              <span className="sr-only">{spoken(row)}</span>
            </>
          )}
        </div>
      </div>
      {open && <StepFigures rig={rig} row={row} edit={edit} preview={preview} />}
    </li>
  );
}
