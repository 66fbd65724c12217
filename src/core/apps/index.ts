export type { App, AppId, Evidence, Take, Way } from './apps';
export { APPS, DEFAULT_APP, EVIDENCE_KINDS, TRACKS, WAYS, findApp } from './apps';
