export type { Add } from './adds';
export type { ChainModel } from './model';
export { chainModels } from './model';
export type { GainPlan, PlannedSetting } from './plan';
export { planGains, scoreOf } from './plan';
export { keepsItsSides } from './programme';
export type { PresetId, PresetPlan } from './presets';
export { PRESETS, presetPlans } from './presets';
export type { Aim, Score } from './score';
export { compareScores, USUAL_AIM } from './score';
export { solve } from './solve';
export type {
  FirstToClip,
  LevelKnob,
  LevelsAtRest,
  LevelWay,
  PlanView,
  RunView,
  ShareOfNoise,
  WayResponse,
} from './view';
export { levelPlans, levelResponses, levelsAtRest, levelWays, planView } from './view';
