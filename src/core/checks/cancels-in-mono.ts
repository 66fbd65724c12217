import { magnitude, plus, type Phasor } from '../circuit';
import type { InputChannel } from '../flow';
import type { Facts } from '../pipeline/facts';
import { gainToDb } from '../units';
import type { Finding } from './finding';
import { inputOf } from './input-of';
import { MONO_SUM } from './origins';

/** How far the sum of both sides may stay under the louder side. A limit of our own. */
const LOST_IN_SUM_DB = 10;

const gainOf = (channel: InputChannel, source: string): Phasor =>
  channel.signals
    .filter((s) => s.source.placed === source)
    .reduce((sum, s) => plus(sum, s.gain), { re: 0, im: 0 });

/** A source that stands on both sides with opposite polarity: alive in stereo, gone when the sides are summed. */
export function cancelsInMono(facts: Facts): Finding[] {
  return facts.arrivals.flatMap((arrival): Finding[] => {
    const input = inputOf(facts, arrival);
    if (arrival.state !== 'recorded' || arrival.channels !== 'both' || !input) return [];
    const [left, right] = input.channels.map((channel) => gainOf(channel, arrival.source));
    if (!left || !right) return [];
    const louder = Math.max(magnitude(left), magnitude(right));
    const sum = gainToDb(magnitude(plus(left, right)) / 2 / louder);
    if (sum >= -LOST_IN_SUM_DB) return [];
    return [
      {
        code: 'cancels-in-mono',
        severity: 'spoils',
        where: { part: arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        values: [{ name: 'sum of both sides against the louder', value: sum, unit: 'dB' }],
        limit: { value: -LOST_IN_SUM_DB, unit: 'dB', is: 'at least' },
        origin: MONO_SUM,
      },
    ];
  });
}
