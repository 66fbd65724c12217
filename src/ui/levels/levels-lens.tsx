'use client';
import { useState } from 'react';
import { LensFrame } from '../bench/lens-frame';
import type { LensProps } from '../bench/lens';
import { LevelsLadder } from './levels-ladder';
import { LevelsPanel } from './levels-panel';
import { useLevels } from './use-levels';

/** Where it clips, where it hisses, and every knob set best: the lens *Levels*. */
export function LevelsLens({ rig, analysis, head, drawer, edit, preview }: LensProps) {
  const levels = useLevels(rig, drawer);
  const [wanted, choose] = useState(0);
  const ways = levels.ways ?? [];
  const chosen = Math.min(wanted, Math.max(0, ways.length - 1));
  return (
    <LensFrame
      head={head}
      ladder={
        levels.ways ? (
          <LevelsLadder rig={rig} ways={ways} chosen={chosen} choose={choose} edit={edit} preview={preview} />
        ) : (
          <p className="text-soft mx-auto mt-6 max-w-3xl">Working out the levels…</p>
        )
      }
      panel={<LevelsPanel rig={rig} analysis={analysis} edit={edit} levels={levels} way={ways[chosen]} />}
    />
  );
}
