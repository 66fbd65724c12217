import { check } from './check';
import { excessOf } from './excess';
import { USB_CURRENT } from './origins';

/** A device that declares more than such a socket usually gives, and no more than some of its kind do: taken here and there. */
export const mayStarve = check({
  code: 'may-starve',
  means:
    'The device declares more than such a socket usually gives and no more than some of its kind do. Whether the host takes it depends on yours: test it so.',
  severity: ['spoils'],
  origin: USB_CURRENT,
  limit: 'What sockets of the kind give, from the least to the most (typical); within that it must be tried.',
  aspect: 'power',
  asks: 'start',
  cures: ['feed', 'supply', 'link', 'plug'],
  find: (facts) =>
    excessOf(
      facts,
      (device) => device.accepted && device.uncertain,
      ({ draws, offered }) => ({
        value: { name: 'declared', value: draws, unit: 'mA' },
        limit: { value: offered.least, to: offered.most, unit: 'mA', is: 'at most' },
      }),
    ),
});
