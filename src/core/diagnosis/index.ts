export type { Explanation, Reading } from './explain';
export { distanceOf, explain } from './explain';
export type { Features } from './features';
export { featuresOf } from './from-take';
export { predict } from './predict';
export { standInPlan } from './stand-in-plan';
export { singleChanges } from './changes';
export type { HeldStretch } from './stretches';
export { heldAgainst, sideAt } from './stretches';
