export type { Joint, PlacedPart, PolicyNote, PortRef, Rig, SettingValue, VoiceEffort } from './types';
export { RIG_FORMAT, RIG_VERSION } from './types';
export type { LaidPart } from './lookup';
export {
  canStand,
  choiceOf,
  displayName,
  endsOf,
  jointAt,
  jointsOf,
  laidParts,
  partOf,
  portOf,
  samePort,
  settingOf,
} from './lookup';
export type { RigEdit } from './edits';
export { applyEdit, freshId, isSource, swapEdits } from './edits';
export { matchPorts } from './match-ports';
export type { ReadProblem } from './problems';
export { sayProblem } from './problems';
export type { ReadResult } from './read';
export { LARGEST_RIG_BYTES, checkRig, readRig, writeRig } from './read';
