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

/** What a plug that is there already mends, in another place. */
const PLUGGABLE: readonly Cure[] = ['plug', 'exchange', 'join', 'replug'];

const isPluggable = ({ code }: Finding): boolean =>
  (checkOf(code)?.cures ?? []).some((cure) => PLUGGABLE.includes(cure));

/** Whether nothing is in danger that was not before, and all else that is new may be mended so. */
const isNewOnly = (before: Judged, after: Judged, may: (finding: Finding) => boolean): boolean =>
  after.weighing
    .filter((finding) => !isAmong(before.weighing, finding))
    .every((finding) => finding.severity !== 'danger' && may(finding));

/** Nothing is in danger that was not before, and what else is new a switch may mend. */
export const mayStand = (before: Judged, after: Judged): boolean => isNewOnly(before, after, isSettable);

/** The same, where a plug may mend it: a lead that is right but for which of its plugs is used. */
export const mayBePlugged = (before: Judged, after: Judged): boolean =>
  isNewOnly(before, after, (finding) => isSettable(finding) || isPluggable(finding));

/** Whether some trouble that was there is gone. */
export const helps = (before: Judged, after: Judged): boolean =>
  before.weighing.some((finding) => !isAmong(after.weighing, finding));
