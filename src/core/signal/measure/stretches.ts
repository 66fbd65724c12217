import { gainToDb } from '../../units';
import { powerToDb, quantile } from './decibels';
import type { Measures } from './measure';

/** What was asked for in a stretch of a guided take. */
export type StretchKind = 'silence' | 'usual' | 'loudest' | 'tap' | 'play' | 'pull' | 'walk';

/** A stretch of a take, seconds. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** What lies in a stretch, at the louder side, dBFS. RMS of tenths of a second but for the peak. */
export interface StretchLevel {
  readonly meanDbfs: number;
  readonly mostDbfs: number;
  /** Its quietest tenths of a second: between words, where somebody speaks on. */
  readonly quietDbfs: number;
  /** Largest sample. */
  readonly peakDbfs: number;
  /** Of two sides the one that has it, 20 dB over the other. */
  readonly side: 'left' | 'right' | 'both';
}

const WINDOWS_A_SECOND = 10;
const ONE_SIDE = 20;
const QUIET = 0.03;

const cutOf = <T extends Float32Array>(values: T, from: number, to: number) =>
  values.subarray(Math.floor(from), Math.max(Math.floor(from) + 1, Math.floor(to)));

/** Largest size of a sample in every bin of the outline within a stretch, all sides. */
export function peaksIn({ outline, sampleRate }: Measures, { from, to }: Stretch): Float32Array {
  const bins = sampleRate / outline.hop;
  const sides = outline.channels.map((pairs) =>
    cutOf(pairs, 2 * Math.floor(from * bins), 2 * Math.floor(to * bins)),
  );
  const count = Math.max(0, ...sides.map(({ length }) => length >> 1));
  return Float32Array.from({ length: count }, (_, i) =>
    Math.max(...sides.map((pairs) => Math.max(-(pairs[2 * i] ?? 0), pairs[2 * i + 1] ?? 0))),
  );
}

/** Seconds from one bin of the outline to the next. */
export const outlineStep = ({ outline, sampleRate }: Measures): number => outline.hop / sampleRate;

export function levelIn(measures: Measures, stretch: Stretch): StretchLevel {
  const sides = measures.windows.map((powers) =>
    cutOf(powers, stretch.from * WINDOWS_A_SECOND, stretch.to * WINDOWS_A_SECOND),
  );
  const mean = (powers: Float32Array) => powers.reduce((a, b) => a + b, 0) / Math.max(1, powers.length);
  const means = sides.map((powers) => powerToDb(mean(powers)));
  const louder = means.reduce((best, db, i) => (db > (means[best] ?? -Infinity) ? i : best), 0);
  const powers = sides[louder] ?? new Float32Array();
  const [left = -Infinity, right = left] = means;
  const apart = left - right;
  return {
    meanDbfs: means[louder] ?? -Infinity,
    mostDbfs: powerToDb(powers.reduce((a, b) => Math.max(a, b), 0)),
    quietDbfs: powers.length === 0 ? -Infinity : powerToDb(quantile(powers.toSorted(), QUIET)),
    peakDbfs: gainToDb(peaksIn(measures, stretch).reduce((a, b) => Math.max(a, b), 0)),
    side: apart > ONE_SIDE ? 'left' : apart < -ONE_SIDE ? 'right' : 'both',
  };
}
