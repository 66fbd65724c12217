import { allFacts, type Facts } from '../../engine';
import { bareOutcomeFrom, type Outcome } from '../../judge';
import { applyEdit, type Rig, type RigEdit } from '../../rig';
import type { Control } from '../settings/controls';
import { alikeControls, type Alike } from './alike';
import { keyOf, MOST_SHARED, solve, type Chosen } from './solve';
import { chainModels, type ChainModel } from './model';
import { compareScores, NO_SCORE, addScores, offTarget, USUAL_AIM, type Aim, type Score } from './score';
import { addsFor, type Add } from './adds';

/** A knob or switch with where it stands and where it should. */
export interface PlannedSetting {
  readonly part: string;
  readonly setting: string;
  readonly stands: number;
  readonly option: number | string;
  /** The gain at that place, dB. */
  readonly decibels: number;
}

/** Settings of a whole rig for an aim, proved by the pipeline. */
export interface GainPlan {
  readonly aim: Aim;
  readonly settings: readonly PlannedSetting[];
  readonly edits: readonly RigEdit[];
  readonly rig: Rig;
  readonly outcome: Outcome;
  /** Nothing is better by the sums of gains, clip levels and noise; false where what chains share has too many places to weigh them all. */
  readonly exact: boolean;
  /** What to put in where no setting can do it. */
  readonly adds: readonly Add[];
}

/** The score of settings as the pipeline has it. */
export function scoreOf(models: readonly ChainModel[], aim: Aim): Score {
  return models.reduce((sum, model): Score => {
    const over = model.bearings.reduce((all, { room }) => all + Math.max(0, aim.headroom - room), 0);
    const noise = model.hisses.reduce((all, { ratio }) => all + ratio, 0);
    return addScores(sum, { ...NO_SCORE, over, noise, off: offTarget(model.peak, aim) });
  }, NO_SCORE);
}

const WORSE: Readonly<Record<Outcome['verdict'], number>> = { clean: 0, faulty: 1, silent: 2, unsafe: 3 };

/** The sums have said what the pipeline says: there is nothing to solve anew. */
const isForeseen = (sums: Score, proved: Score): boolean =>
  Math.abs(sums.over - proved.over) < 0.01 &&
  Math.abs(sums.off - proved.off) < 0.01 &&
  Math.abs(sums.noise - proved.noise) <= 0.01 * proved.noise;

interface Stand {
  readonly rig: Rig;
  readonly facts: Facts;
  readonly outcome: Outcome;
}

function stand(rig: Rig): Stand {
  const facts = allFacts(rig);
  return { rig, facts: facts[0], outcome: bareOutcomeFrom(facts) };
}

/** Another chain may be the loudest once knobs are turned: so often it is solved anew. */
const MOST_TURNS = 3;

/**
 * Every knob and switch with a gain set so that peaks come to the target with the least noise and the wanted room at every stage.
 * By sums of what the engine has worked out, and proved by the whole pipeline: what would make the verdict worse is not given. Of more than
 * `mostShared` ways to set what chains share the coarse ones are weighed, then those around the best.
 */
export function planGains(rig: Rig, aim: Aim = USUAL_AIM, mostShared = MOST_SHARED): GainPlan {
  const begun = stand(rig);
  let at = begun;
  let exact = true;
  const settings = new Map<string, PlannedSetting>();
  for (let turn = 0; turn < MOST_TURNS; turn += 1) {
    const models = chainModels(at.facts);
    const solved = solve(models, aim, mostShared);
    const controls = new Map(models.flatMap((model) => model.controls.map((c) => [keyOf(c), c] as const)));
    const moved = [...solved.chosen].flatMap(([key, place]): PlannedSetting[] => {
      const control = controls.get(key);
      if (!control || Math.abs(place.decibels - control.stands) < 1e-9) return [];
      const { part, setting } = control;
      return [{ part, setting, stands: control.stands, option: place.option, decibels: place.decibels }];
    });
    const along = broughtAlong(alikeControls(at.facts), solved.chosen, controls);
    if (moved.length + along.length === 0) break;
    const next = stand([...moved, ...along].map(editOf).reduce(applyEdit, at.rig));
    if (WORSE[next.outcome.verdict] > WORSE[begun.outcome.verdict]) break;
    const proved = scoreOf(chainModels(next.facts), aim);
    if (turn > 0 && moved.length > 0 && compareScores(proved, scoreOf(models, aim)) >= 0) break;
    ({ exact } = solved);
    for (const one of [...moved, ...along]) {
      const key = `${one.part} ${one.setting}`;
      settings.set(key, { ...one, stands: settings.get(key)?.stands ?? one.stands });
    }
    at = next;
    // A side that was lost beside the other is seen only now.
    if (isForeseen(solved.score, proved) && (along.length > 0 || alikeControls(at.facts).every(isAlike)))
      break;
  }
  const turned = [...settings.values()].filter(({ stands, decibels }) => Math.abs(stands - decibels) > 1e-9);
  return {
    aim,
    settings: turned,
    edits: turned.map(editOf),
    rig: at.rig,
    outcome: at.outcome,
    exact,
    adds: addsFor(at.facts, aim),
  };
}

const isAlike = ({ one, other }: Alike): boolean => Math.abs(one.stands - other.stands) < 1e-9;

/** Of a stereo source the other side's knobs, brought to where those of the loudest stand then; what another source goes by is left alone. */
function broughtAlong(
  alike: readonly Alike[],
  chosen: Chosen,
  planned: ReadonlyMap<string, Control>,
): PlannedSetting[] {
  return alike.flatMap(({ one, other }): PlannedSetting[] => {
    const wanted = chosen.get(keyOf(one))?.decibels ?? one.stands;
    const place = other.places.find(({ decibels }) => Math.abs(decibels - wanted) < 1e-9);
    if (!place || planned.has(keyOf(other)) || Math.abs(wanted - other.stands) < 1e-9) return [];
    const { part, setting, stands } = other;
    return [{ part, setting, stands, option: place.option, decibels: place.decibels }];
  });
}

const editOf = ({ part, setting, option }: PlannedSetting): RigEdit => ({
  kind: 'set',
  part,
  setting,
  option,
});
