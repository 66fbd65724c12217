'use client';
import { CircleCheck, CircleHelp, CircleX } from 'lucide-react';
import { useState } from 'react';
import { type PowerAnswer } from '../../core/words';
import { sayHum } from '../../core/words/say-hum';
import { cautionsFor, pluggingSteps } from '../../core/words/plugging';
import type { RigEdit } from '../../core/rig';
import type { PowerView } from '../../core/views';
import { FindingCard } from '../bench/finding-card';
import { PanelFrame } from '../bench/lens-frame';
import type { LensProps } from '../bench/lens';
import { VerdictHead } from '../bench/verdict-head';
import { SentenceView } from '../shared/sentence-view';
import { Cautions } from './cautions';
import { ChargeFields } from './charge-fields';
import { DeviceDraws } from './device-draws';
import { SessionClock } from './session-clock';
import { MainsForm, SessionForm } from './site-form';
import { useHumsAfter, type PowerState } from './use-power';

const SIGNS = {
  well: { Sign: CircleCheck, style: 'text-sea' },
  uncertain: { Sign: CircleHelp, style: 'text-brass' },
  ill: { Sign: CircleX, style: 'text-vermilion' },
} as const;

/** `quiet`: on a phone it gives way to what is not well. */
function Answer({ answer, quiet }: { answer: PowerAnswer; quiet: boolean }) {
  const { Sign, style } = SIGNS[answer.is];
  return (
    <li
      className={`flex gap-2 ${quiet ? 'max-lg:hidden' : ''}`}
      data-answer={answer.asks}
      data-is={answer.is}
    >
      <Sign size={20} aria-hidden className={`mt-0.5 flex-none ${style}`} />
      <span>
        <SentenceView sentence={answer.says} />
      </span>
    </li>
  );
}

type Shown = Pick<LensProps, 'rig' | 'analysis' | 'edit' | 'proved'> & { readonly view: PowerView };

const NONE: readonly RigEdit[] = [];

/** What is found of supply and earths, each with its fixes and the hum that they leave. */
function Findings({ rig, analysis, edit, proved, view }: Shown) {
  const shown = analysis.findings.flatMap((finding, index) =>
    analysis.aspects[index] === 'power' ? [{ finding, found: proved.fixes[index] }] : [],
  );
  const edits = shown.flatMap(({ found }) => (found?.fixes ?? []).map((fix) => fix.edit));
  const after = useHumsAfter(rig, view.hums.length > 0 ? edits : NONE);
  const left = (change: object): string | undefined => {
    const hums = after?.[edits.findIndex((one) => one === change)];
    return hums && (hums[0] ? `Then: ${sayHum(hums[0])}.` : 'Then: no hum to speak of.');
  };
  return shown.map(({ finding, found }, index) => (
    <FindingCard
      key={`${finding.code} ${index}`}
      rig={rig}
      finding={finding}
      found={found}
      consequences={[]}
      trouble={proved.trouble}
      edit={edit}
      beside={view.hums.length > 0 ? left : undefined}
    />
  ));
}

const KEY = { mains: 'Mains', plug: 'Plug', set: 'Set', see: 'See' } as const;

function Order({ rig }: Pick<Shown, 'rig'>) {
  return (
    <section aria-label="In this order" className="mt-4">
      <h3 className="text-soft text-sm font-semibold">In this order; out again the other way round</h3>
      <ol className="mt-1 list-decimal space-y-1 pl-6">
        {pluggingSteps(rig).map(({ is, says }, index) => (
          <li key={index} className={is === 'see' ? 'text-soft' : ''}>
            {is === 'see' && <span className="font-semibold">{KEY[is]}: </span>}
            {says}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Does it start, does it last, does it hum; what to change, in which order to plug. */
export function PowerPanel(props: Omit<Shown, 'view'> & PowerState) {
  const { rig, analysis, edit, view, answers, trouble } = props;
  const [open, setOpen] = useState(false);
  return (
    <PanelFrame label="Power">
      <VerdictHead rig={rig} analysis={analysis} open={open} />
      <ul aria-label="Starts, lasts, hums" className="mt-3 grid gap-1.5">
        {answers.map((answer) => (
          <Answer
            key={answer.asks}
            answer={answer}
            quiet={!open && answer.is === 'well' && answers.some(({ is }) => is !== 'well')}
          />
        ))}
      </ul>
      {trouble !== undefined && (
        <p role="alert" className="text-vermilion mt-2">
          {trouble}
        </p>
      )}
      <button
        type="button"
        className="button mt-2 w-full lg:hidden"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        {open ? 'Less' : 'Fixes, session and the order of plugging'}
      </button>
      <div className={open ? '' : 'max-lg:hidden'}>
        {view && (
          <>
            <Findings {...props} view={view} />
            <section aria-label="Session clock" className="mt-4">
              <h3 className="text-soft text-sm font-semibold">How long it lasts</h3>
              <SessionForm rig={rig} edit={edit} />
              <SessionClock rig={rig} view={view} />
              <ChargeFields rig={rig} view={view} edit={edit} />
            </section>
            <DeviceDraws rig={rig} view={view} />
            <MainsForm rig={rig} view={view} edit={edit} />
            <Order rig={rig} />
          </>
        )}
        <Cautions key={rig.id} says={cautionsFor(rig)} />
      </div>
    </PanelFrame>
  );
}
