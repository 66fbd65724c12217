import { MOST_HUBS } from '../engine/bus';
import { check } from './check';
import { USB_TREE } from './origins';
import { refusedBy } from './refused';

/** More hubs between host and device than USB allows. */
export const usbTooDeep = check({
  code: 'usb-too-deep',
  means: 'More hubs lie between host and device than USB allows.',
  severity: ['blocks'],
  origin: USB_TREE,
  limit: `${MOST_HUBS} hubs (USB 2.0, 4.1.1).`,
  cures: ['plug', 'link'],
  find: (facts) =>
    refusedBy(facts, 'too-deep', ({ hubs }) => ({
      values: [{ name: 'hubs on the way', value: hubs, unit: '' }],
      limit: { value: MOST_HUBS, unit: '', is: 'at most' },
    })),
});
