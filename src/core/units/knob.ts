import type { TaperPoint } from './taper';

/** What of a knob says how it is read. */
export interface KnobScale {
  readonly from: number;
  readonly to: number;
  /** Even in dB where absent. */
  readonly taper?: readonly TaperPoint[];
  /** dB from notch to notch. */
  readonly notch?: number;
}

/** How people read a knob that bears no figures. */
export interface KnobReading {
  /** Of its travel, 0 to 100. */
  readonly percent: number;
  /** The hand of a clock: from 7 over 12 to 5. */
  readonly hour: number;
  readonly half: boolean;
  /** Of a knob with notches: which it stands at, from 1. */
  readonly notch?: number;
}

/** Knobs turn from 7 o'clock to 5 o'clock, 300°. Common practice. */
const TRAVEL_HOURS = 10;
const FIRST_HOUR = 7;

/** Share of the travel at which a knob gives so many dB, straight between the points of its taper. */
function travelAt({ from, to, taper }: KnobScale, value: number): number {
  const points: readonly TaperPoint[] = taper ?? [
    [0, from],
    [1, to],
  ];
  const after = points.findIndex(([, at]) => at >= value);
  const [high, low] = [points[after], points[after - 1]];
  if (!high) return 1;
  if (!low) return high[0];
  return low[0] + ((high[0] - low[0]) * (value - low[1])) / (high[1] - low[1]);
}

/** Where a knob stands, as people read it; undefined for one that has no range. */
export function readKnob(scale: KnobScale, value: number): KnobReading | undefined {
  const { from, to, notch } = scale;
  if (!(to > from) || !Number.isFinite(value)) return undefined;
  const share = Math.min(1, Math.max(0, travelAt(scale, Math.min(to, Math.max(from, value)))));
  const halves = Math.round(share * TRAVEL_HOURS * 2);
  const hours = FIRST_HOUR + halves / 2;
  const whole = Math.floor(hours);
  return {
    percent: Math.round(share * 100),
    hour: whole > 12 ? whole - 12 : whole,
    half: hours % 1 > 0,
    ...(notch !== undefined && { notch: Math.round((value - from) / notch) + 1 }),
  };
}

/** "2 o'clock", "half past 9". */
export const sayClock = ({ hour, half }: KnobReading): string =>
  half ? `half past ${hour}` : `${hour} o’clock`;

/** "2 o’clock, 68 %", "notch 3"; nothing for a knob without a range. */
export function sayKnob(scale: KnobScale, value: number): string {
  const reading = readKnob(scale, value);
  if (!reading) return '';
  return reading.notch === undefined
    ? `${sayClock(reading)}, ${reading.percent} %`
    : `notch ${reading.notch}`;
}
