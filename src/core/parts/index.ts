export type {
  BusDevice,
  BusHub,
  BusSocket,
  Capture,
  CaptureChannel,
  CircuitElement,
  Conductor,
  ContactRole,
  Drive,
  Ear,
  Electret,
  Feeds,
  GainPath,
  HeadsetDetection,
  Host,
  HostPort,
  KnobSetting,
  NodeName,
  OwnMicrophone,
  Part,
  PartFamily,
  PartPort,
  PartSetting,
  PowerOutlet,
  PowerSource,
  Quantity,
  Sense,
  SignalSource,
  StreamFormat,
  SwitchedBy,
  SwitchSetting,
} from './types';
export { PART_FAMILIES } from './types';
export { CATALOGUE, findPart } from './catalogue';
export { answersTo, searchRank } from './search';
export { isSymmetrical, isTurnable } from './symmetry';
export type { App, AppId, Evidence, Take, Way } from './apps';
export { APPS, DEFAULT_APP, EVIDENCE_KINDS, TRACKS, WAYS, findApp } from './apps';
