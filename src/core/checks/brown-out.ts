import { check } from './check';
import { excessOf } from './excess';
import { REAL_DRAW } from './origins';

/** Taken for what it declares; at its busiest it takes more than its socket has left. */
export const brownOut = check({
  code: 'brown-out',
  means:
    'The host takes the device on what it declares, but at its busiest it really takes more than its socket has left: the supply sags and it drops out.',
  severity: ['spoils'],
  origin: REAL_DRAW,
  limit: 'What the socket has left (USB 2.0, 7.2.1); real draw typical.',
  aspect: 'power',
  asks: 'start',
  cures: ['feed', 'supply', 'link', 'plug'],
  find: (facts) =>
    excessOf(
      facts,
      (device) => device.accepted && device.takes > device.left,
      ({ takes, left }) => ({
        value: { name: 'left for it', value: left, unit: 'mA' },
        limit: { value: takes, unit: 'mA', is: 'at least' },
      }),
    ),
});
