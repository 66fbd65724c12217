import { checkOf, facesOf, isAmong, type Cure, type Finding } from '../../checks';
import { allFacts, type Facts } from '../../engine';
import { bareOutcomeFrom, type Outcome } from '../../judge';
import type { Rig } from '../../rig';

/** A rig as it is judged on the way: what weighs, and the facts that a gain is solved from. */
export interface Judged {
  readonly rig: Rig;
  readonly facts: Facts;
  readonly outcome: Outcome;
  readonly weighing: readonly Finding[];
}

export function judged(rig: Rig): Judged {
  const facts = allFacts(rig);
  const outcome = bareOutcomeFrom(facts);
  const weighing = outcome.findings.filter(({ severity }) => severity !== 'note').flatMap(facesOf);
  return { rig, facts: facts[0], outcome, weighing };
}

export const isClean = ({ outcome, weighing }: Judged): boolean =>
  outcome.verdict === 'clean' && weighing.length === 0;

/** What a switch, a knob, a choice or a charger mends. */
const SETTABLE: readonly Cure[] = [
  'named',
  'switch',
  'feed',
  'supply',
  'gain',
  'send',
  'choice',
  'headphones',
];

/** Whether something at hand may cure it once the wires are right. */
export const isSettable = ({ code }: Finding): boolean =>
  (checkOf(code)?.cures ?? []).some((cure) => SETTABLE.includes(cure));

/** Nothing is in danger that was not before, and what else is new a switch may mend. */
export function mayStand(before: Judged, after: Judged): boolean {
  const fresh = after.weighing.filter((finding) => !isAmong(before.weighing, finding));
  return fresh.every((finding) => finding.severity !== 'danger' && isSettable(finding));
}

/** Whether some trouble that was there is gone. */
export const helps = (before: Judged, after: Judged): boolean =>
  before.weighing.some((finding) => !isAmong(after.weighing, finding));
