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
  Quantity,
  Sense,
  SignalSource,
  SwitchSetting,
} from './types';
export { CATALOGUE, findPart } from './catalogue';
export { isSymmetrical, isTurnable } from './symmetry';
export type { App, AppId, Evidence, Way } from './apps';
export { APPS, DEFAULT_APP, findApp } from './apps';
