import type { Verdict } from '../judge';
import { applyEdit, type Rig, type RigEdit } from '../rig';
import type { WayOut } from '../search/way-out';
import { sayEdit, sayNotLightest, sayWhyNot } from '../words';

/** The public form of a step: done one after another, each on the rig that the one before left. */
export interface WayStepReport {
  readonly says: string;
  readonly edit: RigEdit;
  readonly owned: boolean;
  /** Typical price of what must be bought for it. */
  readonly cost: number;
  /** It changes what the user came with: source, recorder, app. */
  readonly last: boolean;
  /** Of the rig after it. */
  readonly verdict: Verdict;
}

export interface WayOutReport {
  readonly steps: readonly WayStepReport[];
  readonly cost: number;
  /** Cost, and the bother of every step in money: by this it was chosen. */
  readonly weight: number;
  readonly verdict: Verdict;
  /** Why it may not be the lightest; null where it is proved to be. */
  readonly notLightest: string | null;
}

/** The way out in its public form, or why there is none. A clean rig needs no steps. */
export function wayReport(
  rig: Rig,
  out: WayOut,
): { readonly wayOut: WayOutReport | null; readonly whyNot: string | null } {
  if (!out.way) return { wayOut: null, whyNot: sayWhyNot(out) ?? null };
  let at = rig;
  const steps = out.way.steps.map(({ edit, cost, outcome }) => {
    const says = sayEdit(at, edit);
    at = applyEdit(at, edit);
    return { says, edit, owned: cost.owned, cost: cost.price, last: cost.last, verdict: outcome.verdict };
  });
  const cost = steps.reduce((sum, step) => sum + step.cost, 0);
  const { weight, verdict } = out.way;
  return {
    wayOut: { steps, cost, weight, verdict, notLightest: sayNotLightest(out) ?? null },
    whyNot: null,
  };
}
