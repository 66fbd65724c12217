import type { Finding } from '../checks';
import { appOf } from '../engine/flow';
import { laidParts, type Rig } from '../rig';

/** What the setting that a finding names is called, on the part or in its app. */
export function settingName(rig: Rig, f: Finding): string {
  const laid = laidParts(rig).find((l) => l.placed.id === f.where.part);
  const app = laid && appOf(laid);
  const settings = [...(laid?.part.settings ?? []), ...(app?.choices ?? [])];
  return settings.find((s) => s.id === f.setting)?.name ?? f.setting ?? 'switch';
}
