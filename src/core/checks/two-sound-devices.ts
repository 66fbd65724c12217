import { jointAt } from '../rig';
import { check, type Found } from './check';
import { ONE_DEVICE } from './origins';

/** How many sound devices a phone or tablet takes at a time. */
const MOST_DEVICES = 1;

/** A further sound device at a host that takes one: it is not listed. */
export const twoSoundDevices = check({
  code: 'two-sound-devices',
  means: 'Phones and tablets take one USB sound device at a time; the second is ignored.',
  severity: ['blocks', 'spoils'],
  origin: ONE_DEVICE,
  limit: `${MOST_DEVICES} (common practice).`,
  cures: ['plug', 'link', 'less'],
  find: (facts) =>
    facts.devices
      .filter((d) => d.refusal === 'second-device')
      .flatMap((second): Found[] => {
        const sounding = facts.devices.filter(
          (d) =>
            d.host === second.host &&
            d.device.captures.length > 0 &&
            (d.accepted || d.refusal === 'second-device'),
        );
        const first = sounding.find((d) => d.accepted);
        const missed = facts.arrivals.filter((a) => a.recorder === second.host && a.state !== 'recorded');
        const joint = jointAt(facts.rig, { part: second.placed, port: second.device.port })?.id;
        const common: Found = {
          severity: missed.length > 0 ? 'blocks' : 'spoils',
          where: { part: second.placed, ...(joint !== undefined && { joint }) },
          recorder: second.host,
          ...(first && { other: first.placed }),
          values: [{ name: 'sound devices', value: sounding.length, unit: '' }],
          limit: { value: MOST_DEVICES, unit: '', is: 'at most' },
        };
        return missed.length > 0 ? missed.map(({ source }) => ({ ...common, source })) : [common];
      }),
});
