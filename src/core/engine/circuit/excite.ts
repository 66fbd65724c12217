import type { Branch } from './nets';
import { times, type Excitation, type Phasor } from './system';

export type SoundSource = Extract<Branch, { kind: 'signal' | 'electret' }>;
export type Exciter = SoundSource | Extract<Branch, { kind: 'drive' }>;
export type SenseBranch = Extract<Branch, { kind: 'sense' }>;

/** The rated load in parallel with the capsule's own resistance: what the sensitivity was measured across. */
export const electretCurrent = (source: Extract<Branch, { kind: 'electret' }>): number =>
  1 / source.capsule.ratedLoad + 1 / source.capsule.acResistance;

/** One volt of an exciter; positive pressure makes `from` positive. */
export function excite(exciter: Exciter): Excitation {
  const unit: Phasor = { re: 1, im: 0 };
  if (exciter.kind !== 'electret') return { rows: [[exciter, unit]] };
  const current = times(unit, electretCurrent(exciter));
  return {
    nets: [
      [exciter.from, current],
      [exciter.to, times(current, -1)],
    ],
  };
}

export const isExciter = (branch: Branch): branch is Exciter =>
  branch.kind === 'signal' || branch.kind === 'electret' || branch.kind === 'drive';
