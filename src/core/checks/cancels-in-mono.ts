import { magnitude, plus, type Phasor } from '../engine/circuit';
import type { InputChannel } from '../engine/flow';
import type { Facts } from '../engine/facts';
import { gainToDb } from '../units';
import type { Finding } from './finding';
import { inputOf } from './input-of';
import { PAIR_SUM } from './measured-names';
import { MONO_SUM } from './origins';

/** How far the sum of both sides may stay under the louder side. A limit of our own. */
const LOST_IN_SUM_DB = 10;

const gainOf = (channel: InputChannel, source: string): Phasor =>
  channel.signals
    .filter((s) => s.source.placed === source)
    .reduce((sum, s) => plus(sum, s.gain), { re: 0, im: 0 });

/** Both sides of an input summed, against the louder, dB. */
function sidesSummed(channels: readonly InputChannel[], source: string): number {
  const [left, right] = channels.map((channel) => gainOf(channel, source));
  if (!left || !right) return Infinity;
  const louder = Math.max(magnitude(left), magnitude(right));
  return gainToDb(magnitude(plus(left, right)) / 2 / louder);
}

/** What both outputs of a stereo source have in common, on one channel, against the louder of them, dB. */
function pairSummed(channel: InputChannel, source: string): number {
  const own = channel.signals.filter((s) => s.source.placed === source);
  if (own.length < 2) return Infinity;
  const louder = Math.max(...own.map((s) => magnitude(s.gain)));
  return gainToDb(magnitude(gainOf(channel, source)) / own.length / louder);
}

/** A source that stands on both sides with opposite polarity: alive in stereo, gone when the sides are summed; or a pair whose two outputs meet so. */
export function cancelsInMono(facts: Facts): Finding[] {
  return facts.arrivals.flatMap((arrival): Finding[] => {
    const input = inputOf(facts, arrival);
    if (arrival.state !== 'recorded' || !input) return [];
    const pair = Math.min(...input.channels.map((channel) => pairSummed(channel, arrival.source)));
    const sides = arrival.channels === 'both' ? sidesSummed(input.channels, arrival.source) : Infinity;
    const sum = Math.min(pair, sides);
    if (sum >= -LOST_IN_SUM_DB) return [];
    const name = pair < sides ? PAIR_SUM : 'sum of both sides against the louder';
    return [
      {
        code: 'cancels-in-mono',
        severity: 'spoils',
        where: { part: arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        values: [{ name, value: sum, unit: 'dB' }],
        limit: { value: -LOST_IN_SUM_DB, unit: 'dB', is: 'at least' },
        origin: MONO_SUM,
      },
    ];
  });
}
