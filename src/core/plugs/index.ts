export type {
  Connector,
  Contact,
  Gender,
  KeyedConnector,
  PhoneConnector,
  PhoneContact,
  PlugDiameter,
  PortLine,
  XlrContact,
} from './connectors';
export {
  KEYED_CONNECTORS,
  PHONE_CONNECTORS,
  connectorName,
  contactName,
  contactsOf,
  diameterOf,
  isDigitalConnector,
  isPhoneConnector,
} from './connectors';
export type { JackSpring, PlugBand } from './geometry';
export { JACK_SPRINGS, PLUG_BANDS, PLUG_LENGTH } from './geometry';
export type { Fitting, Mating, Misfit, Touch } from './mate';
export { mate } from './mate';
