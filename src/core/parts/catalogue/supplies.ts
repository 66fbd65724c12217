import { EIGHT_PIN_ROLES, USB_ROLES, oneOf, onOff, portWith, usbPort } from '../model/builders';
import type { Part, PartPort, PowerOutlet } from '../model/types.generated';

interface SupplyPlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly port: PartPort;
  readonly gives: PowerOutlet['gives'];
  readonly settings?: Part['settings'];
  readonly more?: Pick<Part, 'mains' | 'battery'>;
  readonly sleepsUnder?: PowerOutlet['sleepsUnder'];
  readonly stands: NonNullable<Part['stands']>;
  readonly notForSale?: boolean;
}

/** Small chargers are of class II (IEC 61140): two pins, no earth. */
const INSULATED = { mains: { class: 'insulated' } } as const;
/** 10,000 mAh at 3.7 V, of which a fifth goes in the conversion: about 30 Wh; small ones half. Typical. */
const BANK = {
  battery: { wattHours: { typical: 30, least: 14, most: 60 }, on: { setting: 'charged', is: 'on' } },
};
/** Common practice: many turn off under 50 to 100 mA. */
const SLEEPS = { typical: 70, least: 50, most: 100 };

const supplyPart = ({ port, gives, stands, notForSale, more, sleepsUnder, ...plan }: SupplyPlan): Part => ({
  ...plan,
  ...more,
  family: 'supply',
  ...(notForSale && { notForSale }),
  stands,
  ports: [port],
  circuit: [],
  outlets: [{ port: port.id, gives, ...(sleepsUnder !== undefined && { sleepsUnder }) }],
});

/** Chargers and power banks; what they give is typical. Mains units stand on sound, earthed outlets only. */
export const SUPPLIES: readonly Part[] = [
  supplyPart({
    id: 'charger-usb-a',
    more: INSULATED,
    name: 'Mains charger, USB-A socket',
    summary: 'takes any charging lead with a USB-A plug',
    price: 9,
    port: portWith(['out', 'USB-A socket', 'usb-a'], 'jack', 'out', USB_ROLES),
    stands: 'wall',
    gives: 1500,
  }),
  supplyPart({
    id: 'charger-usb-c',
    more: INSULATED,
    name: 'Mains charger, USB-C plug on its lead',
    summary: 'goes straight into a USB-C charging socket',
    price: 14,
    port: usbPort('out', 'USB-C plug', 'usb-c', 'plug'),
    stands: 'wall',
    gives: 3000,
  }),
  supplyPart({
    id: 'charger-usb-c-socket',
    more: INSULATED,
    name: 'Mains charger, USB-C socket',
    summary: 'takes any charging lead with a USB-C plug',
    price: 14,
    port: portWith(['out', 'USB-C socket', 'usb-c'], 'jack', 'out', USB_ROLES),
    stands: 'wall',
    gives: 3000,
  }),
  supplyPart({
    id: 'charger-8-pin',
    more: INSULATED,
    name: 'Mains charger, 8-pin plug on its lead',
    summary: 'goes straight into an 8-pin charging socket',
    price: 18,
    port: portWith(['out', '8-pin plug', '8-pin'], 'plug', 'out', EIGHT_PIN_ROLES),
    stands: 'wall',
    gives: 1500,
  }),
  supplyPart({
    id: 'power-bank',
    more: BANK,
    sleepsUnder: SLEEPS,
    name: 'Power bank, USB-A socket',
    summary: 'shares no earth with anything; empty is empty',
    price: 25,
    port: portWith(['out', 'USB-A socket', 'usb-a'], 'jack', 'out', USB_ROLES),
    settings: [onOff('charged', 'Charged', 'on')],
    stands: 'inline',
    gives: { setting: 'charged', values: { on: 2000, off: 0 } },
  }),
  supplyPart({
    id: 'power-bank-usb-c',
    more: BANK,
    sleepsUnder: SLEEPS,
    name: 'Power bank, USB-C socket',
    summary: 'shares no earth with anything; empty is empty',
    price: 30,
    port: portWith(['out', 'USB-C socket', 'usb-c'], 'jack', 'out', USB_ROLES),
    settings: [onOff('charged', 'Charged', 'on')],
    stands: 'inline',
    gives: { setting: 'charged', values: { on: 3000, off: 0 } },
  }),
  supplyPart({
    id: 'computer-port',
    more: { mains: { class: 'earthed' } },
    name: 'Computer’s USB-A port, as a supply',
    summary: 'feeds what is plugged in; its earth is the computer’s',
    price: 0,
    port: portWith(['out', 'USB-A socket', 'usb-a'], 'jack', 'out', USB_ROLES),
    // USB 2.0, 7.2.1: 500 mA for a configured device.
    stands: 'table',
    notForSale: true,
    gives: 500,
  }),
  {
    id: 'charger-desk-earthed',
    name: 'Desk charger, four sockets, earthed',
    family: 'supply',
    summary: 'an earthed plug and strong sockets; its ground lies on the earth of the house',
    price: 45,
    stands: 'table',
    mains: { class: 'earthed' },
    ports: [
      oneOf('usb-c', usbPort('c1', 'USB-C socket 1', 'usb-c', 'jack')),
      oneOf('usb-c', usbPort('c2', 'USB-C socket 2', 'usb-c', 'jack')),
      oneOf('usb-a', usbPort('a1', 'USB-A socket 1', 'usb-a', 'jack')),
      oneOf('usb-a', usbPort('a2', 'USB-A socket 2', 'usb-a', 'jack')),
    ],
    circuit: [],
    outlets: [
      { port: 'c1', gives: 3000 },
      { port: 'c2', gives: 3000 },
      { port: 'a1', gives: 2400 },
      { port: 'a2', gives: 2400 },
    ],
  },
];
