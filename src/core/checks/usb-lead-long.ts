import { check } from './check';
import { excessOf } from './excess';
import { USB_LEAD } from './origins';

/** Metres of a full-speed lead (USB 2.0, 7.1.16 and 7.1.19: 26 ns; from memory). */
export const LONGEST_RUN = 5;

/** One run of lead between two parts with electronics that is longer than USB allows. */
export const usbLeadLong = check({
  code: 'usb-lead-long',
  means: 'One run of lead between two devices is longer than USB allows; drop-outs are likely.',
  severity: ['spoils'],
  origin: USB_LEAD,
  limit: `About ${LONGEST_RUN} m (USB 2.0, 7.1.16; from memory).`,
  cures: ['link'],
  find: (facts) =>
    excessOf(
      facts,
      (device) => device.accepted && device.run > LONGEST_RUN,
      ({ run }) => ({
        value: { name: 'of lead in one run', value: run, unit: 'm' },
        limit: { value: LONGEST_RUN, unit: 'm', is: 'at most' },
      }),
    ),
});
