import type { Limit, Measured, Origin, Severity } from '../../checks/finding';

/** What a take shows, in the form of a rig’s findings: a code, measured values, the limit of the first of them and its origin. */
export interface TakeFinding {
  readonly code: TakeCode;
  readonly severity: Severity;
  readonly values: readonly Measured[];
  readonly limit?: Limit;
  readonly origin: Origin;
  /** Where in the take, seconds; the first of them. */
  readonly atSeconds?: readonly number[];
}

export const TAKE_CODES = [
  'take-silent',
  'take-clips',
  'take-hot',
  'take-quiet',
  'take-noisy',
  'take-hums',
  'take-whines',
  'take-one-side',
  'take-inverted',
  'take-sides-apart',
  'take-echoes',
  'take-roomy',
  'take-drops',
  'take-clicks',
  'take-thumps',
  'take-rumbles',
  'take-narrow',
  'take-low-rate',
  'take-pumps',
  'take-gain-moves',
  'take-offset',
] as const;
export type TakeCode = (typeof TAKE_CODES)[number];
