import type { Arrival, Sides } from '../engine/flow';
import type { AskedStretch, StretchReading, StretchState } from '../signal/reading';

/** A stretch of a guided take beside what the rig predicts of the source that was asked for. */
export interface HeldStretch {
  /** Where the rig has it recorded; `not` where it does not. */
  readonly predicted: Sides | 'not';
  /** Predicted peaks at the voice and distance of the rig, dBFS; absent of what is not recorded, of taps, and of the loudest, for which it has no figure. */
  readonly peak?: number;
  /** What came is where, or as absent as, the rig predicts. Levels are shown and not judged: nobody speaks as loudly twice. */
  readonly agrees: boolean;
}

const HEARD: readonly StretchState[] = ['came', 'tapped'];

/** Both sides in a recorder that has but one are one. */
const sideOf = (sides: Sides): 'left' | 'right' | 'both' =>
  sides === 'left' || sides === 'right' ? sides : 'both';

/** The one side of a recorder on which the rig has a source; nothing where it is on both, or is not there. */
export function sideAt(
  arrivals: readonly Arrival[],
  recorder: string,
  source: string | undefined,
): { readonly side?: 'left' | 'right' } {
  const found = arrivals.find((a) => a.source === source && a.recorder === recorder);
  if (found?.state !== 'recorded') return {};
  return found.channels === 'left' || found.channels === 'right' ? { side: found.channels } : {};
}

/** The asked for source by itself: what is said of it alone. `channels`: how many the take has; one cannot tell sides. */
export function heldAgainst(
  stretch: AskedStretch,
  { state, level }: StretchReading,
  arrivals: readonly Arrival[],
  channels: number,
): HeldStretch | undefined {
  const arrival = arrivals.find(({ source }) => source === stretch.part);
  if (!arrival) return undefined;
  const heard = HEARD.includes(state);
  const isTap = stretch.is === 'tap';
  if (arrival.state !== 'recorded') {
    // The device's own microphone hears a voice, too; only a tap tells them apart.
    const unclear = arrival.state === 'wrong-mic' && !isTap;
    return { predicted: 'not', agrees: unclear || !heard };
  }
  const where = channels < 2 || level.side === sideOf(arrival.channels);
  return {
    predicted: arrival.channels,
    ...((stretch.is === 'usual' || stretch.is === 'play') && { peak: arrival.peak }),
    agrees: heard && where,
  };
}
