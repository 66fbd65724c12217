import { EIGHT_PIN_ROLES, USB_ROLES, onOff, portWith, usbPort } from '../model/builders';
import type { Part, PartPort, PowerOutlet } from '../model/types';

interface SupplyPlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly port: PartPort;
  readonly gives: PowerOutlet['gives'];
  readonly settings?: Part['settings'];
  readonly stands: NonNullable<Part['stands']>;
  readonly notForSale?: boolean;
}

const supplyPart = ({ port, gives, stands, notForSale, ...plan }: SupplyPlan): Part => ({
  ...plan,
  family: 'supply',
  ...(notForSale && { notForSale }),
  stands,
  ports: [port],
  circuit: [],
  outlets: [{ port: port.id, gives }],
});

/** Chargers and power banks; what they give is typical. Mains units stand on sound, earthed outlets only. */
export const SUPPLIES: readonly Part[] = [
  supplyPart({
    id: 'charger-usb-a',
    name: 'Mains charger, USB-A socket',
    summary: 'takes any charging lead with a USB-A plug',
    price: 9,
    port: portWith(['out', 'USB-A socket', 'usb-a'], 'jack', 'out', USB_ROLES),
    stands: 'wall',
    gives: 1500,
  }),
  supplyPart({
    id: 'charger-usb-c',
    name: 'Mains charger, USB-C plug on its lead',
    summary: 'goes straight into a USB-C charging socket',
    price: 14,
    port: usbPort('out', 'USB-C plug', 'usb-c', 'plug'),
    stands: 'wall',
    gives: 3000,
  }),
  supplyPart({
    id: 'charger-8-pin',
    name: 'Mains charger, 8-pin plug on its lead',
    summary: 'goes straight into an 8-pin charging socket',
    price: 18,
    port: portWith(['out', '8-pin plug', '8-pin'], 'plug', 'out', EIGHT_PIN_ROLES),
    stands: 'wall',
    gives: 1500,
  }),
  supplyPart({
    id: 'power-bank',
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
    name: 'Computer’s USB-A port, as a supply',
    summary: 'feeds what is plugged in; its earth is the computer’s',
    price: 0,
    port: portWith(['out', 'USB-A socket', 'usb-a'], 'jack', 'out', USB_ROLES),
    // USB 2.0, 7.2.1: 500 mA for a configured device.
    stands: 'table',
    notForSale: true,
    gives: 500,
  }),
];
