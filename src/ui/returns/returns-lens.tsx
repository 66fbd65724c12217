'use client';
import { useState } from 'react';
import { peopleOf } from '../../core/rig';
import type { LensProps } from '../bench/lens';
import { LensFrame } from '../bench/lens-frame';
import { ReturnsLadder } from './returns-ladder';
import { ReturnsPanel } from './returns-panel';
import { useReturns } from './use-returns';

/** Who hears whom, and with what delay: the lens *Returns*. */
export function ReturnsLens({ rig, analysis, head, edit, proved }: LensProps) {
  const { found, trouble } = useReturns(rig);
  const [wanted, choose] = useState<string>();
  const chosen = [...rig.parts, ...peopleOf(rig)].some(({ id }) => id === wanted) ? wanted : undefined;
  return (
    <LensFrame
      head={head}
      ladder={
        found ? (
          <ReturnsLadder rig={rig} rungs={analysis.rungs} view={found.view} chosen={chosen} choose={choose} />
        ) : (
          <p className="text-soft mx-auto mt-6 max-w-3xl">Listening round…</p>
        )
      }
      panel={
        <ReturnsPanel
          rig={rig}
          analysis={analysis}
          edit={edit}
          proved={proved}
          found={found}
          trouble={trouble}
          choose={choose}
        />
      }
    />
  );
}
