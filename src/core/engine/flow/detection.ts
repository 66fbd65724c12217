import type { HeadsetDetection } from '../../parts';
import { ohms, type Ohms, type Volts } from '../../units';

/**
 * What a headset jack takes a resistance at its microphone contact for. Android wired headset specification 1.1;
 * figures from memory: under 70 Ω the hook button or a short, 110–180, 210–290 and 360–680 Ω other buttons, 1 kΩ or
 * more a microphone. Between the buttons a host may decide either way: "undefined". Over all buttons and under what is
 * asked of a microphone most take it for one: "unsure", to be tried.
 */
export type HeadsetReading = 'microphone' | 'unsure' | 'button' | 'shorted' | 'undefined';

/** Taken for a microphone, by all jacks or by most. */
export const isNoticed = (reading: HeadsetReading): boolean =>
  reading === 'microphone' || reading === 'unsure';

export const SHORT_BELOW = ohms(70);
export const MICROPHONE_FROM = ohms(1000);
export const BUTTON_BANDS: readonly (readonly [number, number])[] = [
  [110, 180],
  [210, 290],
  [360, 680],
];

/** What the host takes a resistance for. */
export function readHeadset(resistance: Ohms): HeadsetReading {
  if (resistance < SHORT_BELOW) return 'shorted';
  if (resistance >= MICROPHONE_FROM) return 'microphone';
  if (BUTTON_BANDS.every(([, to]) => resistance > to)) return 'unsure';
  return BUTTON_BANDS.some(([from, to]) => resistance >= from && resistance <= to) ? 'button' : 'undefined';
}

/**
 * The resistance that the host computes from the voltage left at its microphone contact; at or above the bias voltage
 * no current flows: an open line, Infinity.
 */
export function senseResistance(spec: HeadsetDetection, left: Volts): Ohms {
  const drop = spec.biasVolts - left;
  if (drop <= spec.biasVolts * 1e-9) return ohms(Infinity);
  return ohms((spec.biasResistance * left) / drop);
}
