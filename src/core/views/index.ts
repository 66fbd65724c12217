export type { ContactView, JointView } from './joint-view';
export { jointViews } from './joint-view';
export type { Lane, Rung } from './ladder';
export { ladder, wayThrough } from './ladder';
export type { FeedView, HumView, NetCharge, PowerView, SupplyView } from './power-view';
export { humsAfter, powerView, powerViewOf } from './power-view';
export type { LoopView, ReturnsView } from './returns-view';
export { returnsView, returnsViewOf } from './returns-view';
