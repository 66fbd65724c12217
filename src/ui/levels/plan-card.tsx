'use client';
import type { Rig, RigEdit } from '../../core/rig';
import type { PlanView } from '../../core/search/levels';
import { PRESET_WORDS, sayAdd, sayPlanned, sayPlanOutcome } from '../../core/words/say-levels';
import { SentenceView } from '../shared/sentence-view';

interface PlanProps {
  readonly rig: Rig;
  readonly plan: PlanView;
  readonly edit: (change: RigEdit | readonly RigEdit[]) => void;
}

/** The best settings, with one button for all of them, and what to add where none can do it. */
export function PlanCard({ rig, plan, edit }: PlanProps) {
  return (
    <section aria-label="Best settings" className="border-line bg-card mt-4 rounded-xl border p-3">
      <div className="flex items-start justify-between gap-3">
        <div>
          <h3 className="font-bold">Best settings</h3>
          <p className="text-sm">
            <SentenceView sentence={sayPlanOutcome(plan)} />
          </p>
        </div>
        {plan.edits.length > 0 && (
          <button type="button" className="button button-main flex-none" onClick={() => edit(plan.edits)}>
            Set all
          </button>
        )}
      </div>
      {plan.settings.length === 0 ? (
        <p className="mt-1">Every knob stands where it is best.</p>
      ) : (
        <ul className="mt-1 list-disc pl-5">
          {plan.settings.map((one) => (
            <li key={`${one.part} ${one.setting}`}>{sayPlanned(rig, one)}</li>
          ))}
        </ul>
      )}
      {plan.adds.length > 0 && (
        <ul className="mt-2 list-disc pl-5">
          {plan.adds.map((add) => (
            <li key={`${add.is} ${add.at} ${add.source} ${add.recorder}`}>{sayAdd(rig, add)}</li>
          ))}
        </ul>
      )}
      {!plan.exact && (
        <p className="text-soft mt-1 text-sm">
          So many knobs are shared here that not every place of them was weighed.
        </p>
      )}
    </section>
  );
}

const sameAs = (one: PlanView, other: PlanView): boolean =>
  JSON.stringify(one.settings) === JSON.stringify(other.settings);

/** Other schools beside the usual one: each with its reason and what it comes to. */
export function PresetList({ rig, plans, edit }: { plans: readonly PlanView[] } & Omit<PlanProps, 'plan'>) {
  const [usual, ...others] = plans;
  if (!usual) return null;
  return (
    <section aria-label="Other schools" className="mt-4">
      <h3 className="text-soft text-sm font-semibold">Other schools</h3>
      <ul className="mt-1 grid gap-2">
        {others.map((plan) => {
          const { name, why } = PRESET_WORDS[plan.preset];
          const same = sameAs(plan, usual);
          return (
            <li key={plan.preset} className="border-line border-t pt-2">
              <div className="flex items-start justify-between gap-3">
                <span className="font-semibold">{name}</span>
                {plan.edits.length > 0 && !same && (
                  <button
                    type="button"
                    className="button flex-none"
                    aria-label={`Set: ${name}`}
                    onClick={() => edit(plan.edits)}
                  >
                    Set
                  </button>
                )}
              </div>
              <p className="text-soft text-sm">{why}</p>
              <p className="text-sm">
                {same ? (
                  'Here it comes to the same settings.'
                ) : (
                  <SentenceView sentence={sayPlanOutcome(plan)} />
                )}
              </p>
              {!same && plan.settings.length > 0 && (
                <p className="text-sm">{plan.settings.map((one) => sayPlanned(rig, one)).join('; ')}.</p>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
