import Papa from 'papaparse';
import { DBU_OVER_DBV } from '../units';
import type { Verdict } from '../judge';
import type { Rig } from '../rig';
import { sayAdd, sayFirst, sayNoise, sayPlanned, sayProved, PRESET_WORDS } from '../words/say-levels';
import { plain } from '../words/sentence';
import {
  levelPlans,
  levelResponses,
  levelWays,
  planGains,
  planView,
  USUAL_AIM,
  type LevelWay,
  type PlanView,
  type WayResponse,
} from '../search/levels';
import { proveAdds } from '../search/fixes';
import { oneLine } from '../schema';
import { finite } from './finite';

const volts = (dbv: number): number | null => finite(10 ** (dbv / 20));
const dbu = (dbv: number): number | null => finite(dbv + DBU_OVER_DBV);

/** Peaks may be asked for from here to full scale, dBFS. */
const LEAST_TARGET = -60;

/** A target as it is written, dBFS. */
export function readTarget(
  text: string,
): { readonly ok: true; readonly value: number } | { readonly ok: false; readonly says: string } {
  const value = Number(text.replace('−', '-'));
  return text.trim() !== '' && value >= LEAST_TARGET && value <= 0
    ? { ok: true, value }
    : {
        ok: false,
        says: `takes dBFS from ${LEAST_TARGET} to 0, not ${text === '' ? 'nothing' : oneLine(text)}`,
      };
}

/** A way in its public form: levels in dBV, dBu, volts and dB of the converter's full scale. */
export const levelWayReport = (rig: Rig, way: LevelWay, found?: WayResponse) => ({
  source: way.source,
  recorder: way.recorder,
  stages: way.steps.map(({ placed, is, level, peak, noise, clipLevel }) => ({
    part: placed,
    is,
    rmsDbv: finite(level),
    rmsDbu: dbu(level),
    rmsVolts: volts(level),
    peakDbv: finite(peak),
    noiseDbv: finite(noise),
    clipDbv: clipLevel === null ? null : finite(clipLevel),
    headroomDb: clipLevel === null ? null : finite(clipLevel - peak),
    overNoiseDb: finite(peak - noise),
  })),
  peakDbfs: finite(way.peak),
  noiseDbfs: finite(way.noise),
  firstToClip: way.first
    ? { part: way.first.placed, is: way.first.is, roomDb: finite(way.first.room) }
    : null,
  noiseShares: way.shares.map(({ is, placed, share }) => ({ is, part: placed, share })),
  response: found
    ? {
        fromHz: found.response.from,
        toHz: found.response.to,
        points: found.response.points.map(({ hertz, decibels }) => ({ hertz, decibels: finite(decibels) })),
        appBand: found.band ?? null,
      }
    : null,
  runs: way.runs.map(({ parts, metres, balanced, under, longest }) => ({
    parts,
    metres,
    balanced,
    underPeaksDb: { quiet: finite(under.quiet), show: finite(under.show), stage: finite(under.stage) },
    longestMetres: { quiet: finite(longest.quiet), show: finite(longest.show), stage: finite(longest.stage) },
  })),
  says: [plain(sayFirst(rig, way)), plain(sayNoise(rig, way))],
});

/** So long parts are put in and judged, ms; what is left untried is said. */
const PROVING_MS = 2000;

const worst = (plan: Pick<PlanView, 'arrives'>) => {
  const heard = plan.arrives.filter(({ state, peak }) => state === 'recorded' && Number.isFinite(peak));
  if (heard.length === 0) return { peakDbfs: null, overNoiseDb: null };
  return {
    peakDbfs: Math.max(...heard.map(({ peak }) => peak)),
    overNoiseDb: Math.min(...heard.map(({ peak, noise }) => peak - noise)),
  };
};

/** A plan in its public form. */
const planReport = (rig: Rig, plan: Omit<PlanView, 'preset'>) => ({
  target: plan.target,
  settings: plan.settings.map((one) => ({
    part: one.part,
    setting: one.setting,
    value: one.option,
    decibels: one.decibels,
    says: sayPlanned(rig, one),
  })),
  ...worst(plan),
  verdict: plan.verdict as Verdict,
  adds: plan.adds.map((add) => ({
    is: add.is,
    at: add.at,
    decibels: add.decibels,
    why: add.why,
    says: sayAdd(rig, add),
  })),
  exact: plan.exact,
});

/** Every way of a rig in its public form. */
export function levelWaysReport(rig: Rig): readonly LevelWayReport[] {
  const responses = levelResponses(rig);
  return levelWays(rig).map((way) => {
    const found = responses.find(
      ({ source, recorder }) => source === way.source && recorder === way.recorder,
    );
    return levelWayReport(rig, way, found);
  });
}

export type LevelWayReport = ReturnType<typeof levelWayReport>;

/** What was proved to do what a plan asks for, in its public form. */
function provedReport(rig: Rig, target: number) {
  const until = performance.now() + PROVING_MS;
  const { proved, tried, cut } = proveAdds(
    rig,
    { ...USUAL_AIM, target },
    {},
    () => performance.now() >= until,
  );
  return {
    tried,
    cut,
    adds: proved.map((one) => ({
      is: one.add.is,
      at: one.add.at,
      part: one.cost.part ?? null,
      price: one.cost.price,
      enough: one.enough,
      peakDbfs: one.peak,
      overNoiseDb: one.overNoise,
      says: sayProved(rig, one),
    })),
  };
}

/** What `symplex levels --json` prints. `target`: where peaks should come to, dBFS. */
export function levelsReport(rig: Rig, target: number = USUAL_AIM.target) {
  const plans = levelPlans(rig);
  // The usual school has the usual target: it is not planned twice.
  const usual = plans.find(({ preset }) => preset === 'usual');
  const plan = usual?.target === target ? usual : planView(planGains(rig, { ...USUAL_AIM, target }));
  return {
    rig: rig.id,
    ways: levelWaysReport(rig),
    plan: planReport(rig, plan),
    proved: provedReport(rig, target),
    presets: plans.map((one) => ({
      preset: one.preset,
      name: PRESET_WORDS[one.preset].name,
      why: PRESET_WORDS[one.preset].why,
      ...planReport(rig, one),
    })),
  };
}

export type LevelsReport = ReturnType<typeof levelsReport>;

/** The staircase as CSV: one line a stage. */
export function levelsCsv(report: Pick<LevelsReport, 'ways'>): string {
  // A hundredth of a decibel, a tenth of a thousandth of the volts: more is the solver's, not the gear's.
  const dB = (value: number | null) => (value === null ? '' : Number(value.toFixed(2)));
  const rows = report.ways.flatMap((way) =>
    way.stages.map((stage) => ({
      source: way.source,
      recorder: way.recorder,
      part: stage.part,
      stage: stage.is,
      'RMS dBV': dB(stage.rmsDbv),
      'RMS dBu': dB(stage.rmsDbu),
      'RMS V': stage.rmsVolts === null ? '' : Number(stage.rmsVolts.toPrecision(4)),
      'peak dBV': dB(stage.peakDbv),
      'noise dBV': dB(stage.noiseDbv),
      'clips at dBV': dB(stage.clipDbv),
      'headroom dB': dB(stage.headroomDb),
      'over noise dB': dB(stage.overNoiseDb),
    })),
  );
  return Papa.unparse(rows, { newline: '\n', escapeFormulae: true });
}
