import { FULL_SPEED_BYTES, type AttachedDevice } from '../engine/bus';
import type { Facts } from '../engine/facts';
import { jointAt } from '../rig';
import type { Finding, Limit, Measured, Origin, FindingCode } from './finding';
import { FRAME_BYTES, REAL_DRAW, USB_LEAD } from './origins';

/** Metres of a full-speed lead (USB 2.0, 7.1.16 and 7.1.19: 26 ns; from memory). */
const LONGEST_RUN = 5;

interface Excess {
  readonly code: FindingCode;
  readonly severity: 'blocks' | 'spoils';
  readonly value: Measured;
  readonly limit: Limit;
  readonly origin: Origin;
}

/** What a device that the host took nevertheless asks too much of: current, bytes, length of lead. */
function excesses({ takes, left, bytes, run }: AttachedDevice): Excess[] {
  return [
    ...(takes > left
      ? [
          {
            code: 'brown-out',
            severity: 'spoils',
            value: { name: 'left for it', value: left, unit: 'mA' },
            limit: { value: takes, unit: 'mA', is: 'at least' },
            origin: REAL_DRAW,
          } as const,
        ]
      : []),
    ...(bytes > FULL_SPEED_BYTES
      ? [
          {
            code: 'isochronous-exceeded',
            severity: 'blocks',
            value: { name: 'a millisecond', value: bytes, unit: 'B' },
            limit: { value: FULL_SPEED_BYTES, unit: 'B', is: 'at most' },
            origin: FRAME_BYTES,
          } as const,
        ]
      : []),
    ...(run > LONGEST_RUN
      ? [
          {
            code: 'usb-lead-long',
            severity: 'spoils',
            value: { name: 'of lead in one run', value: run, unit: 'm' },
            limit: { value: LONGEST_RUN, unit: 'm', is: 'at most' },
            origin: USB_LEAD,
          } as const,
        ]
      : []),
  ];
}

/** Sound devices that were taken and will come and go, or not stream. */
export function usbLimits(facts: Facts): Finding[] {
  return facts.devices
    .filter((device) => device.accepted && device.device.captures.length > 0)
    .flatMap((device) =>
      excesses(device).map(({ code, severity, value, limit, origin }): Finding => {
        const joint = jointAt(facts.rig, { part: device.placed, port: device.device.port })?.id;
        return {
          code,
          severity,
          where: { part: device.placed, ...(joint !== undefined && { joint }) },
          recorder: device.host,
          other: device.placed,
          values: [value],
          limit,
          origin,
        };
      }),
    );
}
