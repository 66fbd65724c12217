import { EVIDENCE_KINDS, type Evidence } from '../../apps';
import type { Outcome } from '../../judge';
import { overNoise } from '../settings';
import type { Rig } from '../../rig';
import { comparePrices, type Cost } from './inventory';
import { between, type Layout } from './layout';

/** A route that the pipeline has judged and that is what was asked for. */
export interface Found {
  readonly layout: Layout;
  readonly rig: Rig;
  readonly judged: Outcome;
  readonly cost: Cost;
  readonly kind: string;
}

/** The weaker of what the arrivals rest on; 0 is best. */
export const gradeOf = (judged: Outcome): number =>
  Math.max(0, ...judged.arrives.map((a) => gradeOfEvidence(a.evidence)));

export const gradeOfEvidence = (evidence: Evidence): number => EVIDENCE_KINDS.indexOf(evidence.kind);

/** Speech peaks over noise of the worst arrival, whole dB: less is not heard and is no reason to choose. */
export const qualityOf = (judged: Outcome): number => Math.round(Math.min(...judged.arrives.map(overNoise)));

/** How routes are compared, the first difference deciding: evidence, purchases, price, quality, joints. */
export const compareFound = (a: Found, b: Found): number =>
  gradeOf(a.judged) - gradeOf(b.judged) ||
  comparePrices(a.cost, b.cost) ||
  qualityOf(b.judged) - qualityOf(a.judged) ||
  a.cost.joints - b.cost.joints;

/** A route that needs more purchases than this beyond the best is no answer to the same question. */
export const MOST_MORE_PURCHASES = 1;

/** Less than this much clearer of the noise is no reason for another part, dB. Our own limit. */
const WORTH_A_PART = 3;

/** Whether `b` is `a` with something more put in, and hardly clearer of the noise for it. */
function isPadded(b: Found, a: Found): boolean {
  const rest = between(b.layout).map((part) => part.id);
  for (const { id } of between(a.layout)) {
    const at = rest.indexOf(id);
    if (at < 0) return false;
    rest.splice(at, 1);
  }
  return rest.length > 0 && qualityOf(b.judged) < qualityOf(a.judged) + WORTH_A_PART;
}

/** Of routes of one kind the best, without those that are a better one with something needless in it; at most `count`. */
export function bestOf(found: readonly Found[], count: number): Found[] {
  const kinds = new Map<string, Found>();
  for (const one of found) {
    const known = kinds.get(one.kind);
    if (!known || compareFound(one, known) < 0) kinds.set(one.kind, one);
  }
  const best: Found[] = [];
  for (const one of [...kinds.values()].sort(compareFound)) {
    const [first] = best;
    if (first && one.cost.purchases > first.cost.purchases + MOST_MORE_PURCHASES) continue;
    if (best.some((better) => isPadded(one, better))) continue;
    best.push(one);
    if (best.length === count) break;
  }
  return best;
}
