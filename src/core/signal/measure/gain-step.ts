import { powerToDb, quantile } from './decibels';

/** A lasting change of gain: what is said and what lies under it move together. */
export interface GainStep {
  readonly atSeconds: number;
  /** Above nothing where it grows. */
  readonly db: number;
}

/** A window of the envelope, seconds; a stretch in which speech and its pauses are read, and from one to the next, in windows. */
const WINDOW_SECONDS = 0.1;
const [STRETCH, STEP] = [40, 10];
/** The quietest and the loudest share of a stretch that are its pauses and its speech; so far apart at the least, dB. Our own. */
const [QUIET, LOUD, SPEAKS] = [0.08, 0.9, 12];
/** Speech and pauses move by the same, within so much, dB; a talker moves one alone. Our own. */
const ALIKE = 5;
/** So many stretches on either side are compared, at the least and at the most: that the change lasts, and not over an hour’s talk. */
const [FEWEST, MOST] = [2, 12];

interface Stretch {
  readonly from: number;
  readonly floor: number;
  readonly speech: number;
}

function stretchesOf(windows: Float32Array): Stretch[] {
  const found: Stretch[] = [];
  for (let from = 0; from + STRETCH <= windows.length; from += STEP) {
    const sorted = windows.slice(from, from + STRETCH).sort();
    const [floor, speech] = [powerToDb(quantile(sorted, QUIET)), powerToDb(quantile(sorted, LOUD))];
    if (Number.isFinite(floor) && speech - floor >= SPEAKS) found.push({ from, floor, speech });
  }
  return found;
}

const median = (values: readonly number[]): number =>
  quantile(
    values.toSorted((a, b) => a - b),
    0.5,
  );

/** The largest lasting change of gain, from windows of a tenth of a second; none where speech and pauses do not move together. */
export function gainStepOf(windows: Float32Array): GainStep | null {
  const all = stretchesOf(windows);
  let best: GainStep | null = null;
  for (let at = FEWEST; at + FEWEST <= all.length; at += 1) {
    const [before, after] = [all.slice(Math.max(0, at - MOST), at), all.slice(at, at + MOST)];
    const move = (key: 'floor' | 'speech') =>
      median(after.map((one) => one[key])) - median(before.map((one) => one[key]));
    const [floor, speech] = [move('floor'), move('speech')];
    const db = Math.sign(floor) * Math.min(Math.abs(floor), Math.abs(speech));
    if (Math.sign(floor) !== Math.sign(speech) || Math.abs(floor - speech) > ALIKE) continue;
    if (best && Math.abs(db) <= Math.abs(best.db)) continue;
    // Between the middles of the stretches beside the change.
    const middle = ((all[at - 1] as Stretch).from + (all[at] as Stretch).from + STRETCH) / 2;
    best = { atSeconds: middle * WINDOW_SECONDS, db };
  }
  return best;
}
