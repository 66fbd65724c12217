import { powerToDb, quantile } from './decibels';

/** Milliseconds of a window; a fall that rises again by more than this is none, dB. */
const [WINDOW, RISES] = [30, 3];
/** A fall is read from this under its beginning on, over at least so much, and stays so far over the pauses, dB. */
const [FROM, LEAST, OVER_FLOOR] = [5, 10, 6];
/** It begins within so much of the voice, dB. */
const LOUD_WITHIN = 12;
/** So many falls at the least; the time under which this share of them lies. Our own. */
const [FEWEST, SHARE] = [2, 0.25];

/** dB of windows. */
function levelsOf(powers: Float32Array, hopMs: number): Float64Array {
  const size = Math.max(1, Math.round(WINDOW / hopMs));
  return Float64Array.from({ length: Math.floor(powers.length / size) }, (_, w) =>
    powerToDb(powers.subarray(w * size, (w + 1) * size).reduce((a, b) => a + b, 0) / size),
  );
}

/** Slope of a straight line through levels from `a` to `b`, dB a window, by least squares. */
function slopeOf(levels: Float64Array, a: number, b: number): number {
  const [n, middle] = [b - a, (a + b - 1) / 2];
  let [top, bottom] = [0, 0];
  for (let i = a; i < b; i += 1) {
    top += (i - middle) * (levels[i] as number);
    bottom += (i - middle) ** 2;
  }
  return n < 2 ? 0 : top / bottom;
}

/** Seconds that each fall would take for 60 dB. */
function fallsIn(levels: Float64Array, loud: number, floor: number): number[] {
  const found: number[] = [];
  for (let i = 0; i < levels.length - 1; i += 1) {
    if ((levels[i] as number) < loud || (levels[i + 1] as number) > (levels[i] as number)) continue;
    let [end, least] = [i, levels[i] as number];
    while (end + 1 < levels.length && (levels[end + 1] as number) <= least + RISES && least > floor) {
      end += 1;
      least = Math.min(least, levels[end] as number);
    }
    const top = (levels[i] as number) - FROM;
    let from = i;
    while (from < end && (levels[from] as number) > top) from += 1;
    let to = end;
    while (to > from && (levels[to] as number) < floor) to -= 1;
    const slope = slopeOf(levels, from, to + 1);
    if ((levels[from] as number) - (levels[to] as number) >= LEAST && slope < 0) {
      found.push((-60 / slope) * (WINDOW / 1000));
    }
    i = Math.max(i, end - 1);
  }
  return found;
}

/**
 * Seconds in which the room dies away by 60 dB, read from how a voice, a tap or a clap falls into the pauses: none falls faster than its room, so
 * the faster of them tell of it. A dry voice has about a quarter of a second of its own. None where too few falls are deep enough. About ±30 %.
 */
export function roomOf(
  powers: Float32Array,
  hopMs: number,
  active: number,
  floor: number | undefined,
): number | null {
  const levels = levelsOf(powers, hopMs);
  const quiet = Math.max(floor ?? -Infinity, active - 60) + OVER_FLOOR;
  const falls = fallsIn(levels, active - LOUD_WITHIN, quiet).sort((a, b) => a - b);
  return falls.length < FEWEST ? null : quantile(falls, SHARE);
}
