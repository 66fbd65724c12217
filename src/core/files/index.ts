export type { ReadProblem } from './problems';
export { sayProblem } from './problems';
export { LARGEST_RIG_BYTES, writeRig } from './write-rig';
export type { ArrivalReport, CheckReport, FindingReport, FixReport } from './check-report';
export { checkReport } from './check-report';
export { spiceReport } from './spice-report';
