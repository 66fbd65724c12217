import type { Facts } from '../../engine';
import { SIDE_WITHIN, type Arrival } from '../../engine/flow';
import { inputOf } from '../../engine/levels';

/**
 * Whether a programme of two sides is recorded as such: each of them stands on some channel over the other. One side on both channels, or
 * the sum of both, is no stereo. What has a single sound has nothing to keep apart.
 */
export function keepsItsSides(facts: Facts, arrival: Arrival): boolean {
  const voices = new Set(facts.voices.filter(({ placed }) => placed === arrival.source).map(({ id }) => id));
  if (voices.size < 2) return true;
  const leading = (inputOf(facts, arrival)?.channels ?? []).flatMap(({ signals }) => {
    const [first, second] = signals
      .filter(({ source }) => voices.has(source.id))
      .map(({ source, rms }) => ({ id: source.id, rms }))
      .sort((a, b) => b.rms - a.rms);
    return first && first.rms - (second?.rms ?? -Infinity) > SIDE_WITHIN ? [first.id] : [];
  });
  return new Set(leading).size > 1;
}
