/**
 * What drives hum and whine round the grounds of a rig. All of it is typical and from memory, with a wide spread; the circuit
 * that it drives is computed.
 */
export interface Drive {
  /** RMS volts or amperes: typical, least and most. */
  readonly typical: number;
  readonly least: number;
  readonly most: number;
  /** Levels of the lines re the typical figure, dB, by multiple of the mains; `whine`: at the whine's own frequency. */
  /** It stands in a protective conductor, and so in the loop itself. */
  readonly inConductor?: boolean;
  readonly lines: readonly (readonly [multiple: number, decibels: number])[] | 'whine';
}

/** Mains and its odd harmonics, falling: what currents in protective conductors look like. From memory. */
const MAINS_LINES = [
  [1, 0],
  [3, -10],
  [5, -16],
] as const;

/** Between the earths of two outlets: 10 to 100 mV is usual, more on long strips, generators and shows. Typical, from memory. */
export const BETWEEN_OUTLETS: Drive = {
  typical: 0.03,
  least: 0.01,
  most: 0.1,
  inConductor: true,
  lines: MAINS_LINES,
};
/** Induced in a loop of some square metres by the field of mains wiring, 0.1 to 1 µT: 2πf·B·A. Typical, from memory. */
export const IN_A_LOOP: Drive = {
  typical: 1e-3,
  least: 1e-4,
  most: 1e-2,
  inConductor: true,
  lines: MAINS_LINES,
};
/** Half the mains stands at the Y capacitor of a class II supply: 115 V of 230. */
export const AT_Y_CAPACITOR: Drive = {
  typical: 115,
  least: 60,
  most: 230,
  lines: [
    [1, 0],
    [3, -20],
    [5, -26],
  ],
};
/** What the switching of such a supply leaves in the band of hearing, at the same capacitor. Typical, from memory. */
export const SWITCHING: Drive = { typical: 0.5, least: 0.05, most: 3, lines: 'whine' };
/** The part of a charging current that changes with what the phone does: a tenth of it, 3 to 30 %. Typical, from memory. */
export const OF_THE_CHARGE: Drive = { typical: 0.1, least: 0.03, most: 0.3, lines: 'whine' };

/** Where whine is looked at, Hz: the middle of the ear's band. */
export const WHINE_HERTZ = 1000;

/** Farads of a Y capacitor: touch current of at most 0.25 mA at 230 V, 50 Hz (IEC 62368-1; from memory) allows 3.5 nF. Typical. */
export const Y_FARADS = 1e-9;
/** Ohms of a protective conductor from a strip or outlet to a class I part. Typical. */
export const EARTH_LEAD_OHMS = 0.1;
/** The same from an outlet to the earth of the house. Typical. */
export const OUTLET_OHMS = 0.2;
/** Farads between the windings of a small audio transformer. Typical. */
export const WINDING_FARADS = 300e-12;
/** From a leg of a balanced input to ground, on one side alone: it rejects 55 to 65 dB of what both legs have. Typical. */
export const MISMATCH_OHMS = 100_000;
/** In series with a current that is driven: so large that what it drives does not matter. */
export const CURRENT_OHMS = 1e6;
