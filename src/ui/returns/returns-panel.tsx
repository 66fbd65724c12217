'use client';
import { useState } from 'react';
import type { Heard } from '../../core/engine/hearing';
import { sayEdit } from '../../core/words';
import { sayHearer } from '../../core/words/say-returns';
import type { ReturnsAnswers } from '../../workers/protocol';
import { FindingCard } from '../bench/finding-card';
import { PanelFrame } from '../bench/lens-frame';
import type { LensProps } from '../bench/lens';
import { VerdictHead } from '../bench/verdict-head';
import { AirCard } from './air-card';
import { HearingTable } from './hearing-table';
import { PeopleCard } from './people-card';

type Shown = Pick<LensProps, 'rig' | 'analysis' | 'edit' | 'proved'>;

interface ReturnsPanelProps extends Shown {
  readonly found: ReturnsAnswers | undefined;
  readonly trouble: string | undefined;
  readonly choose: (person: string) => void;
  readonly lit: Heard | undefined;
  readonly light: (cell: Heard | undefined) => void;
}

/** Every send as a mix-minus wants it, with one button. */
function PlanCard({ rig, edit, found }: Pick<Shown, 'rig' | 'edit'> & { found: ReturnsAnswers }) {
  const { plan, missing } = found;
  if (!plan) return null;
  return (
    <section aria-label="Everyone but themself" className="border-line bg-card mt-4 rounded-xl border p-3">
      <div className="flex items-start justify-between gap-3">
        <h3 className="font-bold">Everyone but themself</h3>
        {plan.edits.length > 0 && (
          <button type="button" className="button button-main flex-none" onClick={() => edit(plan.edits)}>
            Set all
          </button>
        )}
      </div>
      {plan.edits.length === 0 && plan.proved && <p className="mt-1">Every send stands as it should.</p>}
      {plan.edits.length > 0 && (
        <ol className="mt-1 list-decimal pl-5">
          {plan.edits.map((one) => (
            <li key={JSON.stringify(one)}>{sayEdit(rig, one)}</li>
          ))}
        </ol>
      )}
      {missing.length > 0 && (
        <ul className="mt-1 list-disc pl-5">
          {missing.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** What is found of returns, each with its fixes. */
function Findings({ rig, analysis, edit, proved }: Shown) {
  return analysis.findings.flatMap((finding, index) =>
    analysis.aspects[index] === 'returns'
      ? [
          <FindingCard
            key={`${finding.code} ${index}`}
            rig={rig}
            finding={finding}
            found={proved.fixes[index]}
            consequences={[]}
            trouble={proved.trouble}
            edit={edit}
          />,
        ]
      : [],
  );
}

/** Margin to howling beyond which a loop is not worth a word, dB. */
const FAR = 30;

/** Who hears whom, in words first; the sends, the findings. */
export function ReturnsPanel(props: ReturnsPanelProps) {
  const { rig, analysis, edit, found, trouble, choose, lit, light } = props;
  const [open, setOpen] = useState(false);
  const hearing = found?.view.hearing;
  const worst = Math.min(
    Infinity,
    ...(found?.view.loops ?? []).filter(({ air }) => !air).map(({ marginDb }) => marginDb),
  );
  return (
    <PanelFrame label="Returns">
      <VerdictHead rig={rig} analysis={analysis} open={open} />
      <ul aria-label="In words" className="mt-3 grid gap-1">
        {hearing?.hearers.map(({ id }) => (
          <li key={id}>{sayHearer(rig, hearing, id)}</li>
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
        {open ? 'Less' : 'The sends, who is in the room, the fixes'}
      </button>
      <div className={open ? '' : 'max-lg:hidden'}>
        {found && <PlanCard rig={rig} edit={edit} found={found} />}
        {found && <PeopleCard rig={rig} stands={found.view.people} edit={edit} />}
        {found && <AirCard rig={rig} edit={edit} found={found} />}
        {hearing && hearing.cells.length > 0 && (
          <HearingTable rig={rig} hearing={hearing} choose={choose} lit={lit} light={light} />
        )}
        <Findings {...props} />
        {found && (
          <p className="text-soft mt-3 text-sm">
            {worst < FAR
              ? `A loop of stages stays ${worst.toFixed(1)} dB from howling.`
              : 'No loop of stages comes near to howling.'}{' '}
            Delays of networks and apps are typical.
          </p>
        )}
      </div>
    </PanelFrame>
  );
}
