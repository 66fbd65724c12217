export type {
  DbFs,
  DbSpl,
  DbU,
  DbV,
  DbVPerPa,
  Decibels,
  Farads,
  Hertz,
  Metres,
  Milliamps,
  Milliseconds,
  Millimetres,
  Ohms,
  Volts,
} from './units';
export {
  dbFs,
  dbSpl,
  dbU,
  dbV,
  dbVPerPa,
  decibels,
  farads,
  hertz,
  metres,
  milliamps,
  milliseconds,
  millimetres,
  ohms,
  volts,
} from './units';
export {
  DBU_OVER_DBV,
  PASCAL_SPL,
  SINE_CREST,
  dbToGain,
  dbUToDbV,
  dbVToDbU,
  dbVToVolts,
  distanceDb,
  gainToDb,
  microphoneOutput,
  powerSumDb,
  voltsToDbV,
} from './convert';
export { formatDb, formatFigure, formatOhms, formatQuantity, formatVolts } from './format';
export type { FigureUnit, ParsedFigure } from './parse';
export { parseFigure } from './parse';
export type { KnobReading, KnobScale } from './knob';
export { readKnob, sayKnob } from './knob';
export type { TaperPoint } from './taper';
export { audioTaper } from './taper';
