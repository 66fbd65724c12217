export type { Way, WayOut, WayStep } from './way-out';
export { MOST_STEPS, wayOut, wayOutSteps } from './way-out';
