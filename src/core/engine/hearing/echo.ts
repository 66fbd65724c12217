import type { Facts } from '../facts';
import { heardAmongCallers } from './matrix';
import type { Delay } from './delays';

/** Somebody at the far end who hears themself, held against ITU-T G.131. */
export interface Echo {
  readonly caller: string;
  /** From mouth to ear and back, ms. */
  readonly roundTrip: Delay;
  /** How far the echo lies under the voice that was sent, dB. */
  readonly loss: number;
  /** What is wanted at that delay, dB: talker echo loudness rating, ITU-T G.131; figures from memory. */
  readonly wants: number;
}

/** One-way delay in ms and the loudness rating at which talker echo is accepted, dB (ITU-T G.131; figures from memory). */
const G131 = [
  [25, 33],
  [50, 41],
  [100, 47],
  [300, 55],
] as const;

/** Between the points evenly over the logarithm of the delay; beyond them as at the ends. */
export function echoLossWanted(oneWayMs: number): number {
  const [first] = G131;
  const last = G131[G131.length - 1] ?? first;
  if (oneWayMs <= first[0]) return first[1];
  if (oneWayMs >= last[0]) return last[1];
  const index = G131.findIndex(([ms]) => ms >= oneWayMs);
  const [to, from] = [G131[index] ?? last, G131[index - 1] ?? first];
  const share = Math.log(oneWayMs / from[0]) / Math.log(to[0] / from[0]);
  return from[1] + share * (to[1] - from[1]);
}

/** A caller’s peaks as they come out of the device, dBFS: common practice. */
const SENT = -12;

/** Every caller who hears themself. */
export const echoes = (facts: Facts): Echo[] =>
  heardAmongCallers(facts)
    .filter(({ state }) => state === 'late')
    .map(({ listener, level, delay }) => ({
      caller: listener,
      roundTrip: delay,
      loss: SENT - level,
      wants: echoLossWanted(delay.typical / 2),
    }));
