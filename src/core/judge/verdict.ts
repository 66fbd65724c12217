import type { Finding } from '../checks';
import type { Arrival } from '../engine/flow';

/** Of a whole rig, worst last. */
export const VERDICTS = ['clean', 'faulty', 'silent', 'unsafe'] as const;
export type Verdict = (typeof VERDICTS)[number];

export function verdictOf(findings: readonly Finding[], arrivals: readonly Arrival[]): Verdict {
  if (findings.some((f) => f.severity === 'danger')) return 'unsafe';
  if (arrivals.length === 0 || arrivals.some((a) => a.state !== 'recorded')) return 'silent';
  return findings.some((f) => f.severity === 'blocks' || f.severity === 'spoils') ? 'faulty' : 'clean';
}

export const verdictRank = (verdict: Verdict): number => VERDICTS.indexOf(verdict);
