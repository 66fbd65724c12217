/** Share of the travel, 0 to 1, and the dB there. */
export type TaperPoint = readonly [travel: number, decibels: number];

/**
 * An audio taper: dB under its top, by share of the travel. Half way it is 20 dB down, as a carbon track of law A is and as the scale of a fader
 * is drawn. Typical, from memory.
 */
const AUDIO_TAPER: readonly TaperPoint[] = [
  [0.13, -50],
  [0.23, -40],
  [0.36, -30],
  [0.52, -20],
  [0.75, -10],
  [1, 0],
];

/** The audio taper of a level knob or fader between two ends, dB. */
export const audioTaper = (from: number, to: number): readonly TaperPoint[] => [
  [0, from],
  ...AUDIO_TAPER.map(([travel, under]): TaperPoint => [travel, to + under]).filter(([, at]) => at > from),
];
