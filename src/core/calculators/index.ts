import type { Calculator } from './calculator';
import { LEAD_CALCULATORS } from './leads';
import { LEVEL_CALCULATORS } from './levels';
import { POWER_CALCULATORS } from './power';

export type { Calculator, Field, Result, Values } from './calculator';
export { troubleWith } from './calculator';
export { preferred, SERIES } from './preferred';

/** Every calculator, in the order in which they are shown. */
export const CALCULATORS: readonly Calculator[] = [
  ...LEVEL_CALCULATORS,
  ...LEAD_CALCULATORS,
  ...POWER_CALCULATORS,
];
