import { finite } from './finite';
import { levelWaysReport, type LevelWayReport } from './levels-report';
import { powerView } from '../views';
import { earthReport, supplyReport } from './power-report';
import { hearsReport } from './returns-report';
import { wayReport, type WayOutReport } from './way-report';
import { wayOut } from '../search/way-out';
import { findingKey, type Finding, type Origin } from '../checks';
import { cleaningEdits, searchFixes, type Drawer, type Fix, type Fixes } from '../search/fixes';
import type { Arrival, Chain, Stage } from '../engine/flow';
import { analyse, type Analysis, type NetReport, type Outcome, type Verdict } from '../judge';
import type { Rig, RigEdit } from '../rig';
import { sayArrival, sayOutcome } from '../words/say-arrival';
import { editsOf } from '../search/fixes/fix';
import { sayEdits } from '../words/say-edit';
import { sayReason, sayTitle } from '../words/say-finding';
import { sayWhyNone } from '../words/say-way-out';
import { plain } from '../words/sentence';

/** The public form of an arrival; null where a level does not exist (nothing arrives). */
export interface ArrivalReport {
  readonly recorder: string;
  readonly app: string;
  readonly source: string;
  readonly state: Arrival['state'];
  readonly records: string;
  readonly channels: Arrival['channels'];
  readonly peakDbfs: number | null;
  readonly noiseDbfs: number | null;
  readonly clipsAt: { readonly stage: string; readonly headroomDb: number } | null;
  /** Input numbers that carry it into what is recorded. */
  readonly inputs: readonly number[];
  /** By digital stages, ms; 1 or −1 for what positive pressure becomes; null where it is not recorded. */
  readonly delayMs: number | null;
  readonly polarity: 1 | -1 | null;
  /** From the source to the converter, by the way that brings most of it. */
  readonly stages: readonly StageReport[];
  /** On what the app's policy rests, and since when. */
  readonly evidence: Arrival['evidence'];
  readonly says: string;
}

/** RMS and peaks of the source at a stage, and the peak that the stage still bears. */
export interface StageReport {
  readonly part: string;
  readonly is: Stage['is'];
  readonly rmsDbv: number | null;
  readonly peakDbv: number | null;
  readonly mostDbv: number | null;
}

export interface FixReport {
  readonly says: string;
  readonly edit: RigEdit;
  /** Knobs to turn with it. */
  readonly then: readonly RigEdit[];
  readonly owned: boolean;
  readonly cost: number;
  readonly verdict: Verdict;
  readonly outcome: string;
}

export interface FindingReport extends Omit<Finding, 'values' | 'origin' | 'limit' | 'source' | 'because'> {
  readonly about: string | null;
  readonly values: readonly { readonly name: string; readonly value: number | null; readonly unit: string }[];
  readonly limit: Finding['limit'] | null;
  readonly source: Origin;
  readonly title: string;
  readonly says: string;
  /** The place in the list of the finding whose consequence it is; null where it is nobody's. */
  readonly because: number | null;
  readonly fixes: readonly FixReport[];
  /** Why not every fix was tried; null where all were. */
  readonly fixesCut: Fixes['cut'] | null;
  /** Why there is no fix of its own; null where there is one, or where it goes with another finding. */
  readonly whyNone: string | null;
}

/** What `symplex check --json` prints. */
export interface CheckReport {
  readonly rig: string;
  readonly verdict: Verdict;
  readonly arrives: readonly ArrivalReport[];
  readonly listeners: readonly {
    readonly listener: string;
    readonly hears: readonly { readonly device: string; readonly sides: string }[];
    readonly sources: readonly { readonly source: string; readonly sides: string; readonly by: string }[];
  }[];
  /** Each way of a source into a recorder: levels and noise at its stages, what brings the noise, the response. */
  readonly levels: readonly LevelWayReport[];
  /** Supply lines, batteries, the session; loops of grounds and what hums. */
  readonly power: ReturnType<typeof supplyReport>;
  readonly earth: ReturnType<typeof earthReport>;
  /** Who hears whom, how late, and the sends of a mix-minus. */
  readonly returns: ReturnType<typeof hearsReport>;
  /** Contacts on which nothing lies, and nets whose equations have no single answer. */
  readonly nets: NetReport;
  readonly findings: readonly FindingReport[];
  /** The lightest steps that were found after which the whole rig is clean; none for a clean rig, null where there is no way. */
  readonly wayOut: WayOutReport | null;
  /** Why there are none; null where there are. */
  readonly whyNot: string | null;
}

function chainOf(analysis: Analysis, { source, records, inputs }: Arrival): Chain | undefined {
  const own = analysis.chains.filter((chain) => chain.source === source && chain.input === records);
  return own.find((chain) => inputs.includes(chain.number)) ?? own[0];
}

const stageReport = (stage: Stage): StageReport => ({
  part: stage.placed,
  is: stage.is,
  rmsDbv: finite(stage.level),
  peakDbv: finite(stage.peak),
  mostDbv: stage.clipLevel === null ? null : finite(stage.clipLevel),
});

/** An arrival in its public form, with its way stage by stage. */
export function arrivalReport(rig: Rig, analysis: Analysis, arrival: Arrival): ArrivalReport {
  const chain = chainOf(analysis, arrival);
  const { recorder, app, source, state, records, channels } = arrival;
  const sounding = Number.isFinite(arrival.headroom);
  return {
    recorder,
    app,
    source,
    state,
    records,
    channels,
    peakDbfs: finite(arrival.peak),
    noiseDbfs: finite(arrival.noise),
    clipsAt: sounding ? { stage: records, headroomDb: arrival.headroom } : null,
    inputs: arrival.inputs,
    delayMs: chain?.stages.at(-1)?.delay ?? null,
    polarity: chain?.polarity ?? null,
    stages: (chain?.stages ?? []).map(stageReport),
    evidence: arrival.evidence,
    says: sayArrival(rig, arrival),
  };
}

function fixReport(rig: Rig, fix: Fix, finding: Finding): FixReport {
  const outcome: Outcome = fix.outcome;
  return {
    says: sayEdits(rig, editsOf(fix)),
    edit: fix.edit,
    then: fix.then ?? [],
    owned: fix.owned,
    cost: fix.cost,
    verdict: outcome.verdict,
    outcome: sayOutcome(rig, outcome, finding),
  };
}

/** Time for the search for fixes of all findings together, and as much for the way out, by a clock. */
export interface Budget {
  readonly now: () => number;
  readonly milliseconds: number;
}

function findingReport(rig: Rig, all: readonly Finding[], finding: Finding, found: Fixes): FindingReport {
  const { source, origin, values, limit, because, ...rest } = finding;
  const cause = all.findIndex((other) => findingKey(other) === because);
  return {
    ...rest,
    about: source ?? null,
    values: values.map((m) => ({ ...m, value: finite(m.value) })),
    limit: limit ?? null,
    source: origin,
    title: sayTitle(rig, finding),
    says: plain(sayReason(rig, finding)),
    because: cause < 0 ? null : cause,
    fixes: found.fixes.map((fix) => fixReport(rig, fix, finding)),
    fixesCut: found.cut ?? null,
    whyNone: sayWhyNone(finding, found) ?? null,
  };
}

/** The fixes of each finding; what the earlier ones leave of their share of the time falls to the later. */
function allFixes(
  rig: Rig,
  findings: readonly Finding[],
  drawer: Drawer,
  budget?: Budget & { readonly begun: number },
): Fixes[] {
  return findings.map((finding, index) => {
    const until = (budget?.begun ?? 0) + ((budget?.milliseconds ?? 0) * (index + 1)) / findings.length;
    const spent = budget && (() => budget.now() >= until);
    return searchFixes(rig, finding, drawer, spent);
  });
}

/** The whole answer about a rig, as plain JSON. `drawer` tells what is owned, for the fixes; without a budget all are tried. */
export function checkReport(rig: Rig, drawer: Drawer = {}, budget?: Budget): CheckReport {
  const analysis = analyse(rig);
  const begun = budget?.now() ?? 0;
  const fixes = allFixes(rig, analysis.findings, drawer, budget && { ...budget, begun });
  const later = budget?.now() ?? 0;
  const power = powerView(rig);
  const spent = () => budget !== undefined && budget.now() >= later + budget.milliseconds;
  const out = wayOut(rig, drawer, { spent, known: cleaningEdits(fixes) });
  return {
    rig: analysis.rig,
    verdict: analysis.verdict,
    arrives: analysis.arrives.map((arrival) => arrivalReport(rig, analysis, arrival)),
    listeners: analysis.listeners.map(({ listener, hears, sources }) => ({ listener, hears, sources })),
    levels: levelWaysReport(rig),
    power: supplyReport(power),
    earth: earthReport(power),
    returns: hearsReport(rig),
    nets: analysis.nets,
    findings: analysis.findings.map((finding, index) =>
      findingReport(rig, analysis.findings, finding, fixes[index] as Fixes),
    ),
    ...wayReport(rig, out),
  };
}
