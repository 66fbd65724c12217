'use client';
import { sayHum } from '../../core/words/say-hum';
import type { LensProps } from '../bench/lens';
import { LensFrame } from '../bench/lens-frame';
import { PowerLadder } from './power-ladder';
import { PowerPanel } from './power-panel';
import { usePower } from './use-power';

/** Will it start, will it last, will it hum: the lens *Power*. */
export function PowerLens({ rig, analysis, head, edit, proved }: LensProps) {
  const { view, answers, trouble } = usePower(rig);
  const [loudest] = view?.hums ?? [];
  return (
    <LensFrame
      head={head}
      ladder={
        view ? (
          <PowerLadder rig={rig} rungs={analysis.rungs} view={view} hum={loudest ? sayHum(loudest) : ''} />
        ) : (
          <p className="text-soft mx-auto mt-6 max-w-3xl">Following the supply…</p>
        )
      }
      panel={
        <PowerPanel
          rig={rig}
          analysis={analysis}
          edit={edit}
          proved={proved}
          view={view}
          answers={answers}
          trouble={trouble}
        />
      }
    />
  );
}
