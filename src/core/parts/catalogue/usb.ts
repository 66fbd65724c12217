import { adapterPart, leadPart, straight, through } from '../model/builders';
import type { Connector } from '../../plugs';
import type { Part } from '../model/types.generated';

const LINES = ['V', 'G', 'D'] as const;
const POWER_ONLY = ['V', 'G'] as const;

interface UsbLead {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly length: number;
  readonly ends: readonly [Connector, Connector];
  readonly chargeOnly?: boolean;
}

/** A lead with a digital plug at each end. */
const usbLead = ({ ends: [one, other], chargeOnly, ...plan }: UsbLead): Part =>
  leadPart({
    ...plan,
    ends: [
      through('a', `${PLUG[one] ?? one} plug`, one, 'plug'),
      through('b', `${PLUG[other] ?? other} plug`, other, 'plug'),
    ],
    joins: straight('a', 'b', chargeOnly ? POWER_ONLY : LINES),
  });

const PLUG: Partial<Record<Connector, string>> = {
  'usb-a': 'USB-A',
  'usb-b': 'USB-B',
  'usb-c': 'USB-C',
  'usb-micro': 'micro USB',
};

const extension = (id: string, name: string, summary: string, price: number, chargeOnly: boolean): Part =>
  leadPart({
    id,
    name,
    summary,
    price,
    length: 1,
    ends: [through('plug', 'plug', 'usb-c', 'plug'), through('socket', 'socket', 'usb-c', 'jack')],
    joins: straight('plug', 'socket', chargeOnly ? POWER_ONLY : LINES),
  });

export const USB_LEADS: readonly Part[] = [
  leadPart({
    id: 'lead-firewire',
    name: 'FireWire lead',
    summary: 'goes into no phone, tablet or hub of today',
    price: 10,
    length: 1,
    ends: [through('a', 'end A', 'firewire', 'plug'), through('b', 'end B', 'firewire', 'plug')],
    joins: straight('a', 'b', LINES),
  }),
  usbLead({
    id: 'lead-usb-a-b',
    name: 'USB lead, A to B',
    summary: 'for interfaces and mixers with the square socket',
    price: 7,
    length: 2,
    ends: ['usb-a', 'usb-b'],
  }),
  usbLead({
    id: 'lead-usb-c-b',
    name: 'USB lead, C to B',
    summary: 'square socket straight to a USB-C phone',
    price: 9,
    length: 1,
    ends: ['usb-c', 'usb-b'],
  }),
  usbLead({
    id: 'lead-usb-a-c',
    name: 'USB lead, A to C',
    summary: 'power and data',
    price: 8,
    length: 1,
    ends: ['usb-a', 'usb-c'],
  }),
  usbLead({
    id: 'lead-usb-a-c-charge',
    name: 'USB lead, A to C, charge only',
    summary: 'its data line is missing, which nothing on it tells',
    price: 4,
    length: 1,
    ends: ['usb-a', 'usb-c'],
    chargeOnly: true,
  }),
  usbLead({
    id: 'lead-usb-c-c',
    name: 'USB lead, C to C',
    summary: 'power and data; either way round',
    price: 10,
    length: 1,
    ends: ['usb-c', 'usb-c'],
  }),
  usbLead({
    id: 'lead-usb-a-micro',
    name: 'USB lead, A to micro',
    summary: 'for older receivers and hubs',
    price: 6,
    length: 1,
    ends: ['usb-a', 'usb-micro'],
  }),
  extension('lead-usb-c-extension', 'USB-C extension lead', 'plug to socket, power and data', 12, false),
  extension(
    'lead-usb-c-charge',
    'USB-C extension lead, charge only',
    'plug to socket; its data line is missing, which nothing on it tells',
    7,
    true,
  ),
  leadPart({
    id: 'lead-usb-a-8-pin',
    name: 'Charging lead, USB-A to 8-pin',
    summary: 'feeds an 8-pin socket from a charger or power bank',
    price: 12,
    length: 1,
    ends: [through('a', 'USB-A plug', 'usb-a', 'plug'), through('pin', '8-pin plug', '8-pin', 'plug')],
    joins: straight('a', 'pin', LINES),
  }),
  leadPart({
    id: 'lead-usb-c-8-pin',
    name: 'Charging lead, USB-C to 8-pin',
    summary: 'feeds an 8-pin socket from a USB-C charger',
    price: 14,
    length: 1,
    ends: [through('c', 'USB-C plug', 'usb-c', 'plug'), through('pin', '8-pin plug', '8-pin', 'plug')],
    joins: straight('c', 'pin', LINES),
  }),
];

export const USB_ADAPTERS: readonly Part[] = [
  adapterPart({
    id: 'adapter-usb-a-c',
    name: 'USB-A plug to USB-C socket',
    summary: 'lets a USB-C plug into a USB-A socket',
    price: 6,
    ends: [through('a', 'USB-A plug', 'usb-a', 'plug'), through('c', 'USB-C socket', 'usb-c', 'jack')],
    joins: straight('a', 'c', LINES),
  }),
  adapterPart({
    id: 'adapter-usb-c-a',
    name: 'USB-C plug to USB-A socket',
    summary: 'lets a USB-A plug into a USB-C phone; host adapter',
    price: 8,
    ends: [through('c', 'USB-C plug', 'usb-c', 'plug'), through('a', 'USB-A socket', 'usb-a', 'jack')],
    joins: straight('c', 'a', LINES),
  }),
  adapterPart({
    id: 'isolator-usb',
    name: 'USB isolator, USB-A',
    summary:
      'data and a supply of its own making go through, no ground; not every one is fast enough for many channels',
    price: 45,
    ends: [through('a', 'USB-A plug', 'usb-a', 'plug'), through('b', 'USB-A socket', 'usb-a', 'jack')],
    // Ground ends on either side: that is what it is for.
    joins: straight('a', 'b', ['V', 'D']),
  }),
  adapterPart({
    id: 'adapter-usb-micro-c',
    name: 'Micro USB plug to USB-C socket',
    summary: 'a USB-C lead onto an older socket',
    price: 5,
    ends: [
      through('micro', 'micro USB plug', 'usb-micro', 'plug'),
      through('c', 'USB-C socket', 'usb-c', 'jack'),
    ],
    joins: straight('micro', 'c', LINES),
  }),
];
