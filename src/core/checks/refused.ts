import type { AttachedDevice, Refusal } from '../engine/bus';
import type { Facts } from '../engine';
import { jointAt, jointsOf } from '../rig';
import type { Found } from './check';
import { failing } from './failing';
import type { Place } from './finding';

function placeOf(facts: Facts, { placed, device, missing }: AttachedDevice): Place {
  if (missing) return missing;
  const joint = jointAt(facts.rig, { part: placed, port: device.port })?.id;
  return joint === undefined ? { part: placed } : { joint, part: placed };
}

/** A sound device, or a source's own socket that turns out to charge only. */
const couldBring = (facts: Facts, { device, placed }: AttachedDevice, source: string): boolean =>
  device.captures.length > 0 ||
  (device.registersAs === 'power' && placed === source && jointsOf(facts.rig, placed).length === 1);

/** Whether what a refused device would bring is a source that is missed: its own sound, or what leads into it. */
const isMissed = (facts: Facts, attached: AttachedDevice, source: string): boolean =>
  !facts.laid.get(source)?.part.host &&
  (attached.placed === source || !isOther(facts, attached.placed, source));

/** Another source of the rig, which has nothing to do with this one. */
const isOther = (facts: Facts, placed: string, source: string): boolean =>
  placed !== source && facts.rig.purpose.sources.includes(placed);

/** Accessories that a recorder refuses for one reason, for each source that misses them. */
export function refusedBy(
  facts: Facts,
  reason: Refusal,
  about: (attached: AttachedDevice) => Partial<Found> = () => ({}),
): Found[] {
  return failing(facts).flatMap(({ arrival }) =>
    facts.devices
      .filter((d) => d.host === arrival.recorder && d.refusal === reason)
      .filter((d) => couldBring(facts, d, arrival.source) && isMissed(facts, d, arrival.source))
      .map((attached) => ({
        where: placeOf(facts, attached),
        other: attached.placed,
        values: [],
        source: arrival.source,
        recorder: arrival.recorder,
        ...about(attached),
      })),
  );
}
