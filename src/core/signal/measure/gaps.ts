import { quantile } from './decibels';

/** A hole in the sound. */
export interface Dropout {
  readonly atSeconds: number;
  readonly lengthMs: number;
}

/** A channel by its milliseconds: mean squares, those of the second difference, and the mean square of what is spoken. */
export interface Milliseconds {
  readonly powers: Float32Array;
  readonly rough: Float32Array;
  readonly active: number;
}

/** Shortest and longest that is a hole and not a pause, ms. Our own. */
const [SHORTEST, LONGEST] = [3, 400];
/** A hole lies so far under what comes before and after it, dB, and is as loud as this there at least, dBFS. Our own. */
const [DEPTH, LOUD] = [30, -45];
/** Before and after are so many ms long, right beside the hole: it is cut, it does not die away. */
const BESIDE = 3;
/** A hole has less hiss than the take’s own pauses, by this, dB. Our own. */
const UNDER_FLOOR = 8;
/** Where pauses hold nothing at all, a hole is what is cut off and back at full voice: within so much of the mean, dB. Our own. */
const AT_FULL_VOICE = 6;
const NOTHING = 1e-12;

const ratio = (db: number): number => 10 ** (db / 10);

/**
 * Holes in a channel. What is looked for is less hiss than in the pauses: low noise crosses zero for milliseconds, hiss does not.
 */
export function gapsOf({ powers, rough, active }: Milliseconds, msPerHop: number): Dropout[] {
  const found: Dropout[] = [];
  const floor = quantile(rough.toSorted(), 0.05);
  const under = floor > NOTHING ? floor / ratio(UNDER_FLOOR) : NOTHING;
  const loud = floor > NOTHING ? ratio(LOUD) : active / ratio(AT_FULL_VOICE);
  const beside = floor > NOTHING ? BESIDE : 1;
  for (let i = BESIDE; i < powers.length - BESIDE; i += 1) {
    if ((rough[i] as number) > under || (rough[i - 1] as number) <= under) continue;
    let j = i;
    while (j < powers.length && (rough[j] as number) <= under) j += 1;
    const length = (j - i) * msPerHop;
    if (
      length >= SHORTEST &&
      length <= LONGEST &&
      j < powers.length - BESIDE &&
      isCut(powers, [i, j], beside, loud)
    ) {
      found.push({ atSeconds: (i * msPerHop) / 1000, lengthMs: length });
    }
    i = j;
  }
  return found;
}

/** Loud right up to the hole and right after it. The millisecond that is half inside counts with what is beside. */
function isCut(
  powers: Float32Array,
  [from, to]: readonly [number, number],
  beside: number,
  loud: number,
): boolean {
  const inside = powers.subarray(from, to).reduce((a, b) => Math.max(a, b), 0);
  const least = Math.max(loud, inside * ratio(DEPTH));
  const mean = (a: number, b: number) => powers.subarray(a, b).reduce((x, y) => x + y, 0) / (b - a);
  return mean(from - beside, from) >= least && mean(to, to + beside) >= least;
}
