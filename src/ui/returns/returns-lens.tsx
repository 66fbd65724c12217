'use client';
import { useState } from 'react';
import type { Heard } from '../../core/engine/hearing';
import { peopleOf } from '../../core/rig';
import type { LensProps } from '../bench/lens';
import { LensFrame } from '../bench/lens-frame';
import { isCell } from './hearing-table';
import { ReturnsLadder } from './returns-ladder';
import { ReturnsPanel } from './returns-panel';
import { useReturns } from './use-returns';

/** Who hears whom, and with what delay: the lens *Returns*. */
export function ReturnsLens({ rig, analysis, head, edit, proved }: LensProps) {
  const { found, trouble } = useReturns(rig);
  const [wanted, setWanted] = useState<string>();
  const [cell, light] = useState<Heard>();
  const choose = (person: string | undefined) => {
    setWanted(person);
    light(undefined);
  };
  // The rig may have changed under it.
  const lit = cell && found?.view.hearing.cells.find((one) => isCell(cell, one));
  const chosen = [...rig.parts, ...peopleOf(rig)].some(({ id }) => id === wanted) ? wanted : undefined;
  return (
    <LensFrame
      head={head}
      ladder={
        found ? (
          <ReturnsLadder
            rig={rig}
            rungs={analysis.rungs}
            view={found.view}
            chosen={chosen}
            choose={choose}
            lit={lit}
          />
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
          lit={lit}
          light={light}
        />
      }
    />
  );
}
