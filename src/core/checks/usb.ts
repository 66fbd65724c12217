import { MOST_HUBS, type AttachedDevice } from '../engine/bus';
import type { Facts } from '../engine/facts';
import { jointAt, jointsOf, type Rig } from '../rig';
import { failing } from './failing';
import type { Finding, Place } from './finding';
import { ANALOGUE_MODE, AUTHENTICATION, DATA_LINE, ONE_DEVICE, USB_CURRENT, USB_TREE } from './origins';

function placeOf(rig: Rig, { placed, device }: AttachedDevice): Place {
  const joint = jointAt(rig, { part: placed, port: device.port })?.id;
  return joint === undefined ? { part: placed } : { joint, part: placed };
}

function refusal(rig: Rig, attached: AttachedDevice): Omit<Finding, 'source' | 'recorder'> | undefined {
  const where = placeOf(rig, attached);
  const common = { severity: 'blocks', where, other: attached.placed, values: [] } as const;
  switch (attached.refusal) {
    case undefined:
      return undefined;
    case 'no-data':
      return { ...common, code: 'usb-no-data', origin: DATA_LINE };
    case 'no-analogue-mode':
      return { ...common, code: 'no-analogue-mode', origin: ANALOGUE_MODE };
    case 'unauthenticated':
      return { ...common, code: 'accessory-unauthenticated', origin: AUTHENTICATION };
    case 'starved':
      return {
        ...common,
        code: 'starved',
        values: [{ name: 'offered', value: attached.offered, unit: 'mA' }],
        limit: { value: attached.draws, unit: 'mA', is: 'at least' },
        origin: USB_CURRENT,
      };
    case 'too-deep':
      return {
        ...common,
        code: 'usb-too-deep',
        values: [{ name: 'hubs on the way', value: attached.hubs, unit: '' }],
        limit: { value: MOST_HUBS, unit: '', is: 'at most' },
        origin: USB_TREE,
      };
  }
}

/** A sound device, or a source's own socket that turns out to charge only. */
const couldBring = (facts: Facts, { device, placed }: AttachedDevice, source: string): boolean =>
  device.captures.length > 0 ||
  (device.registersAs === 'power' && placed === source && jointsOf(facts.rig, placed).length === 1);

/** Accessories that the host sees but does not take, or that cannot be seen at all. */
export function usb(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival }) =>
    facts.devices
      .filter((device) => device.host === arrival.recorder && couldBring(facts, device, arrival.source))
      .flatMap((device) => refusal(facts.rig, device) ?? [])
      .map((finding) => ({ ...finding, source: arrival.source, recorder: arrival.recorder })),
  );
}

/** A second sound device at one host: it takes one. */
export function twoSoundDevices(facts: Facts): Finding[] {
  return [...new Set(facts.devices.map((device) => device.host))].flatMap((host): Finding[] => {
    const sounding = facts.devices.filter(
      (d) => d.host === host && d.accepted && d.device.captures.length > 0,
    );
    const second = sounding[1];
    if (!second || facts.laid.get(host)?.part.host?.manyDevices) return [];
    return [
      {
        code: 'two-sound-devices',
        severity: facts.arrivals.some((a) => a.recorder === host && a.state !== 'recorded')
          ? 'blocks'
          : 'spoils',
        where: placeOf(facts.rig, second),
        recorder: host,
        other: second.placed,
        values: [{ name: 'sound devices', value: sounding.length, unit: '' }],
        limit: { value: 1, unit: '', is: 'at most' },
        origin: ONE_DEVICE,
      },
    ];
  });
}
