import type { AttachedDevice } from '../engine/bus';
import type { Facts } from '../engine';
import { jointAt } from '../rig';
import type { Found } from './check';
import type { Limit, Measured } from './finding';

/** Sound devices of which something is asked that they or their way do not have. */
export function excessOf(
  facts: Facts,
  isMeant: (device: AttachedDevice) => boolean,
  about: (device: AttachedDevice) => { readonly value: Measured; readonly limit: Limit },
): Found[] {
  return facts.devices
    .filter((device) => device.device.captures.length > 0 && isMeant(device))
    .map((device) => {
      const joint = jointAt(facts.rig, { part: device.placed, port: device.device.port })?.id;
      const { value, limit } = about(device);
      return {
        where: { part: device.placed, ...(joint !== undefined && { joint }) },
        recorder: device.host,
        other: device.placed,
        values: [value],
        limit,
      };
    });
}
