export type {
  BusDevice,
  Capture,
  CaptureChannel,
  CircuitElement,
  Conductor,
  ContactRole,
  Ear,
  Electret,
  HeadsetDetection,
  Host,
  NodeName,
  OwnMicrophone,
  Part,
  PartFamily,
  PartPort,
  PartSetting,
  Quantity,
  SignalSource,
} from './types';
export { CATALOGUE, findPart } from './catalogue';
export type { App, AppId } from './apps';
export { APPS, DEFAULT_APP, findApp } from './apps';
