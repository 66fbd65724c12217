import type { Facts } from '../engine';
import { CHECKS } from './all';
import type { Check } from './check';
import { facesOf, findingKey, severityRank, sourcesOf, type Finding } from './finding';

const BY_CODE: ReadonlyMap<string, Check> = new Map(CHECKS.map((check) => [check.code, check]));
const ORDER: ReadonlyMap<string, number> = new Map(CHECKS.map(({ code }, index) => [code, index]));

/** The check that found something; undefined for a code of no check. */
export const checkOf = (code: string): Check | undefined => BY_CODE.get(code);

const findingsOf = (check: Check, facts: Facts, others: readonly Facts[]): Finding[] =>
  check.find(facts, others).map((found) => ({
    ...found,
    code: check.code,
    severity: found.severity ?? check.severity[0],
    origin: found.origin ?? check.origin,
  }));

/** Whether a check by itself still finds something: then all checks together would. Not for those of the last resort, which give way to others. */
export function stillFinds(finding: Finding, [nominal, ...others]: readonly [Facts, ...Facts[]]): boolean {
  const check = checkOf(finding.code);
  if (!check || check.lastResort) return false;
  const keys = new Set(findingsOf(check, nominal, others).flatMap(facesOf).map(findingKey));
  return facesOf(finding).every((face) => keys.has(findingKey(face)));
}

/** Sources that do not get through and for which nothing says why. */
function unexplained(found: readonly Finding[]): (finding: Finding) => boolean {
  const blocks = found.filter((f) => f.severity === 'blocks' || f.severity === 'danger');
  const general = blocks.some((f) => f.severity === 'blocks' && f.source === undefined);
  const told = new Set(blocks.flatMap((f) => sourcesOf(f).map((source) => `${source} ${f.recorder ?? ''}`)));
  return ({ source, recorder }) => !general && !told.has(`${source ?? ''} ${recorder ?? ''}`);
}

/** What is said alike of several sources is said once, for all of them. */
function together(findings: readonly Finding[]): Finding[] {
  const told = new Map<string, Finding>();
  for (const finding of findings) {
    const { source: _source, ...rest } = finding;
    const key = JSON.stringify(rest);
    const known = told.get(key);
    const sources = [...new Set([...(known ? sourcesOf(known) : []), ...sourcesOf(finding)])];
    told.set(key, known ? { ...known, ...(sources.length > 1 && { sources }) } : finding);
  }
  return [...told.values()];
}

const keyWithSource = (f: Finding): string => `${findingKey(f)}|${f.source ?? ''}`;

const byWeight = (a: Finding, b: Finding): number =>
  severityRank(a.severity) - severityRank(b.severity) || (ORDER.get(a.code) ?? 0) - (ORDER.get(b.code) ?? 0);

/** All findings of a rig, from the likeliest reading of its joints and, for uncertain joints, the others. */
export function runChecks([nominal, ...others]: readonly [Facts, ...Facts[]]): Finding[] {
  const first = CHECKS.filter((check: Check) => !check.lastResort).flatMap((check) =>
    findingsOf(check, nominal, others),
  );
  const last = CHECKS.filter((check: Check) => check.lastResort)
    .flatMap((check) => findingsOf(check, nominal, others))
    .filter(unexplained(first));
  const once = new Map([...first, ...last].map((finding) => [keyWithSource(finding), finding]));
  return together([...once.values()]).sort(byWeight);
}
