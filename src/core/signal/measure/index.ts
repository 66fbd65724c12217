export type { Measures, Spectrum } from './measure';
export { measuring } from './measure';
export type { Piece, TakeShape } from './stage';
export type { Clipping } from './clipping';
export type { Echo } from './echo';
export type { Hum } from './hum';
export type { Image, ImageKind } from './image';
