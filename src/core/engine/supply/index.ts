export { outletAt, suppliedBy } from './power';
export type { FarPort, Walk } from './walk';
export { farPort } from './walk';
