export type {
  Battery,
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
  Loudspeaker,
  Electret,
  Feeds,
  GainPath,
  HeadsetDetection,
  Host,
  HostPort,
  KnobSetting,
  Mains,
  NodeName,
  OwnMicrophone,
  Part,
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
} from './model/types.generated';
export type { PartFamily, PolarPattern } from './model/types.generated';
export { PART_FAMILIES } from './model/types.generated';
export type { Maximum } from './model/absolute-maxima';
export type { MaximumKind } from './model/types.generated';
export { MAXIMUM_KINDS } from './model/types.generated';
export type { ContactMaximum } from './model/maximums';
export { maximumOf, maximumsOf } from './model/maximums';
export {
  goesBetween,
  servesLike,
  switchesOf,
  hasInputsApart,
  isCopper,
  isHeadphones,
  isPassiveLink,
  isPlainLink,
  isSupply,
  playsBack,
  isWiring,
  isWornToListen,
  passesOn,
  standIns,
  stateSwitches,
  staysPut,
} from './model/purpose';
export { supplySockets } from './model/builders';
export { CATALOGUE, findPart } from './catalogue';
export { answersTo, searchRank } from './search';
export { isSymmetrical, isTurnable } from './model/symmetry';
