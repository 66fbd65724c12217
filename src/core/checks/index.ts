export type { Finding, Limit, Measured, Origin, Place, Severity, UnitName } from './finding';
export { SEVERITIES, findingKey, severityRank, sourcesOf } from './finding';
export type { Assumption, Check, Cure } from './check';
export type { FindingCode } from './all';
export { CHECKS, FINDING_CODES } from './all';
export { checkOf, runChecks } from './run';
export { FAINTEST } from './faint';
export { LONGEST_RUN } from './usb-lead-long';
