export type { Way, WayOut, WayStep } from './way-out';
export { MOST_STEPS } from './limits';
export { wayOut, wayOutSteps } from './way-out';
