import { magnitude, plus, type Phasor } from '../engine/circuit';
import {
  appOf,
  chooseInput,
  isAudible,
  type Arrival,
  type HostInput,
  type InputChannel,
} from '../engine/flow';
import type { Facts } from '../engine';
import { gainToDb } from '../units';

/** How far the sum of both sides may stay under the louder side, dB. A limit of our own. */
export const LOST_IN_SUM_DB = 10;

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

/** What is left of a source when what carries it is summed, against the louder, dB; infinite where nothing is summed. */
export interface Summed {
  /** Both sides of the input. */
  readonly sides: number;
  /** Both outputs of a stereo source on one channel. */
  readonly pair: number;
  /** It is not recorded: the app itself sums. */
  readonly lost: boolean;
}

/** What an arrival is when summed; undefined where it stands nowhere. */
export function summed(facts: Facts, { recorder, source, state, channels }: Arrival): Summed | undefined {
  const { input, sums } = inputFor(facts, recorder);
  if (!input) return undefined;
  const lost = state !== 'recorded';
  if (lost && !(sums && audibleSides(input, source).length > 1)) return undefined;
  const pair = Math.min(...input.channels.map((channel) => pairSummed(channel, source)));
  const sides = channels === 'both' || sums ? sidesSummed(input.channels, source) : Infinity;
  return { sides, pair, lost };
}
