/** How people read a knob that bears no figures. */
export interface KnobReading {
  /** Of its travel, 0 to 100. */
  readonly percent: number;
  /** The hand of a clock: from 7 over 12 to 5. */
  readonly hour: number;
  readonly half: boolean;
}

/** Knobs turn from 7 o'clock to 5 o'clock, 300°. Common practice. */
const TRAVEL_HOURS = 10;
const FIRST_HOUR = 7;

/** Where a knob stands, its scale being even over its travel; undefined for one that has no range. */
export function readKnob(from: number, to: number, value: number): KnobReading | undefined {
  if (!(to > from) || !Number.isFinite(value)) return undefined;
  const share = Math.min(1, Math.max(0, (value - from) / (to - from)));
  const halves = Math.round(share * TRAVEL_HOURS * 2);
  const hours = FIRST_HOUR + halves / 2;
  const whole = Math.floor(hours);
  return { percent: Math.round(share * 100), hour: whole > 12 ? whole - 12 : whole, half: hours % 1 > 0 };
}

/** "2 o'clock", "half past 9". */
export const sayClock = ({ hour, half }: KnobReading): string =>
  half ? `half past ${hour}` : `${hour} o’clock`;
