export type {
  AppBand,
  App,
  AppId,
  Chosen,
  Decides,
  Evidence,
  NumberChoice,
  Take,
  TrackChoices,
  Way,
} from './apps';
export { APPS, DEFAULT_APP, EVIDENCE_KINDS, WAYS, findApp } from './apps';
