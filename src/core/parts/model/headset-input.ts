import { dbV, ohms, volts, type DbV } from '../../units';
import type { Capture, CircuitElement, PartPort, Quantity } from './types.generated';

/**
 * Bias of a headset jack's microphone contact: 1.8–2.9 V through about 2.2 kΩ (Android wired headset specification
 * 1.1; figures from memory). The middle of the range.
 */
export const HEADSET_BIAS = volts(2.2);
export const HEADSET_BIAS_RESISTANCE = ohms(2200);

/**
 * Full-scale sine at the microphone contact. 90 dB SPL gives RMS 2500 of 32768 (Android Compatibility Definition,
 * audio recording), i.e. −22.35 dB; with a capsule of −42 dBV/Pa (typical) that RMS is −46.0 dBV, so a full-scale
 * sine (RMS 3.01 dB under full scale) lies at −26.7 dBV.
 */
export const HEADSET_FULL_SCALE: DbV = dbV(-26.7);
/** Equivalent input noise of a phone's microphone input, 20 Hz–20 kHz. Typical. */
export const HEADSET_NOISE: DbV = dbV(-112);

export type HeadsetPinout = 'ctia' | 'omtp';

/** Where microphone and ground lie: CTIA/AHJ and OMTP (ITU-T P.381; OMTP 2009; clauses from memory). */
const PINOUT = {
  ctia: { ground: 'R2', microphone: 'S' },
  omtp: { ground: 'S', microphone: 'R2' },
} as const;

export function headsetJack(id: string, pinout: HeadsetPinout): PartPort {
  const { ground, microphone } = PINOUT[pinout];
  return {
    id,
    name: 'headset jack',
    connector: 'trrs-3.5',
    gender: 'jack',
    direction: 'both',
    roles: { T: 'left', R1: 'right', [ground]: 'ground', [microphone]: 'microphone' },
    bears: 'headset',
  };
}

/**
 * What stands behind a headset jack: biased and blocked microphone input, and two headphone outputs. `fedBy` names
 * the port that powers it, for a dongle.
 */
export function headsetCircuit(
  id: string,
  pinout: HeadsetPinout,
  fedBy?: string,
  fullScale: Quantity = 0,
): CircuitElement[] {
  const ground = `${id}.${PINOUT[pinout].ground}`;
  const microphone = `${id}.${PINOUT[pinout].microphone}`;
  const fed = fedBy ? { fedBy } : {};
  const output = (side: 'left' | 'right', contact: string): CircuitElement[] => [
    {
      kind: 'signal',
      id: `playback-${side}`,
      hears: 'playback',
      a: `out-${side}`,
      b: ground,
      sensitivity: fullScale,
    },
    // Output impedance of a phone's headphone amplifier: typical.
    { kind: 'resistor', a: `out-${side}`, b: contact, ohms: 2 },
  ];
  return [
    { kind: 'supply', a: 'bias', b: ground, volts: HEADSET_BIAS, ...fed },
    { kind: 'resistor', a: 'bias', b: microphone, ohms: HEADSET_BIAS_RESISTANCE },
    // Blocking capacitor and input resistance of the converter: typical.
    { kind: 'capacitor', a: microphone, b: 'adc', farads: 1e-6 },
    { kind: 'resistor', a: 'adc', b: ground, ohms: 20_000 },
    ...output('left', `${id}.T`),
    ...output('right', `${id}.R1`),
  ];
}

export function headsetCapture(id: string, pinout: HeadsetPinout): Capture {
  const ground = `${id}.${PINOUT[pinout].ground}`;
  return {
    id: 'headset',
    name: 'headset microphone',
    port: id,
    channels: [{ side: 'mono', plus: 'adc', minus: ground }],
    fullScale: HEADSET_FULL_SCALE,
    noise: HEADSET_NOISE,
    detection: {
      microphone: `${id}.${PINOUT[pinout].microphone}`,
      ground,
      biasVolts: HEADSET_BIAS,
      biasResistance: HEADSET_BIAS_RESISTANCE,
    },
  };
}
