'use client';
import type { WayOut, WayStep } from '../../core/search/way-out';
import { sayEdit, sayNotLightest, sayWhyNot } from '../../core/words';
import { applyEdit, type Rig, type RigEdit } from '../../core/rig';
import { money } from '../shared/money';
import { useCurrency } from '../shared/use-currency';
import { VERDICT_SIGN } from '../shared/verdict-sign';

/** Each step in words, said of the rig that the one before left. */
function saySteps(rig: Rig, steps: readonly WayStep[]): string[] {
  let at = rig;
  return steps.map(({ edit }) => {
    const says = sayEdit(at, edit);
    at = applyEdit(at, edit);
    return says;
  });
}

function useCostWords(): (step: WayStep) => string {
  const currency = useCurrency();
  return ({ cost }) => {
    if (cost.part === undefined) return cost.last ? 'Replaces gear that you brought. ' : '';
    const have = cost.owned ? 'In the drawer. ' : `To buy, about ${money(cost.price, currency)}. `;
    return cost.last ? `Replaces gear that you brought. ${have}` : have;
  };
}

/** What does a step and those before it. */
const doing = (index: number): string => (index === 0 ? 'Do 1' : `Do 1–${index + 1}`);

/** The way out: what to do, one thing after another, until the whole rig is clean. */
export function WayOutCard(props: { rig: Rig; out: WayOut; edit: (changes: readonly RigEdit[]) => void }) {
  const { rig, out, edit } = props;
  const costWords = useCostWords();
  const why = sayWhyNot(out);
  const notLightest = sayNotLightest(out);
  if (!out.way) return <p className="text-soft mt-4">No way out in a few steps. {why}</p>;
  const { steps } = out.way;
  const says = saySteps(rig, steps);
  const edits = steps.map((step) => step.edit);
  return (
    <section aria-label="The way out" className="border-line bg-card mt-4 rounded-xl border p-3">
      <div className="flex items-center gap-3">
        <h3 className="flex-1 font-bold">
          The way out: {steps.length} {steps.length === 1 ? 'step' : 'steps'}
        </h3>
        <button type="button" className="button button-main" onClick={() => edit(edits)}>
          Make it clean
        </button>
      </div>
      <ol className="mt-2 space-y-2">
        {steps.map((step, index) => (
          <li key={says[index]} className="flex items-start gap-3">
            <span aria-hidden className="text-soft w-5 flex-none text-right font-semibold">
              {index + 1}
            </span>
            <span className="min-w-0 flex-1">
              <span className="block leading-snug font-semibold">{says[index]}</span>
              <span className="text-soft block text-[0.9375rem] leading-snug">
                {costWords(step)}
                Then: {VERDICT_SIGN[step.outcome.verdict].word.toLowerCase()}.
              </span>
            </span>
            {steps.length > 1 && (
              <button
                type="button"
                className="button"
                aria-label={`${doing(index)}: ${says[index]}`}
                onClick={() => edit(edits.slice(0, index + 1))}
              >
                {doing(index)}
              </button>
            )}
          </li>
        ))}
      </ol>
      {notLightest !== undefined && <p className="text-soft mt-2">{notLightest}</p>}
    </section>
  );
}
