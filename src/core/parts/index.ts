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
} from './model/types';
export { PART_FAMILIES } from './model/types';
export type { ContactMaximum, Maximum, MaximumKind } from './model/maximums';
export { MAXIMUM_KINDS, maximumOf, maximumsOf } from './model/maximums';
export { isPlainLink } from './model/link';
export { supplySockets } from './model/builders';
export { CATALOGUE, findPart } from './catalogue';
export { answersTo, searchRank } from './search';
export { isSymmetrical, isTurnable } from './model/symmetry';
