import type { DbSpl, DbU, DbV, DbVPerPa, Decibels, Metres, Volts } from './units';
import { dbSpl, dbU, dbV, decibels, volts } from './units';

/** 0 dBu is √0.6 V, so a level in dBu is its level in dBV plus this (IEC 60268-2 reference voltages; from memory). */
export const DBU_OVER_DBV: Decibels = decibels(-20 * Math.log10(Math.sqrt(0.6)));

/** A sine's peak over its RMS value, 20·log10(√2). */
export const SINE_CREST: Decibels = decibels(20 * Math.log10(Math.SQRT2));

/** 1 Pa of sound pressure, 20·log10(1 Pa / 20 µPa) (the 94 dB of every microphone data sheet). */
export const PASCAL_SPL: DbSpl = dbSpl(20 * Math.log10(1 / 20e-6));

export const voltsToDbV = (value: Volts): DbV => dbV(20 * Math.log10(Math.abs(value)));
export const dbVToVolts = (level: DbV): Volts => volts(10 ** (level / 20));
export const dbVToDbU = (level: DbV): DbU => dbU(level + DBU_OVER_DBV);
export const dbUToDbV = (level: DbU): DbV => dbV(level - DBU_OVER_DBV);

/** Amplitude ratio to decibels; 0 gives −Infinity. */
export const gainToDb = (ratio: number): Decibels => decibels(20 * Math.log10(Math.abs(ratio)));
export const dbToGain = (gain: Decibels): number => 10 ** (gain / 20);

/** Power sum of uncorrelated levels, all in the same decibel unit; an empty list gives −Infinity. */
export const powerSumDb = (levels: readonly number[]): Decibels =>
  decibels(10 * Math.log10(levels.reduce((sum, level) => sum + 10 ** (level / 10), 0)));

/** Free-field level change from 1 m to `distance`: −20·log10(r / 1 m). */
export const distanceDb = (distance: Metres): Decibels => decibels(-20 * Math.log10(distance));

/** Open-circuit RMS output of a microphone of `sensitivity` in a field of `level`. */
export const microphoneOutput = (sensitivity: DbVPerPa, level: DbSpl): DbV =>
  dbV(sensitivity + level - PASCAL_SPL);
