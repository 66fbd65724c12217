import type { PolarPattern } from '../../parts';

/**
 * Sensitivity of a first-order microphone against its axis, a + b·cos θ; a shotgun as its capsule, which is what it is at low frequencies.
 * Textbook values.
 */
const FIRST_ORDER: Readonly<Record<PolarPattern, readonly [a: number, b: number]>> = {
  omni: [1, 0],
  cardioid: [0.5, 0.5],
  supercardioid: [0.37, 0.63],
  hypercardioid: [0.25, 0.75],
  'figure-8': [0, 1],
  shotgun: [0.25, 0.75],
};

/** Gain against the axis at so many degrees off it; never negative: polarity is of no account where phase is unknown. */
export function patternGain(pattern: PolarPattern, degrees: number): number {
  const [a, b] = FIRST_ORDER[pattern];
  return Math.abs(a + b * Math.cos((degrees * Math.PI) / 180));
}

/** Share of a diffuse sound’s power that is taken, against an omni: a² + b²/3. */
export function diffuseShare(pattern: PolarPattern): number {
  const [a, b] = FIRST_ORDER[pattern];
  return a * a + (b * b) / 3;
}

/** How much farther than an omni it may stand for the same share of room. */
export const distanceFactor = (pattern: PolarPattern): number => 1 / Math.sqrt(diffuseShare(pattern));

/** Degrees at which it is deafest; straight behind for an omni, to which all are alike. */
export function deafestAt(pattern: PolarPattern): number {
  const [a, b] = FIRST_ORDER[pattern];
  return b === 0 || a >= b ? 180 : (Math.acos(-a / b) * 180) / Math.PI;
}
