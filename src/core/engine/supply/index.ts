export { outletAt, suppliedBy } from './power';
export type { FarPort, Walk } from './walk';
export { brokenAt, farPort } from './walk';
