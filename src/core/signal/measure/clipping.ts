import { gainToDb } from '../../units';
import { after } from './frames';
import { growing } from './growing';
import type { Hops } from './hops';
import { hopOf, type TakeShape } from './shape';
import type { Stage } from './stage';

/** Flat tops: at full scale, or below it where something before the recorder clipped. */
export interface Clipping {
  readonly count: number;
  /** Where the tops are cut off. */
  readonly ceilingDbfs: number;
  readonly channel: number;
  /** The first of every tenth of a second that has any, seconds; of very many as many as are kept, evenly from the first to the end. */
  readonly atSeconds: readonly number[];
}

/** Samples on one level that make a top flat: common practice of meters, three. */
const FLAT_FROM = 3;
/** Full scale, within two steps of 16 bits. */
const FULL = 1 - 2 / 32_768;
/** A top counts as flat within two steps of 16 bits, or 0.4 % of it: noise added after the clipping. Our own. */
const [STEP, WITHIN] = [2 / 32_768, 0.004];
/** A rounded top falls four times its own rise over as far again to either side; a cut one far more. Our own. */
const KINK = 12;
/** Only tops within 1 dB of the loudest so far; nothing under −40 dBFS. */
const [NEAR_TOP, LEAST] = [0.891, 0.01];
/** Tops on one level, dB, and so many of them: one may be chance. */
const [LEVEL_WIDTH, ENOUGH] = [0.25, 3];
/** Longest flat top that is looked at in one, samples; the longest reach to a side. */
const [LONGEST, REACH] = [4096, 64];
/** A mark to so many seconds, so that they reach to the end of a take; no more of them than this. */
const [MARK_SECONDS, MARKS] = [0.1, 2000];

interface Top {
  readonly level: number;
  readonly at: number;
}

/** Samples that were kept, from sample `start` of the take on, and the largest size of every hop of the take. */
interface Stretch {
  readonly x: Float32Array;
  readonly start: number;
  readonly tops: Float32Array;
  readonly hop: number;
}

/** Flat tops that begin in samples `from` to `to`; gives back where the search got to. Hops that come nowhere near are passed over. */
function flatTops(
  stretch: Stretch,
  [from, to]: readonly [number, number],
  least: number,
  found: (at: number, level: number) => void,
): number {
  const { start, tops, hop } = stretch;
  let i = from;
  while (i < to) {
    const h = Math.floor((start + i) / hop);
    const end = Math.min(to, (h + 1) * hop - start);
    i = (tops[h] ?? 0) < least ? end : flatIn(stretch.x, [i, end], least, found);
  }
  return i;
}

function flatIn(
  x: Float32Array,
  [from, to]: readonly [number, number],
  least: number,
  found: (at: number, level: number) => void,
): number {
  let i = from;
  for (; i < to; i += 1) {
    const first = x[i] as number;
    if (first < least && first > -least) continue;
    const size = Math.abs(first);
    const within = Math.max(STEP, size * WITHIN);
    let [j, low, high] = [i + 1, first, first];
    for (; j < x.length && j - i < LONGEST; j += 1) {
      const v = x[j] as number;
      if (Math.abs(v - first) > within) break;
      if (v < low) low = v;
      if (v > high) high = v;
    }
    const count = j - i;
    if (count >= FLAT_FROM && isCut(x, i, j, Math.sign(first), high - low)) found(i, size);
    i = j - 1;
  }
  return i;
}

function isCut(x: Float32Array, i: number, j: number, sign: number, spread: number): boolean {
  const top = sign * (x[(i + j) >> 1] as number);
  if (top >= FULL) return true;
  const reach = Math.min(REACH, Math.max(2, (j - i) >> 1));
  const beside = Math.max(sign * (x[i - reach] ?? 0), sign * (x[j - 1 + reach] ?? 0));
  return top - beside > KINK * Math.max(spread, STEP);
}

/** The level on which most of the tops lie that reach the channel’s own peak; undefined where nothing is cut. */
function ceilingOf(tops: readonly Top[], peak: number): readonly Top[] {
  const near = tops.filter(({ level }) => gainToDb(peak) - gainToDb(level) <= LEVEL_WIDTH);
  const full = near.filter(({ level }) => level >= FULL);
  return full.length > 0 || near.length >= ENOUGH ? near : [];
}

function marksOf(seconds: readonly number[]): number[] {
  let next = -Infinity;
  const marks = seconds.filter((at) => {
    if (at < next) return false;
    next = at + MARK_SECONDS;
    return true;
  });
  const every = Math.max(1, Math.ceil(marks.length / MARKS));
  return marks.filter((_, i) => i % every === 0);
}

/** Finds flat tops in the channel that has most of them. */
export function clipping({ sampleRate, channels }: TakeShape): Stage<Clipping | null> {
  const margin = REACH + LONGEST;
  const hop = hopOf(sampleRate);
  const each = Array.from({ length: channels }, () => ({
    kept: new Float32Array(0),
    start: 0,
    done: 0,
    peak: 0,
    hopTops: growing(),
    tops: [] as Top[],
  }));
  const look = (one: (typeof each)[number], samples: Float32Array, last: boolean) => {
    const x = after(one.kept, samples);
    const from = one.done - one.start;
    const to = last ? x.length : Math.max(from, x.length - margin);
    const found = (at: number, level: number) => one.tops.push({ at: one.start + at, level });
    const least = Math.max(LEAST, one.peak * NEAR_TOP);
    const stretch = { x, start: one.start, tops: one.hopTops.all(), hop };
    one.done = one.start + flatTops(stretch, [from, to], least, found);
    const keep = Math.max(0, Math.min(x.length, one.done - one.start) - REACH);
    one.kept = x.slice(keep);
    one.start += keep;
  };
  return {
    push: (piece, hops) => {
      each.forEach((one, i) => {
        for (const top of (hops[i] as Hops).tops) {
          one.hopTops.add(top);
          if (top > one.peak) one.peak = top;
        }
        look(one, piece[i] as Float32Array, false);
      });
    },
    finish: () => {
      each.forEach((one) => look(one, new Float32Array(0), true));
      const cut = each.map(({ tops, peak }) => ceilingOf(tops, peak));
      const channel = cut.reduce((best, tops, i) => (tops.length > (cut[best]?.length ?? 0) ? i : best), 0);
      const tops = cut[channel] ?? [];
      if (tops.length === 0) return null;
      const sorted = tops.map(({ level }) => level).sort((a, b) => a - b);
      return {
        count: tops.length,
        ceilingDbfs: gainToDb(sorted[sorted.length >> 1] ?? 0),
        channel,
        atSeconds: marksOf(tops.map(({ at }) => at / sampleRate)),
      };
    },
  };
}
