import { LEAST_HEADROOM, TARGET_PEAK } from '../settings/targets';

/** What is wanted of levels. */
export interface Aim {
  /** Peaks at the converter, dBFS. */
  readonly target: number;
  /** Room under every clip level, dB. */
  readonly headroom: number;
  /** Which knobs come last: the recorder's, or the source's own; none where only noise decides. */
  readonly lean?: 'low-recorder' | 'low-source';
}

/** Common practice: peaks near −12 dBFS, 6 dB of room for a laugh. */
export const USUAL_AIM: Aim = { target: TARGET_PEAK, headroom: LEAST_HEADROOM };

/** Peaks this near to the target are at it, dB. */
export const NEAR = 1;

/** What settings come to, the first difference deciding: too little room, off the target, what an aim leans on, noise over sound, knobs turned. */
export interface Score {
  readonly over: number;
  readonly off: number;
  readonly lean: number;
  readonly noise: number;
  readonly moved: number;
}

export const NO_SCORE: Score = { over: 0, off: 0, lean: 0, noise: 0, moved: 0 };

export const addScores = (a: Score, b: Score): Score => ({
  over: a.over + b.over,
  off: a.off + b.off,
  lean: a.lean + b.lean,
  noise: a.noise + b.noise,
  moved: a.moved + b.moved,
});

/** Figures that differ by less are the same. */
export const SAME = 1e-9;

/** Negative where `a` is better. Noise that differs by less than a millionth is the same. */
export function compareScores(a: Score, b: Score): number {
  for (const key of ['over', 'off', 'lean'] as const)
    if (Math.abs(a[key] - b[key]) > SAME) return a[key] - b[key];
  if (Math.abs(a.noise - b.noise) > 1e-6 * Math.max(a.noise, b.noise)) return a.noise - b.noise;
  return a.moved - b.moved;
}

/** How far peaks are off a target, dB; 0 where they are near enough. */
export const offTarget = (peak: number, { target }: Aim): number =>
  Math.max(0, Math.abs(peak - target) - NEAR);
