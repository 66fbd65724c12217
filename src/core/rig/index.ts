export type {
  Joint,
  PlacedPart,
  PolicyNote,
  PortRef,
  Person,
  Rig,
  Placing,
  Room,
  Session,
  SessionLoad,
  SettingValue,
  Stand,
  VoiceEffort,
} from './types.generated';
export { RIG_FORMAT, RIG_VERSION } from './format';
export type { LaidPart } from './lookup';
export {
  canChoose,
  canStand,
  choiceOf,
  displayName,
  endsOf,
  goTogether,
  isFree,
  jointAt,
  portsInOpening,
  joinedTo,
  jointsOf,
  laidParts,
  partIn,
  partOf,
  partsFor,
  portOf,
  samePort,
  settingOf,
} from './lookup';
export type { RigEdit } from './edits';
export { applyEdit, whyNot } from './edits';
export { isBareMicrophone, isSource, isSpoken } from './meant';
export { spokenInto, wornBy } from './newcomer';
export { directionsAt, goesSo } from './directions';
export { likest, swapEdits } from './swaps';
export { copyName, freshId, LIMITS } from './limits';
export type { Bridge } from './sockets';
export { bridges, freeSocketsFor } from './sockets';
export type { WayStop } from './way';
export { wayOver } from './way';
export { matchPorts } from './match-ports';
export { makeOwn, withOwnParts, withUsedParts } from './own-parts';
export { peopleOf, speakerAt, type PersonSaid } from './people';
export type { SessionSaid } from './surroundings';
