export { cautionsFor } from './cautions';
export { chosenIn, turnedIn } from './settings';
export type { PluggingStep } from './steps';
export { pluggingSteps } from './steps';
