import { EVIDENCE_KINDS, type Evidence } from '../parts';
import { overNoise, type Judged } from '../levels';
import type { Rig } from '../rig';
import { comparePrices, type Cost } from './inventory';
import type { Layout } from './layout';

/** A route that the pipeline has judged and that is what was asked for. */
export interface Found {
  readonly layout: Layout;
  readonly rig: Rig;
  readonly judged: Judged;
  readonly cost: Cost;
  readonly kind: string;
}

/** The weaker of what the arrivals rest on; 0 is best. */
export const gradeOf = (judged: Judged): number =>
  Math.max(0, ...judged.arrives.map((a) => gradeOfEvidence(a.evidence)));

export const gradeOfEvidence = (evidence: Evidence): number => EVIDENCE_KINDS.indexOf(evidence.kind);

/** Speech peaks over noise of the worst arrival, whole dB: less is not heard and is no reason to choose. */
export const qualityOf = (judged: Judged): number => Math.round(Math.min(...judged.arrives.map(overNoise)));

/** How routes are compared, the first difference deciding: evidence, purchases, price, quality, joints. */
export const compareFound = (a: Found, b: Found): number =>
  gradeOf(a.judged) - gradeOf(b.judged) ||
  comparePrices(a.cost, b.cost) ||
  qualityOf(b.judged) - qualityOf(a.judged) ||
  a.cost.joints - b.cost.joints;

/** Of routes of one kind the best; then the best of these, at most `count`. */
export function bestOf(found: readonly Found[], count: number): Found[] {
  const kinds = new Map<string, Found>();
  for (const one of found) {
    const known = kinds.get(one.kind);
    if (!known || compareFound(one, known) < 0) kinds.set(one.kind, one);
  }
  return [...kinds.values()].sort(compareFound).slice(0, count);
}
