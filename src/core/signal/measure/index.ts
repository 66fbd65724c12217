export type { FrameMeasures, Spectrum } from './by-frames';
export type { Feed, Measures } from './measure';
export { halfMeasuring, measuring, together } from './measure';
export type { Piece, TakeShape } from './stage';
export type { HopMeasures } from './by-hops';
export type { Clipping } from './clipping';
export type { Echo } from './echo';
export type { Hum } from './hum';
export type { Image, ImageKind } from './image';
