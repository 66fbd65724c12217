import { check } from './check';
import { DATA_LINE } from './origins';
import { refusedBy } from './refused';

/** Power comes to a device and data does not: a lead or a socket that only charges. */
export const usbNoData = check({
  code: 'usb-no-data',
  means: 'The lead or socket feeds the device and carries no data: the host never learns of it.',
  severity: ['blocks'],
  origin: DATA_LINE,
  limit: 'Computed from the lines of the leads.',
  cures: ['plug', 'link'],
  find: (facts) => refusedBy(facts, 'no-data'),
});
