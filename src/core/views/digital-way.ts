import type { AttachedDevice } from '../engine/bus';
import type { Facts } from '../engine/facts';
import type { JointMating } from '../engine/mate';
import { isDigitalConnector } from '../plugs';
import type { PortRef } from '../rig';

const isDigital = ({ plugPort, jackPort }: JointMating): boolean =>
  [plugPort, jackPort].every(({ connector }) => isDigitalConnector(connector));

/** The joints on the way from a part to its host by which numbers go, from a joint on; undefined where it does not lead there. */
function wayFrom(
  joint: JointMating,
  from: PortRef,
  host: string,
  joints: readonly JointMating[],
): readonly string[] | undefined {
  const { id, plug, jack } = joint.joint;
  const far = plug.part === from.part && plug.port === from.port ? jack : plug;
  if (far.part === host) return [id];
  for (const next of joints) {
    if (next === joint) continue;
    const own = [next.joint.plug, next.joint.jack].find((end) => end.part === far.part);
    if (!own || own.port === far.port) continue;
    const rest = wayFrom(
      next,
      own,
      host,
      joints.filter((one) => one !== joint),
    );
    if (rest) return [id, ...rest];
  }
  return undefined;
}

/** Whether what a device sends is recorded, or what its host plays into it is. */
const isUsed = ({ arrivals, rig }: Facts, { host, placed, accepted }: AttachedDevice): boolean =>
  accepted &&
  arrivals.some(
    ({ state, records, source }) =>
      state === 'recorded' &&
      (records.startsWith(`${placed}/`) || (source === host && rig.purpose.sources.includes(host))),
  );

const known = new WeakMap<Facts, ReadonlySet<string>>();

/** Joints by which the wanted sound goes as numbers: between a sound device that is used and its host, over leads, adapters and hubs. */
export function digitalWays(facts: Facts): ReadonlySet<string> {
  const kept = known.get(facts);
  if (kept) return kept;
  const joints = facts.matings.filter(isDigital);
  const found = facts.devices
    .filter((device) => isUsed(facts, device))
    .flatMap(({ placed, device, host }) => {
      const own = { part: placed, port: device.port };
      const first = joints.find(({ joint }) =>
        [joint.plug, joint.jack].some((end) => end.part === own.part && end.port === own.port),
      );
      return first ? (wayFrom(first, own, host, joints) ?? []) : [];
    });
  const ways = new Set(found);
  known.set(facts, ways);
  return ways;
}
