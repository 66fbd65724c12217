'use client';
import { memo, useState } from 'react';
import { findingKey, type Finding } from '../../core/checks/finding';
import type { RigEdit } from '../../core/rig';
import { FindingCard } from './finding-card';
import { PanelFrame } from './lens-frame';
import { VerdictHead } from './verdict-head';
import type { Analysed, FixesState } from './use-analysis';
import { lazily } from '../shared/lazily';

const LevelChain = lazily(() => import('./level-chain').then((m) => m.LevelChain));
const WayOutCard = lazily(() => import('./way-out').then((m) => m.WayOutCard));
const WhoHears = lazily(() => import('./who-hears').then((m) => m.WhoHears));
const PolicyForm = lazily(() => import('./policy-form').then((m) => m.PolicyForm));

/** What goes when a finding is cured, and what goes with that. */
const consequencesOf = (findings: readonly Finding[], cause: Finding): Finding[] =>
  findings
    .filter((finding) => finding.because === findingKey(cause))
    .flatMap((finding) => [finding, ...consequencesOf(findings, finding)]);

/** The whole way out is the fix that stands first anyway. */
function isFirstFix({ out, fixes }: FixesState): boolean {
  const [step, another] = out?.way?.steps ?? [];
  const first = fixes.find((found) => found.fixes.length > 0)?.fixes[0];
  return (
    another === undefined && step !== undefined && JSON.stringify(step.edit) === JSON.stringify(first?.edit)
  );
}

interface ArrivesPanelProps extends Analysed {
  readonly proved: FixesState;
  readonly edit: (change: RigEdit | readonly RigEdit[]) => void;
}

/** What arrives: the verdict in one sentence, why, and what to change. At the foot of a phone it sticks. */
export const ArrivesPanel = memo(function ArrivesPanel({ rig, analysis, proved, edit }: ArrivesPanelProps) {
  const [open, setOpen] = useState(false);
  return (
    <PanelFrame label="What arrives">
      <VerdictHead rig={rig} analysis={analysis} open={open} />
      <button
        type="button"
        className="button mt-2 w-full lg:hidden"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Less' : 'Why, and what to change'}
      </button>
      <div className={open ? '' : 'max-lg:hidden'}>
        {proved.out && !isFirstFix(proved) && <WayOutCard rig={rig} out={proved.out} edit={edit} />}
        {analysis.findings.map((finding, index) =>
          finding.because === undefined ? (
            <FindingCard
              key={`${finding.code} ${index}`}
              rig={rig}
              finding={finding}
              found={proved.fixes[index]}
              consequences={consequencesOf(analysis.findings, finding)}
              trouble={proved.trouble}
              edit={edit}
            />
          ) : null,
        )}
        {analysis.findings.length === 0 && <p className="mt-3">Nothing found to change.</p>}
        <section aria-label="Details" className="mt-5">
          {analysis.arrives.map((arrival) => (
            <LevelChain
              key={`${arrival.source} ${arrival.recorder}`}
              rig={rig}
              analysis={analysis}
              arrival={arrival}
            />
          ))}
          {[...new Map(analysis.arrives.map((arrival) => [arrival.recorder, arrival])).values()].map(
            (arrival) => (
              <PolicyForm
                key={arrival.recorder}
                rig={rig}
                arrival={arrival}
                analysis={analysis}
                edit={edit}
              />
            ),
          )}
        </section>
        <WhoHears rig={rig} analysis={analysis} />
      </div>
    </PanelFrame>
  );
});
