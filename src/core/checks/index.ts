export type { Finding, Limit, Measured, Origin, Place, Severity, UnitName } from './finding';
export { SEVERITIES, facesOf, findingKey, isLike, severityRank, sourcesOf } from './finding';
export type { Aspect, Assumption, Check, Cure, PowerQuestion } from './check';
export type { FindingCode } from './all';
export { CHECKS, FINDING_CODES } from './all';
export { checkOf, runChecks } from './run';
export { FAINTEST } from './faint';
export { leadsToRecorder, sensesOf } from './stages';
export { LONGEST_RUN } from './usb-lead-long';
