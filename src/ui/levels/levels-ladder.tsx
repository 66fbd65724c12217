'use client';
import { useState } from 'react';
import type { Rig } from '../../core/rig';
import { noun } from '../../core/words';
import type { LevelWay } from '../../core/search/levels';
import type { Editing } from '../bench/editing';
import { LevelRow } from './level-row';
import { TICKS, tickPlace } from './level-scale';
import { wayRows } from './way-rows';

/** Which way is looked at, where there are several. */
function WayChoice(props: {
  rig: Rig;
  ways: readonly LevelWay[];
  chosen: number;
  choose: (index: number) => void;
}) {
  const { rig, ways, chosen, choose } = props;
  if (ways.length < 2) return null;
  return (
    <label className="mt-3 flex flex-wrap items-center gap-2">
      <span className="text-soft">The way of</span>
      <select
        className="field max-w-full min-w-0"
        value={chosen}
        onChange={(event) => choose(Number(event.target.value))}
      >
        {ways.map(({ source, recorder }, index) => (
          <option key={`${source} ${recorder}`} value={index}>
            {noun(rig, source)} to {noun(rig, recorder)}
          </option>
        ))}
      </select>
    </label>
  );
}

function Axis() {
  return (
    <div aria-hidden className="grid grid-cols-1 sm:grid-cols-[13rem_minmax(0,1fr)]">
      <span className="text-soft self-end px-2 text-right font-mono text-xs max-sm:hidden">dBu</span>
      <span className="text-soft relative mx-2 h-5 font-mono text-xs">
        {TICKS.map((tick) => (
          <span
            key={tick}
            className={`absolute -translate-x-1/2 ${tick % 40 === 0 ? '' : 'max-sm:hidden'}`}
            style={{ left: `${tickPlace(tick)}%` }}
          >
            {tick < 0 ? `−${-tick}` : tick}
          </span>
        ))}
        <span className="absolute right-0 sm:hidden">dBu</span>
      </span>
    </div>
  );
}

function Key() {
  return (
    <p className="text-soft mt-2 flex flex-wrap items-center gap-x-5 gap-y-1 text-sm">
      <span className="inline-flex items-center gap-1.5">
        <span aria-hidden className="bg-brass inline-block h-4 w-[3px] rounded" /> noise
      </span>
      <span className="inline-flex items-center gap-1.5">
        <span aria-hidden className="bg-sea inline-block h-3.5 w-7 rounded" /> RMS to peaks
      </span>
      <span className="inline-flex items-center gap-1.5">
        <span aria-hidden className="border-ink inline-block h-4 w-1.5 border-2 border-r-0" /> clips here
      </span>
      <span>drag a bar, or use the arrow keys on it, to turn its knob</span>
    </p>
  );
}

interface LevelsLadderProps extends Pick<Editing, 'edit' | 'preview'> {
  readonly rig: Rig;
  readonly ways: readonly LevelWay[];
  readonly chosen: number;
  readonly choose: (index: number) => void;
}

/** The staircase, drawn upright in the rungs on one axis. */
export function LevelsLadder({ rig, ways, chosen, choose, edit, preview }: LevelsLadderProps) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const way = ways[chosen];
  const toggle = (placed: string) =>
    setOpen((before) => {
      const after = new Set(before);
      if (!after.delete(placed)) after.add(placed);
      return after;
    });
  if (!way)
    return (
      <p className="mx-auto mt-6 max-w-3xl">
        Nothing of what is to be recorded comes to a recorder: there are no levels to set yet. <em>Wiring</em>{' '}
        says what is wrong.
      </p>
    );
  return (
    <div className="mx-auto max-w-3xl">
      <WayChoice rig={rig} ways={ways} chosen={chosen} choose={choose} />
      <div className="bg-paper sticky top-0 z-[4] pt-3">
        <Axis />
      </div>
      <ol aria-label="Levels, from source to recorder" className="flex flex-col gap-1.5">
        {wayRows(rig, way).map((row) => (
          <LevelRow
            key={row.placed}
            rig={rig}
            row={row}
            open={open.has(row.placed)}
            toggle={() => toggle(row.placed)}
            edit={edit}
            preview={preview}
          />
        ))}
      </ol>
      <Key />
    </div>
  );
}
