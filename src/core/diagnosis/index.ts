export type { Explanation, Reading } from './explain';
export { distanceOf, explain } from './explain';
export type { Features } from './features';
export { featuresOf } from './from-take';
export { predict } from './predict';
export { singleChanges } from './changes';
export type { HeldStretch } from './stretches';
export { heldAgainst, sideAt } from './stretches';
