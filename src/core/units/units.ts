/** Units live in the types: a bare number is never a level, a voltage or a length. */
declare const unit: unique symbol;
type Unit<Name extends string> = number & { readonly [unit]: Name };

export type Volts = Unit<'V'>;
export type Ohms = Unit<'ohm'>;
export type Farads = Unit<'F'>;
export type Hertz = Unit<'Hz'>;
export type Metres = Unit<'m'>;
export type Millimetres = Unit<'mm'>;
export type Milliamps = Unit<'mA'>;
export type Milliseconds = Unit<'ms'>;
export type Decibels = Unit<'dB'>;
export type DbV = Unit<'dBV'>;
export type DbU = Unit<'dBu'>;
export type DbFs = Unit<'dBFS'>;
export type DbSpl = Unit<'dB SPL'>;
/** Microphone sensitivity, dB re 1 V/Pa. */
export type DbVPerPa = Unit<'dBV/Pa'>;

export const volts = (value: number) => value as Volts;
export const ohms = (value: number) => value as Ohms;
export const farads = (value: number) => value as Farads;
export const hertz = (value: number) => value as Hertz;
export const metres = (value: number) => value as Metres;
export const millimetres = (value: number) => value as Millimetres;
export const milliamps = (value: number) => value as Milliamps;
export const milliseconds = (value: number) => value as Milliseconds;
export const decibels = (value: number) => value as Decibels;
export const dbV = (value: number) => value as DbV;
export const dbU = (value: number) => value as DbU;
export const dbFs = (value: number) => value as DbFs;
export const dbSpl = (value: number) => value as DbSpl;
export const dbVPerPa = (value: number) => value as DbVPerPa;
