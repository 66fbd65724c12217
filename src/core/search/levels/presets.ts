import type { Rig } from '../../rig';
import { planGains, type GainPlan } from './plan';
import { USUAL_AIM, type Aim } from './score';

export type PresetId = 'usual' | 'room' | 'hot-source' | 'quiet-source';

/** A school of setting levels. */
export interface Preset {
  readonly id: PresetId;
  readonly aim: Aim;
}

/** Common practice, and where it disagrees. */
export const PRESETS: readonly Preset[] = [
  { id: 'usual', aim: USUAL_AIM },
  // EBU R 68: alignment at −18 dBFS leaves 18 dB.
  { id: 'room', aim: { ...USUAL_AIM, target: -18 } },
  { id: 'hot-source', aim: { ...USUAL_AIM, lean: 'low-recorder' } },
  { id: 'quiet-source', aim: { ...USUAL_AIM, lean: 'low-source' } },
];

export interface PresetPlan {
  readonly preset: PresetId;
  readonly plan: GainPlan;
}

/** What each school comes to on a rig. */
export const presetPlans = (rig: Rig): PresetPlan[] =>
  PRESETS.map(({ id, aim }) => ({ preset: id, plan: planGains(rig, aim) }));
