import { magnitude, plus, type Phasor } from '../engine/circuit';
import { appOf, chooseInput, isAudible, type HostInput, type InputChannel } from '../engine/flow';
import type { Facts } from '../engine';
import { gainToDb } from '../units';
import { PAIR_SUM } from './pair-sum';
import { check, type Found } from './check';
import { MONO_SUM } from './origins';

/** How far the sum of both sides may stay under the louder side, dB. A limit of our own. */
const LOST_IN_SUM_DB = 10;

const own = (channel: InputChannel, source: string) =>
  channel.signals.filter((s) => s.source.placed === source);

const gainOf = (channel: InputChannel, source: string): Phasor =>
  own(channel, source).reduce((sum, s) => plus(sum, s.gain), { re: 0, im: 0 });

/** Both sides of an input summed, against the louder, dB. */
function sidesSummed(channels: readonly InputChannel[], source: string): number {
  const [left, right] = channels.map((channel) => gainOf(channel, source));
  if (!left || !right) return Infinity;
  const louder = Math.max(magnitude(left), magnitude(right));
  return gainToDb(magnitude(plus(left, right)) / 2 / louder);
}

/** What both outputs of a stereo source have in common, on one channel, against the louder of them, dB. */
function pairSummed(channel: InputChannel, source: string): number {
  const signals = own(channel, source);
  if (signals.length < 2) return Infinity;
  const louder = Math.max(...signals.map((s) => magnitude(s.gain)));
  return gainToDb(magnitude(gainOf(channel, source)) / signals.length / louder);
}

/** The sides of an input that a source stands on, each for itself. */
const audibleSides = ({ channels }: HostInput, source: string): readonly InputChannel[] =>
  channels.filter((c) => c.side !== 'further' && isAudible(c, source));

function inputFor(facts: Facts, recorder: string): { input: HostInput | undefined; sums: boolean } {
  const host = facts.laid.get(recorder);
  const inputs = facts.inputs.filter((i) => i.host === recorder);
  return {
    input: host && chooseInput(facts.rig, host, inputs).input,
    sums: host !== undefined && appOf(host)?.channels === 'mono',
  };
}

/**
 * A source that stands on both sides with opposite polarity: alive in stereo, gone when the sides are summed, be it by the app
 * that records them; or a pair whose two outputs meet so.
 */
export const cancelsInMono = check({
  code: 'cancels-in-mono',
  severity: ['spoils', 'blocks'],
  origin: MONO_SUM,
  limit: `The sum of both sides at most ${LOST_IN_SUM_DB} dB under the louder side (our own limit).`,
  cures: ['switch', 'link', 'plug'],
  find: (facts) =>
    facts.arrivals.flatMap((arrival): Found[] => {
      const { input, sums } = inputFor(facts, arrival.recorder);
      if (!input) return [];
      const lost = arrival.state !== 'recorded';
      if (lost && !(sums && audibleSides(input, arrival.source).length > 1)) return [];
      const both = arrival.channels === 'both' || sums;
      const pair = Math.min(...input.channels.map((channel) => pairSummed(channel, arrival.source)));
      const sides = both ? sidesSummed(input.channels, arrival.source) : Infinity;
      const sum = Math.min(pair, sides);
      if (!(sum < -LOST_IN_SUM_DB)) return [];
      return [
        {
          severity: lost ? 'blocks' : 'spoils',
          where: { part: arrival.recorder },
          source: arrival.source,
          recorder: arrival.recorder,
          values: [
            {
              name: pair < sides ? PAIR_SUM : 'sum of both sides against the louder',
              value: sum,
              unit: 'dB',
            },
          ],
          limit: { value: -LOST_IN_SUM_DB, unit: 'dB', is: 'at least' },
        },
      ];
    }),
});
