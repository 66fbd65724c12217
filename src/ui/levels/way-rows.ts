import type { Rig } from '../../core/rig';
import { wayThrough } from '../../core/views';
import type { Step } from '../../core/engine/levels';
import type { LevelKnob, LevelWay } from '../../core/search/levels';

/** A part on the way, with its stages and what can be turned on it. */
export interface WayRow {
  readonly placed: string;
  readonly steps: readonly Step[];
  readonly knobs: readonly LevelKnob[];
  /** The level that leaves it, and the one before: between them runs the line. */
  readonly shown?: Step;
  readonly before?: Step;
  readonly isLast: boolean;
}

/** The rungs of a way: its stages part by part, and what lies between them. */
export function wayRows(rig: Rig, { source, recorder, steps, knobs }: LevelWay): WayRow[] {
  const parts = wayThrough(rig, [source, ...steps.map(({ placed }) => placed), recorder]);
  let before: WayRow['shown'];
  return parts.map((placed, index): WayRow => {
    const own = steps.filter((step) => step.placed === placed);
    const shown = own.at(-1);
    const row: WayRow = {
      placed,
      steps: own,
      knobs: knobs.filter(({ part }) => part === placed),
      isLast: index === parts.length - 1,
      ...(shown && { shown }),
      ...(before && { before }),
    };
    // Through what has no stage the line runs on to the next that has.
    if (shown) before = shown;
    return shown ? row : { ...row, ...(before && { shown: before }) };
  });
}
