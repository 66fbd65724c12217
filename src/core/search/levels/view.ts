import { allFacts } from '../../engine';
import {
  chainResponse,
  metresFor,
  noiseBudget,
  pickedUp,
  runsOf,
  staircases,
  type ChainResponse,
  type NoiseItem,
  type Place,
  type Staircase,
  type Step,
} from '../../engine/levels';
import type { Facts } from '../../engine';
import type { AppBand } from '../../apps';
import { appOf, type Arrival } from '../../engine/flow';
import type { Verdict } from '../../judge';
import type { Rig, RigEdit } from '../../rig';
import type { Add } from './adds';
import { levelControls } from './model';
import type { GainPlan, PlannedSetting } from './plan';
import { presetPlans, type PresetId } from './presets';

/** Of all the noise at a converter the part that one thing brings, 0 to 1. */
export interface ShareOfNoise {
  readonly is: NoiseItem['is'];
  readonly placed: string;
  readonly share: number;
}

/** The stage that has the least room. */
export interface FirstToClip {
  readonly placed: string;
  readonly is: Step['is'];
  /** Under nothing: so much over, dB. */
  readonly room: number;
}

/** A knob that moves a step and all behind it. */
export interface LevelKnob {
  readonly part: string;
  readonly setting: string;
  /** The first step that it moves. */
  readonly from: number;
  readonly stands: number;
  readonly least: number;
  readonly most: number;
  /** dB from one place to the next. */
  readonly step: number;
}

/** Leads in a row, and how far what they pick up stays under the peaks on them, dB, by where they lie. */
export interface RunView {
  readonly parts: readonly string[];
  readonly metres: number;
  readonly balanced: boolean;
  readonly under: Readonly<Record<Place, number>>;
  /** How long it may be for what it picks up to stay 60 dB under the peaks, m: as clear as a good recording. Ours. */
  readonly longest: Readonly<Record<Place, number>>;
}

/** A source on its way into a recorder, with everything that a level can be asked. */
export interface LevelWay {
  readonly recorder: string;
  readonly source: string;
  readonly steps: readonly Step[];
  readonly knobs: readonly LevelKnob[];
  /** RMS of a full-scale sine at the converter, dBV. */
  readonly fullScale: number;
  /** As recorded, dBFS. */
  readonly peak: number;
  readonly noise: number;
  readonly first?: FirstToClip;
  /** The most first; what brings less than a thousandth is left out. */
  readonly shares: readonly ShareOfNoise[];
  readonly runs: readonly RunView[];
}

/** How a source then comes to a recorder. */
export interface PlanArrival {
  readonly recorder: string;
  readonly source: string;
  readonly state: Arrival['state'];
  readonly peak: number;
  readonly noise: number;
}

/** What a school of setting levels comes to. */
export interface PlanView {
  readonly preset: PresetId;
  readonly target: number;
  readonly settings: readonly PlannedSetting[];
  readonly edits: readonly RigEdit[];
  readonly verdict: Verdict;
  readonly arrives: readonly PlanArrival[];
  readonly adds: readonly Add[];
  readonly exact: boolean;
}

/** The response of a way. */
export interface WayResponse {
  readonly recorder: string;
  readonly source: string;
  readonly response: ChainResponse;
  /** What the recorder's app lets through of it, where that is known. */
  readonly band?: AppBand;
}

/** What is worked out once a rig is at rest; plain data, fit to cross to another thread. */
export interface LevelsAtRest {
  readonly plans: readonly PlanView[];
  readonly responses: readonly WayResponse[];
}

function firstToClip({ steps }: Staircase): FirstToClip | undefined {
  const found = steps.flatMap(({ placed, is, clipLevel, peak }) =>
    clipLevel === null || !Number.isFinite(peak) ? [] : [{ placed, is, room: clipLevel - peak }],
  );
  return found.sort((a, b) => a.room - b.room)[0];
}

/** What is picked up is not heard so far under the peaks, dB. Ours. */
const WELL_UNDER = 60;

/** Shares by part and kind; less than this is not worth a line. */
const LEAST_SHARE = 0.001;

function sharesOf(items: readonly NoiseItem[]): ShareOfNoise[] {
  const total = items.reduce((sum, { power }) => sum + power, 0);
  const byPart = new Map<string, { is: NoiseItem['is']; placed: string; share: number }>();
  for (const { is, placed, power } of items) {
    const known = byPart.get(`${is} ${placed}`) ?? { is, placed, share: 0 };
    byPart.set(`${is} ${placed}`, known);
    known.share += power / total;
  }
  return [...byPart.values()].filter(({ share }) => share >= LEAST_SHARE).sort((a, b) => b.share - a.share);
}

function knobsOf(facts: Facts, staircase: Staircase): LevelKnob[] {
  return levelControls(facts, staircase).flatMap(({ part, setting, from, stands, places }): LevelKnob[] => {
    const [first, second] = places;
    const last = places.at(-1);
    if (typeof first?.option !== 'number' || !second || !last) return [];
    const step = second.decibels - first.decibels;
    return [{ part, setting, from, stands, least: first.decibels, most: last.decibels, step }];
  });
}

function wayOf(facts: Facts, staircase: Staircase): LevelWay {
  const { recorder, source, steps, fullScale, arrival } = staircase;
  const first = firstToClip(staircase);
  return {
    recorder,
    source,
    steps,
    knobs: knobsOf(facts, staircase),
    fullScale,
    peak: arrival.peak,
    noise: arrival.noise,
    ...(first && { first }),
    shares: sharesOf(noiseBudget(facts, staircase)),
    runs: runsOf(facts, staircase).map((run) => ({
      parts: run.parts,
      metres: run.metres,
      balanced: run.balanced,
      under: {
        quiet: run.peak - pickedUp(run, 'quiet'),
        show: run.peak - pickedUp(run, 'show'),
        stage: run.peak - pickedUp(run, 'stage'),
      },
      longest: {
        quiet: metresFor(run, 'quiet', WELL_UNDER),
        show: metresFor(run, 'show', WELL_UNDER),
        stage: metresFor(run, 'stage', WELL_UNDER),
      },
    })),
  };
}

/** The levels of a rig without plans: what follows a knob while it is turned. */
export function levelWays(rig: Rig): readonly LevelWay[] {
  const [facts] = allFacts(rig);
  return staircases(facts).map((staircase) => wayOf(facts, staircase));
}

/** A plan without what only the planner needs. */
export function planView(plan: GainPlan): Omit<PlanView, 'preset'> {
  return {
    target: plan.aim.target,
    settings: plan.settings,
    edits: plan.edits,
    verdict: plan.outcome.verdict,
    arrives: plan.outcome.arrives.map(({ recorder, source, state, peak, noise }) => ({
      recorder,
      source,
      state,
      peak,
      noise,
    })),
    adds: plan.adds,
    exact: plan.exact,
  };
}

/** What each school comes to. */
export const levelPlans = (rig: Rig): readonly PlanView[] =>
  presetPlans(rig).map(({ preset, plan }) => ({ preset, ...planView(plan) }));

/** The response of every way, by the circuit. */
export function levelResponses(rig: Rig): readonly WayResponse[] {
  const [facts] = allFacts(rig);
  return staircases(facts).flatMap((staircase): WayResponse[] => {
    const { recorder, source } = staircase;
    const response = chainResponse(facts, staircase);
    const host = facts.laid.get(recorder);
    const band = host && appOf(host)?.band;
    return response ? [{ recorder, source, response, ...(band && { band }) }] : [];
  });
}

/** Everything that the lens shows of a rig at rest. */
export const levelsAtRest = (rig: Rig): LevelsAtRest => ({
  plans: levelPlans(rig),
  responses: levelResponses(rig),
});
