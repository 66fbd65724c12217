'use client';
import type { Rig, RigEdit } from '../../core/rig';
import type { ProvedAdds } from '../../core/search/fixes';
import type { Add, PlanView } from '../../core/search/levels';
import { PRESET_WORDS, sayAdd, sayPlanned, sayPlanOutcome, sayProved } from '../../core/words/say-levels';
import { money } from '../shared/money';
import { useCurrency } from '../shared/use-currency';
import { SentenceView } from '../shared/sentence-view';

interface PlanProps {
  readonly rig: Rig;
  readonly plan: PlanView;
  readonly edit: (change: RigEdit | readonly RigEdit[]) => void;
}

const keyOf = ({ is, at, source, recorder }: Add): string => `${is} ${at} ${source} ${recorder}`;

interface AddProps extends Omit<PlanProps, 'plan'> {
  readonly add: Add;
  readonly proved: ProvedAdds | undefined;
}

/** What to put in where no setting can do it, and what of it the pipeline has judged in this rig. */
function AddItem({ rig, add, proved, edit }: AddProps) {
  const found = proved?.proved.find((one) => keyOf(one.add) === keyOf(add));
  const currency = useCurrency();
  const says = found && sayProved(rig, found, (amount) => money(amount, currency));
  const isCut = proved?.cut === true && found?.enough === false;
  return (
    <li className="border-line border-t pt-2">
      {sayAdd(rig, add)}
      {found && says ? (
        <span className="mt-1 flex items-center gap-3">
          <span className="text-soft min-w-0 flex-1 text-sm">
            Proved: {says}
            {isCut && ' Not everything was tried: the time was over.'}
          </span>
          <button
            type="button"
            className="button flex-none"
            aria-label={`Apply: ${says}`}
            onClick={() => edit(found.edits)}
          >
            Apply
          </button>
        </span>
      ) : (
        <span className="text-soft mt-1 block text-sm">{sayUnproved(proved)}</span>
      )}
    </li>
  );
}

/** Why nothing is offered for it. */
function sayUnproved(proved: ProvedAdds | undefined): string {
  if (!proved) return 'Proving what does it here…';
  return proved.cut
    ? 'The time was over before a part was proved to do it here.'
    : 'No part by itself, and no such distance, was proved to do it here.';
}

/** The best settings, with one button for all of them, and what to add where none can do it. */
export function PlanCard({ rig, plan, proved, edit }: PlanProps & { proved: ProvedAdds | undefined }) {
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
        <ul className="mt-2 space-y-2" aria-label="What no setting can do">
          {plan.adds.map((add) => (
            <AddItem key={keyOf(add)} rig={rig} add={add} proved={proved} edit={edit} />
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
