import type { BusDevice } from '../parts';
import { endsOf, jointAt, laidParts, type LaidPart, type Rig } from '../rig';
import { mate } from '../plugs';
import { portOf } from '../rig';

/** An accessory at a host's digital port. */
export interface AttachedDevice {
  readonly host: string;
  readonly placed: string;
  readonly device: BusDevice;
  /** The host takes it: it proves itself where the port asks for that. */
  readonly accepted: boolean;
}

function deviceAt(rig: Rig, laid: ReadonlyMap<string, LaidPart>, host: string, port: string) {
  const joint = jointAt(rig, { part: host, port });
  const far = joint && endsOf(joint, host)?.far;
  if (!far) return undefined;
  const [here, there] = [portOf(rig, { part: host, port }), portOf(rig, far)];
  const device = laid.get(far.part)?.part.bus;
  if (!here || !there || !mate(here, there).fits || device?.port !== far.port) return undefined;
  return { placed: far.part, device };
}

/** Every accessory that sits at a host's digital port. */
export function attachedDevices(rig: Rig): AttachedDevice[] {
  const laid = new Map(laidParts(rig).map((l) => [l.placed.id, l]));
  return [...laid.values()].flatMap(({ placed, part }) =>
    (part.host?.busPorts ?? []).flatMap(({ port, wantsAuthentication }) => {
      const found = deviceAt(rig, laid, placed.id, port);
      if (!found) return [];
      const accepted = !wantsAuthentication || found.device.authenticated;
      return [{ host: placed.id, ...found, accepted }];
    }),
  );
}
