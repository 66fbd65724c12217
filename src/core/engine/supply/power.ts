import { figureOf } from '../circuit';
import type { PowerSource } from '../../parts';
import { settingOf, type LaidPart } from '../../rig';
import { farPort, type Walk } from './walk';

/** What the charger, power bank or computer at the far end of a port's supply line gives, mA; undefined without one, or when it is empty. */
export function outletAt(walk: Walk, placed: string, port: string): number | undefined {
  const far = farPort(walk, placed, port, 'V', ({ part }, name) =>
    (part.outlets ?? []).some((outlet) => outlet.port === name),
  );
  const laid = far && walk.laid.get(far.placed);
  const outlet = laid?.part.outlets?.find((o) => o.port === far?.port);
  const gives = laid && outlet ? figureOf(outlet.gives, laid) : 0;
  return gives > 0 ? gives : undefined;
}

/** What a source of power gives, mA; undefined while it is off or empty. A switch stands for a supply of its own. */
export function suppliedBy(walk: Walk, laid: LaidPart, source: PowerSource): number | undefined {
  if ('setting' in source) return settingOf(laid, source.setting) === source.is ? Infinity : undefined;
  return outletAt(walk, laid.placed.id, source.port);
}
