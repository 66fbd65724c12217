/** Connector families. A phone plug's contact count is its dark bands plus one. */
export const PHONE_CONNECTORS = [
  'ts-3.5',
  'trs-3.5',
  'trrs-3.5',
  'ts-6.35',
  'trs-6.35',
  'trrs-6.35',
] as const;
export type PhoneConnector = (typeof PHONE_CONNECTORS)[number];

/** Connectors whose contacts meet one to one, whatever their depth. */
export const KEYED_CONNECTORS = [
  '8-pin',
  'usb-a',
  'usb-b',
  'usb-c',
  'usb-micro',
  'xlr-3',
  'rca',
  'firewire',
  'radio',
] as const;
export type KeyedConnector = (typeof KEYED_CONNECTORS)[number];

export type Connector = PhoneConnector | KeyedConnector;
export type Gender = 'plug' | 'jack';
export type PlugDiameter = '3.5' | '6.35';

/** Contacts of a phone plug, tip first. */
export type PhoneContact = 'T' | 'R' | 'R1' | 'R2' | 'S';
/** Lines of a digital port: supply, ground, data, authentication. */
export type PortLine = 'V' | 'G' | 'D' | 'A';
/** Contacts of an XLR-3: 1 shield, 2 hot, 3 cold (IEC 61076-2-103, AES14). */
export type XlrContact = '1' | '2' | '3';
export type Contact = PhoneContact | PortLine | XlrContact;

const CONTACTS: Record<Connector, readonly Contact[]> = {
  'ts-3.5': ['T', 'S'],
  'trs-3.5': ['T', 'R', 'S'],
  'trrs-3.5': ['T', 'R1', 'R2', 'S'],
  'ts-6.35': ['T', 'S'],
  'trs-6.35': ['T', 'R', 'S'],
  'trrs-6.35': ['T', 'R1', 'R2', 'S'],
  '8-pin': ['V', 'G', 'D', 'A'],
  'usb-a': ['V', 'G', 'D'],
  'usb-b': ['V', 'G', 'D'],
  'usb-c': ['V', 'G', 'D'],
  'usb-micro': ['V', 'G', 'D'],
  'xlr-3': ['1', '2', '3'],
  rca: ['T', 'S'],
  firewire: ['V', 'G', 'D'],
  radio: ['T', 'S'],
};

/** Contacts of a connector, tip (or supply line) first. */
export const contactsOf = (connector: Connector): readonly Contact[] => CONTACTS[connector];

export const isPhoneConnector = (connector: Connector): connector is PhoneConnector =>
  (PHONE_CONNECTORS as readonly string[]).includes(connector);

export const diameterOf = (connector: PhoneConnector): PlugDiameter =>
  connector.endsWith('6.35') ? '6.35' : '3.5';

const CONTACT_NAMES: Record<Contact, string> = {
  T: 'tip',
  R: 'ring',
  R1: 'ring 1',
  R2: 'ring 2',
  S: 'sleeve',
  V: 'supply',
  G: 'ground',
  D: 'data',
  A: 'authentication',
  '1': 'pin 1',
  '2': 'pin 2',
  '3': 'pin 3',
};

/** The trade's word for a contact: "tip", "ring 2", "sleeve". */
export const contactName = (contact: Contact): string => CONTACT_NAMES[contact];

const CONNECTOR_NAMES: Record<Connector, string> = {
  'ts-3.5': '3.5 mm TS',
  'trs-3.5': '3.5 mm TRS',
  'trrs-3.5': '3.5 mm TRRS',
  'ts-6.35': '6.35 mm TS',
  'trs-6.35': '6.35 mm TRS',
  'trrs-6.35': '6.35 mm TRRS',
  '8-pin': '8-pin',
  'usb-a': 'USB-A',
  'usb-b': 'USB-B',
  'usb-c': 'USB-C',
  'usb-micro': 'micro USB',
  'xlr-3': 'XLR-3',
  rca: 'RCA',
  firewire: 'FireWire',
  radio: 'radio link',
};

export const connectorName = (connector: Connector): string => CONNECTOR_NAMES[connector];

/** A connector by which numbers and supply go, and no sound. */
export const isDigitalConnector = (connector: Connector): boolean => contactsOf(connector).includes('D');
