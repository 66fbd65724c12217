import { powerToDb, quantile } from './decibels';
import { pausesOf } from './pauses';

/** Tenths of a second: the shortest pause in which a rise can be seen, its beginning that is left to the room, and what is compared. */
const [SHORTEST, DECAY, COMPARED] = [12, 3, 3];
/** How far under speech a pause lies, dB. */
const UNDER = 12;

/** How far the noise rises within long pauses, dB, at the median, from windows of a tenth of a second: an automatic gain opens when nobody speaks. None without such a pause. */
export function riseInPauses(windows: Float32Array): number | null {
  const most = 10 ** ((pausesOf(windows).activeDbfs - UNDER) / 10);
  const rises: number[] = [];
  const mean = (from: number, to: number) =>
    windows.subarray(from, to).reduce((a, b) => a + b, 0) / (to - from);
  for (let i = 0; i < windows.length; i += 1) {
    if ((windows[i] as number) > most || i === 0) continue;
    let j = i;
    while (j < windows.length && (windows[j] as number) <= most) j += 1;
    if (j - i >= SHORTEST && (windows[i - 1] as number) > most) {
      rises.push(powerToDb(mean(j - COMPARED - 1, j - 1)) - powerToDb(mean(i + DECAY, i + DECAY + COMPARED)));
    }
    i = j;
  }
  const known = rises.filter(Number.isFinite).sort((a, b) => a - b);
  return known.length === 0 ? null : quantile(known, 0.5);
}
