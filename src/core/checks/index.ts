export type { Finding, FindingCode, Limit, Measured, Origin, Place, Severity, UnitName } from './finding';
export { FINDING_CODES, SEVERITIES, findingKey, severityRank } from './finding';
export { runChecks } from './run';
