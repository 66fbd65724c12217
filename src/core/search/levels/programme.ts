import type { Facts } from '../../engine';
import { SIDE_WITHIN, type Arrival } from '../../engine/flow';
import { inputOf } from '../../engine/levels';

const soundsOf = (facts: Facts, { source }: Arrival): ReadonlySet<string> =>
  new Set(facts.voices.filter(({ placed }) => placed === source).map(({ id }) => id));

/** Whether two sounds of a source each stand on some channel over the other: left and right of a programme. */
export function hasTwoSides(facts: Facts, arrival: Arrival): boolean {
  const sounds = soundsOf(facts, arrival);
  const leading = (inputOf(facts, arrival)?.channels ?? []).flatMap(({ signals }) => {
    const [first, second] = signals
      .filter(({ source }) => sounds.has(source.id))
      .toSorted((a, b) => b.rms - a.rms);
    return first && first.rms - (second?.rms ?? -Infinity) > SIDE_WITHIN ? [first.source.id] : [];
  });
  return new Set(leading).size > 1;
}

/**
 * Whether a programme of two sides is recorded as such. One side on both channels, or the sum of both, is no stereo. What has a single sound
 * has nothing to keep apart.
 */
export const keepsItsSides = (facts: Facts, arrival: Arrival): boolean =>
  soundsOf(facts, arrival).size < 2 || hasTwoSides(facts, arrival);
