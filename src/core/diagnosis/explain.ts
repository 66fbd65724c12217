import { allFacts } from '../engine';
import { applyEdit, type Rig, type RigEdit } from '../rig';
import { singleChanges } from './changes';
import type { Features } from './features';
import { predict } from './predict';

/** What would make the take as it is: the rig as laid out, or one of these changes, which all predict the same. */
export interface Explanation {
  /** None: the rig as it is laid out. */
  readonly edits: readonly RigEdit[];
  readonly predicted: Features;
  /** How far it lies from what was measured; 0 is the same. */
  readonly distance: number;
}

export interface Reading {
  readonly predicted: Features;
  readonly measured: Features;
  /** Nearest first. */
  readonly explanations: readonly Explanation[];
  /** How many single changes were worked out. */
  readonly tried: number;
}

/** A change must come nearer than the rig as laid out by this. */
const A_CHANGE_COSTS = 1;
/** An echo under this may be missed in a take, dB. */
const FAINT_ECHO = -20;
/** That costs less than a change: what a take may well miss is no reason to think of one. */
const MISSED_ECHO = 0.5;
/** A change of less than this in what a take shows is no other take. */
const HEARD = 0.5;
/** Explanations that predict the same within this are one. */
const SAME = 0.05;

/** What lies under this is nothing to a file of 16 bits, dBFS. */
const NOTHING = -96;

const between = (a: number, b: number, unit: number, most: number): number => {
  const [x, y] = [Math.max(a, NOTHING), Math.max(b, NOTHING)];
  return Math.min(most, Math.abs(x - y) / unit);
};

/** Sides: the same word; a mono file and two equal sides say the same. */
function imageDistance(a: Features['image'], b: Features['image']): number {
  const same = (x: Features['image']) => (x === 'dual-mono' ? 'mono' : x);
  return same(a) === same(b) ? 0 : 12;
}

function echoDistance(a: Features['echo'], b: Features['echo']): number {
  // One so weak may go unnoticed.
  if (!a || !b) return a === b ? 0 : (a ?? b ?? { levelDb: 0 }).levelDb < FAINT_ECHO ? MISSED_ECHO : 8;
  return Math.min(8, Math.abs(a.delayMs - b.delayMs) / 40 + Math.abs(a.levelDb - b.levelDb) / 6);
}

/** Noise: the room may add to what the gear alone has, and is there in every take. */
const noiseDistance = (predicted: number | null, measured: number | null): number =>
  predicted === null || measured === null
    ? 0
    : measured < predicted
      ? between(predicted, measured, 4, 8)
      : between(predicted, measured, 8, 5);

/** Hum is there or not; how loud is typical, within ten dB. */
function humDistance(predicted: number, measured: number): number {
  const [a, b] = [predicted > -90, measured > -90];
  if (a !== b) return Math.min(6, Math.max(predicted, measured) > -75 ? 6 : 2);
  return a ? between(predicted, measured, 8, 8) : 0;
}

function clipDistance(predicted: Features, measured: Features): number {
  const [a, b] = [predicted.ceiling, measured.ceiling];
  if ((a === null) !== (b === null)) return predicted.over > -3 && predicted.over < 3 ? 3 : 8;
  return a !== null && b !== null ? between(a, b, 1.5, 8) : 0;
}

/** How far two takes lie apart. Weights are our own: what anybody hears counts more than a few dB. */
export function distanceOf(predicted: Features, measured: Features): number {
  const silent = predicted.image === 'silent' || measured.image === 'silent';
  if (silent) return predicted.image === measured.image ? 0 : 30;
  return (
    imageDistance(predicted.image, measured.image) +
    between(predicted.active, measured.active, 2, 12) +
    noiseDistance(predicted.noise, measured.noise) +
    humDistance(predicted.hum, measured.hum) +
    clipDistance(predicted, measured) +
    echoDistance(predicted.echo, measured.echo)
  );
}

const isSame = (a: Features, b: Features): boolean => distanceOf(a, b) < SAME && distanceOf(b, a) < SAME;

/** What the rig predicts, and what its single changes do: those that predict the same together. */
interface Outlook {
  readonly predicted: Features;
  readonly changed: readonly { readonly edits: readonly RigEdit[]; readonly predicted: Features }[];
  readonly tried: number;
}

function lookAhead(rig: Rig, recorder: string): Outlook {
  const predicted = predict(allFacts(rig)[0], recorder);
  const changed: { edits: RigEdit[]; predicted: Features }[] = [];
  const changes = singleChanges(rig);
  for (const edit of changes) {
    const one = predict(allFacts(applyEdit(rig, edit))[0], recorder);
    // What changes nothing that is heard explains nothing.
    if (distanceOf(one, predicted) < HEARD) continue;
    const alike = changed.find((f) => isSame(f.predicted, one));
    if (alike) alike.edits.push(edit);
    else changed.push({ edits: [edit], predicted: one });
  }
  return { predicted, changed, tried: changes.length };
}

const known = new WeakMap<Rig, Map<string, Outlook>>();

/** The same, once for a rig: every further take is held against what is known. */
function outlookOf(rig: Rig, recorder: string): Outlook {
  const of = known.get(rig) ?? new Map<string, Outlook>();
  known.set(rig, of);
  const found = of.get(recorder) ?? lookAhead(rig, recorder);
  of.set(recorder, found);
  return found;
}

/**
 * Compares a take with what the rig predicts, and with what it would predict with each single setting or joint changed. The nearest come first;
 * changes that predict the same cannot be told apart by a take and are one explanation.
 */
export function explain(rig: Rig, recorder: string, measured: Features): Reading {
  const { predicted, changed, tried } = outlookOf(rig, recorder);
  const asLaidOut: Explanation = { edits: [], predicted, distance: distanceOf(predicted, measured) };
  const others = changed.map((one): Explanation => ({
    ...one,
    distance: distanceOf(one.predicted, measured) + A_CHANGE_COSTS,
  }));
  return {
    predicted,
    measured,
    tried,
    explanations: [asLaidOut, ...others].sort((a, b) => a.distance - b.distance),
  };
}
