export type {
  BusDevice,
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
export type { App, AppId } from './apps';
export { APPS, DEFAULT_APP, findApp } from './apps';
