'use client';
import Link from 'next/link';
import { useState } from 'react';
import type { LevelWay } from '../../core/search/levels';
import { sayFirst, sayNoise } from '../../core/words/say-levels';
import { PanelFrame } from '../bench/lens-frame';
import type { LensProps } from '../bench/lens';
import { VerdictHead } from '../bench/verdict-head';
import { SentenceView } from '../shared/sentence-view';
import { NoiseBars } from './noise-bars';
import { PlanCard, PresetList } from './plan-card';
import { ResponseChart } from './response-chart';
import { RunList } from './run-list';
import type { LevelsState } from './use-levels';

interface LevelsPanelProps extends Pick<LensProps, 'rig' | 'analysis' | 'edit'> {
  readonly levels: LevelsState;
  readonly way: LevelWay | undefined;
}

function OfWay({
  rig,
  way,
  levels,
}: Omit<LevelsPanelProps, 'way' | 'analysis' | 'edit'> & { way: LevelWay }) {
  const found = levels.rest?.responses.find(
    ({ source, recorder }) => source === way.source && recorder === way.recorder,
  );
  return (
    <>
      <section aria-label="Where the noise comes from" className="mt-4">
        <h3 className="text-soft text-sm font-semibold">Where the noise comes from</h3>
        <NoiseBars rig={rig} way={way} />
      </section>
      <RunList rig={rig} way={way} />
      <section aria-label="Response" className="mt-4">
        <h3 className="text-soft text-sm font-semibold">Response of the whole chain</h3>
        {found ? (
          <ResponseChart response={found.response} band={found.band} />
        ) : (
          <p className="text-soft text-sm">Working it out…</p>
        )}
      </section>
    </>
  );
}

/** What clips first, what hisses, and every knob set best. */
export function LevelsPanel({ rig, analysis, edit, levels, way }: LevelsPanelProps) {
  const [open, setOpen] = useState(false);
  const { rest, trouble } = levels;
  const [usual] = rest?.plans ?? [];
  return (
    <PanelFrame label="Levels">
      <VerdictHead rig={rig} analysis={analysis} open={open} />
      {way && (
        <p className="mt-2 font-semibold">
          <SentenceView sentence={sayFirst(rig, way)} />
        </p>
      )}
      <button
        type="button"
        className="button mt-2 w-full lg:hidden"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Less' : 'Noise, and the best settings'}
      </button>
      <div className={open ? '' : 'max-lg:hidden'}>
        {way && (
          <p className="mt-1">
            <SentenceView sentence={sayNoise(rig, way)} />
          </p>
        )}
        {trouble !== undefined && (
          <p role="alert" className="text-vermilion mt-2">
            {trouble}
          </p>
        )}
        {usual && way && <PlanCard rig={rig} plan={usual} proved={levels.proved} edit={edit} />}
        {!usual && way && <p className="text-soft mt-4">Working out the best settings…</p>}
        {rest && way && <PresetList rig={rig} plans={rest.plans} edit={edit} />}
        {way && <OfWay rig={rig} way={way} levels={levels} />}
        <p className="mt-4">
          <Link className="text-sea underline" href="/calculators">
            Calculators
          </Link>
          : units, pads, loading, noise, leads, phantom, delay, batteries.
        </p>
      </div>
    </PanelFrame>
  );
}
