import { ASKED } from './asked';
import { BESIDE } from './beside';
import { BOXES } from './boxes';
import { CALLS } from './calls';
import { HEADSET } from './headset';
import { PACKS } from './packs';
import { PLAYED } from './played';
import { PLAYED_BY_USB } from './played-usb';
import { TOGETHER } from './together';
import { FAR_OFF } from './far-off';
import { USB } from './usb';

/** Requests of the trade with the answers of practice. */
export const PRACTICE = [
  ...HEADSET,
  ...USB,
  ...BOXES,
  ...CALLS,
  ...BESIDE,
  ...PLAYED,
  ...PLAYED_BY_USB,
  ...PACKS,
  ...ASKED,
  ...TOGETHER,
  ...FAR_OFF,
];
export { against } from './judge';
export { requestOf, type Answer, type PracticeCase } from './case';
