import { FULL_SPEED_BYTES } from '../engine/bus';
import { check } from './check';
import { FRAME_BYTES } from './origins';
import { refusedBy } from './refused';

/** A full-speed device that streams more than a frame holds: nothing of it is recorded. */
export const isochronousExceeded = check({
  code: 'isochronous-exceeded',
  means: 'A full-speed device streams more bytes a millisecond than one frame holds.',
  severity: ['blocks'],
  origin: FRAME_BYTES,
  limit: `${FULL_SPEED_BYTES.toLocaleString('en')} bytes a frame of a millisecond (USB 2.0, 5.6.3).`,
  cures: ['switch', 'link'],
  find: (facts) =>
    refusedBy(facts, 'too-many-bytes', ({ bytes }) => ({
      values: [{ name: 'a millisecond', value: bytes, unit: 'B' }],
      limit: { value: FULL_SPEED_BYTES, unit: 'B', is: 'at most' },
    })),
});
