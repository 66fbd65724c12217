import type { Finding, Severity } from '../../checks';
import { applyEdit, laidParts, settingOf, type LaidPart, type Rig, type RigEdit } from '../../rig';
import { outcomeOf, type Outcome } from '../../judge';
import { levelMiss, TARGET_PEAK } from './targets';
import { isLevel, isWiredWrong, switchesFor } from './switches';

/** A rig with its switches and knobs set, and what is said of it then. */
export interface Settled {
  readonly rig: Rig;
  readonly judged: Outcome;
  /** How often the pipeline was run. */
  readonly runs: number;
}

/** A rig that is not settled by so many runs is left as it then stands. */
const MOST_RUNS = 30;
/** So many other places of switches are tried for one finding. */
const MOST_SWITCHES = 10;

const WEIGHED: readonly Severity[] = ['danger', 'blocks', 'spoils'];

/** Worst first: what hurts, what stops it, what spoils it, then how far levels are off. */
function scoreOf({ findings, arrives }: Outcome): number[] {
  const counts = WEIGHED.map((severity) => findings.filter((f) => f.severity === severity).length);
  const unheard = arrives.filter((a) => a.state !== 'recorded').length;
  return [
    counts[0] ?? 0,
    unheard,
    counts[1] ?? 0,
    counts[2] ?? 0,
    arrives.reduce((sum, a) => sum + levelMiss(a), 0),
  ];
}

function isLess(a: readonly number[], b: readonly number[]): boolean {
  const at = a.findIndex((value, index) => Math.abs(value - (b[index] ?? 0)) > 1e-9);
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
}

const sounds = ({ arrives }: Outcome): string =>
  arrives.map((a) => `${a.state} ${a.channels} ${a.peak.toFixed(2)} ${a.noise.toFixed(2)}`).join();

const isGood = (score: readonly number[]): boolean => score.every((value) => value < 1e-9);

const switchKey = (edit: RigEdit): string =>
  edit.kind === 'set'
    ? `${edit.part} ${edit.setting}`
    : edit.kind === 'choose'
      ? `${edit.part} ${edit.choice}`
      : '';

/** No switch can help: the wires are wrong. */
export const isHopeless = ({ findings }: Outcome): boolean =>
  findings.some((f) => f.severity === 'blocks' && isWiredWrong(f));

/** Held to a level at the most, and spoilt by more. */
const isTooLoud = (finding: Finding): boolean =>
  isLevel(finding) &&
  finding.severity === 'spoils' &&
  finding.limit?.is === 'at most' &&
  finding.limit.unit === 'dBV';

const excess = ({ values, limit }: Finding): number => (values[0]?.value ?? 0) - (limit?.value ?? 0);

/** Knobs turned by what an arrival lacks or has too much, each tried on its own, from the source forward. */
function knobEdits(rig: Rig, judged: Outcome, dead: ReadonlySet<string>): RigEdit[] {
  const miss = judged.arrives.filter((a) => a.state !== 'recorded' || levelMiss(a) > 0);
  const worst = miss[0] ?? judged.arrives[0];
  if (!worst || !Number.isFinite(worst.peak)) return [];
  // A stage that clips has its peaks over its limit by so much; it wants the usual room beside.
  const over = Math.max(0, ...judged.findings.filter(isTooLoud).map(excess));
  const by =
    over > 0 ? -over + TARGET_PEAK : Math.min(TARGET_PEAK - worst.peak, worst.headroom + TARGET_PEAK);
  const turn = (laid: LaidPart): RigEdit[] =>
    (laid.part.settings ?? []).flatMap((setting) => {
      if (setting.kind !== 'knob' || dead.has(`${laid.placed.id} ${setting.id}`)) return [];
      const stands = Number(settingOf(laid, setting.id));
      const steps = Math.round((stands + by - setting.from) / setting.step);
      const option = Math.min(setting.to, Math.max(setting.from, setting.from + steps * setting.step));
      return option === stands ? [] : [{ kind: 'set', part: laid.placed.id, setting: setting.id, option }];
    });
  return laidParts(rig).flatMap(turn);
}

/**
 * Switches and knobs set so that every source is recorded and neither clips nor drowns, as far as single turns, one after the
 * other, lead there: each is kept only if the pipeline finds the rig better for it.
 */
export function settle(begun: Rig): Settled {
  let rig = begun;
  let judged = outcomeOf(rig);
  let score = scoreOf(judged);
  let runs = 1;
  /** Knobs and switches that change nothing of what arrives. */
  const dead = new Set<string>();
  const attempt = (edits: readonly RigEdit[]): boolean => {
    for (const edit of edits.slice(0, MOST_SWITCHES)) {
      if (runs >= MOST_RUNS) return false;
      const next = applyEdit(rig, edit);
      const found = outcomeOf(next);
      runs += 1;
      const nextScore = scoreOf(found);
      if (sounds(found) === sounds(judged)) dead.add(switchKey(edit));
      if (!isLess(nextScore, score)) continue;
      [rig, judged, score] = [next, found, nextScore];
      return true;
    }
    return false;
  };
  while (!isGood(score) && runs < MOST_RUNS && !isHopeless(judged)) {
    const serious = judged.findings.filter((f) => f.severity !== 'note');
    const [wiring, level] = [serious.filter((f) => !isLevel(f)), serious.filter(isLevel)];
    const turn = (f: Finding) => attempt(switchesFor(rig, f).filter((edit) => !dead.has(switchKey(edit))));
    // A knob does not open what is shut.
    const shut = wiring.some((f) => f.severity === 'blocks');
    const better =
      wiring.some(turn) || (!shut && attempt(knobEdits(rig, judged, dead))) || (!shut && level.some(turn));
    if (!better) break;
  }
  return { rig, judged, runs };
}
