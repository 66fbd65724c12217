'use client';
import { useState } from 'react';
import type { Fix } from '../../core/fixes';
import type { Analysis } from '../../core/pipeline';
import { STATE_BADGE, nameOf, sayArrival, sayLevel } from '../../core/report';
import type { Rig, RigEdit } from '../../core/rig';
import { SentenceView } from '../shared/sentence-view';
import { VERDICT_SIGN } from '../shared/verdict-sign';
import { FindingCard } from './finding-card';
import type { Analysed } from './use-analysis';

function badge(analysis: Analysis): string {
  const worst = analysis.arrives.find((a) => a.state !== 'recorded') ?? analysis.arrives[0];
  if (!worst) return 'Nothing to record';
  if (worst.state !== 'recorded') return STATE_BADGE[worst.state];
  return analysis.verdict === 'clean' ? 'Clean' : 'Recorded, with faults';
}

function WhoHears({ rig, analysis }: { rig: Rig; analysis: Analysis }) {
  return (
    <section aria-label="Who hears what" className="mt-5">
      <h3 className="text-soft text-sm font-semibold">Who hears what</h3>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        {analysis.listeners.map((listener) => (
          <div key={listener.listener} className="contents">
            <dt className="text-soft">{nameOf(rig, listener.listener)}</dt>
            <dd>
              {listener.hears.length === 0
                ? 'nothing'
                : listener.hears
                    .map(
                      (h) =>
                        `${nameOf(rig, h.device)}, ${h.sides === 'both' ? 'both sides' : `${h.sides} only`}`,
                    )
                    .join('; ')}
            </dd>
          </div>
        ))}
        {analysis.listeners.length === 0 && (
          <>
            <dt className="text-soft">Your ears</dt>
            <dd>nothing: no headphones in this rig</dd>
          </>
        )}
      </dl>
    </section>
  );
}

interface ArrivesPanelProps extends Analysed {
  readonly fixes: Fix[][] | undefined;
  readonly edit: (change: RigEdit) => void;
}

/** What arrives: the verdict in one sentence, why, and what to change. At the foot of a phone it sticks. */
export function ArrivesPanel({ rig, analysis, fixes, edit }: ArrivesPanelProps) {
  const [open, setOpen] = useState(false);
  const { Icon, badge: style } = VERDICT_SIGN[analysis.verdict];
  return (
    <aside
      aria-label="What arrives"
      className="border-line bg-panel sticky bottom-0 z-[5] border-t-4 px-4 pt-3 pb-4 max-lg:max-h-[60dvh] max-lg:overflow-y-auto lg:h-dvh lg:overflow-y-auto lg:border-t-0 lg:border-l lg:px-5 lg:pt-5"
    >
      <div aria-live="polite" data-verdict={analysis.verdict} data-state={analysis.arrives[0]?.state}>
        <p className={`inline-flex items-center gap-1.5 rounded-full px-3 py-0.5 font-semibold ${style}`}>
          <Icon size={17} aria-hidden /> {badge(analysis)}
        </p>
        {analysis.arrives.map((arrival) => (
          <div key={`${arrival.source} ${arrival.recorder}`}>
            <h2 className="mt-1.5 text-xl leading-snug font-bold lg:text-2xl">{sayArrival(rig, arrival)}</h2>
            <p className={`mt-1 ${open ? '' : 'max-lg:hidden'}`}>
              <SentenceView sentence={sayLevel(arrival)} />
            </p>
            <p className={`text-soft mt-1 text-sm ${open ? '' : 'max-lg:hidden'}`}>
              What the app does: {arrival.evidence.kind}, {arrival.evidence.date}.
            </p>
          </div>
        ))}
        {analysis.arrives.length === 0 && (
          <h2 className="mt-1.5 text-xl font-bold">Nothing is chosen to record.</h2>
        )}
      </div>
      <button
        type="button"
        className="button mt-2 w-full lg:hidden"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Less' : 'Why, and what to change'}
      </button>
      <div className={open ? '' : 'max-lg:hidden'}>
        {analysis.findings.map((finding, index) => (
          <FindingCard
            key={`${finding.code} ${index}`}
            rig={rig}
            finding={finding}
            fixes={fixes ? (fixes[index] ?? []) : undefined}
            edit={edit}
          />
        ))}
        {analysis.findings.length === 0 && <p className="mt-3">Nothing found to change.</p>}
        <WhoHears rig={rig} analysis={analysis} />
      </div>
    </aside>
  );
}
