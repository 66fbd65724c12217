import type { MaximumKind } from './types.generated';

/** Absolute maximum of a contact: direct voltage against its port's ground, and direct current that may flow into it for good. */
export interface Maximum {
  readonly volts?: number;
  readonly milliamps?: number;
}

/**
 * Absolute maxima by what stands behind a contact. Typical, from memory of data sheets: an output stage or a capsule bears the
 * milliampere or two of plug-in power, and not the 7 mA a leg that phantom drives into it for good.
 */
export const ABSOLUTE_MAXIMA = {
  /** A lead or adapter: it bears what its far end bears. */
  passes: {},
  /** Lines of a digital port, a radio link: what stands there is what the port itself gives. */
  digital: {},
  /** A line or headphone output. */
  output: { volts: 16, milliamps: 3 },
  /** A headset jack, and what is made to be plugged into one. */
  headset: { volts: 6, milliamps: 3 },
  /** An input with plug-in power. */
  'plug-in-input': { volts: 8, milliamps: 5 },
  /** A line input behind coupling capacitors. */
  'line-input': { volts: 25, milliamps: 5 },
  /** A microphone input that gives phantom power itself. */
  'phantom-input': { volts: 52 },
  /** A microphone that runs on phantom power: P48 at its most, P12 through 680 Ω at its most (IEC 61938). */
  'phantom-microphone': { volts: 52, milliamps: 18 },
  /** A moving coil: the same voltage on both legs passes no current; between them only a little may. */
  'moving-coil': { volts: 52, milliamps: 15 },
  /** A ribbon bears no current worth the name. */
  ribbon: { volts: 52, milliamps: 1 },
  /** An electret on plug-in power. */
  electret: { volts: 12, milliamps: 3 },
  /** Earpieces: direct current warms and shifts their coils. */
  earpiece: { volts: 3, milliamps: 30 },
  /** A transformer's winding: direct current saturates it, a little does no harm. */
  winding: { volts: 60, milliamps: 10 },
  /** A pick-up's coil. */
  'pick-up': { volts: 12, milliamps: 3 },
} as const satisfies Readonly<Record<MaximumKind, Maximum>>;
