import {
  REFERENCE_FREQUENCY,
  magnitude,
  networkOf,
  nodeKey,
  partCircuit,
  solveAlternating,
  type AlternatingSolution,
  type Nets,
} from '../circuit';
import type { LaidPart } from '../../rig';
import { decibels, gainToDb, hertz, type Decibels, type Hertz } from '../../units';
import type { HostInput } from './inputs';
import type { VoiceSource } from './sources';

/** What a response is read off. */
export interface ResponseContext {
  readonly laid: ReadonlyMap<string, LaidPart>;
  readonly nets: Nets;
  readonly voices: readonly VoiceSource[];
  readonly alternatingAt: (frequency: Hertz) => AlternatingSolution;
}

/** How much of a source's band is lost at its worst, and where. */
export interface BandLoss {
  readonly decibels: Decibels;
  readonly at: Hertz;
}

/** Where in its band a source is looked at: 1 kHz first, which every band holds, and both ends: what a lead or a load takes grows toward one of them. */
const places = ([from, to]: readonly [number, number]): Hertz[] => [
  REFERENCE_FREQUENCY,
  hertz(from),
  hertz(to),
];

const ALONE = { isFed: () => false, isLive: () => false };

/** What a pick-up gives at its own output with nothing plugged in: its coil and its capacitance resonate. Flat for what has no coil. */
function unloaded(laid: LaidPart | undefined, voice: VoiceSource, at: Hertz): number {
  const out = laid?.part.ports.find(({ direction }) => direction === 'out');
  if (!laid || !out || !laid.part.circuit.some(({ kind }) => kind === 'inductor')) return 0;
  const contact = (role: string) =>
    Object.entries(out.roles ?? {}).flatMap(([name, has]) =>
      has === role ? [nodeKey(laid.placed.id, `${out.id}.${name}`)] : [],
    )[0];
  const [hot, ground] = [contact('hot'), contact('ground')];
  if (hot === undefined || ground === undefined) return 0;
  const { key, elements } = partCircuit(laid, ALONE);
  const network = networkOf(`${key} alone`, elements, []);
  const gain = solveAlternating(network, [], at, () => true).gain(
    voice.id,
    network.nets.of(hot),
    network.nets.of(ground),
  );
  return gain ? gainToDb(magnitude(gain)) : 0;
}

/** How loud a source is in the middle of its band, per volt of it, and what it loses at its worst place against that. */
interface Lost {
  readonly middle: number;
  readonly loss: BandLoss;
}

function lostBetween(context: ResponseContext, voice: VoiceSource, plus?: number, minus?: number): Lost[] {
  const levels = places(voice.band).map((at) => {
    const gain = context.alternatingAt(at).gain(voice.id, plus, minus);
    const own = unloaded(context.laid.get(voice.placed), voice, at);
    return { at, level: gain ? gainToDb(magnitude(gain)) - own : -Infinity };
  });
  const middle = levels[0]?.level ?? -Infinity;
  if (!Number.isFinite(middle)) return [];
  const worst = levels.reduce((low, one) => (one.level < low.level ? one : low));
  return [{ middle, loss: { decibels: decibels(middle - worst.level), at: worst.at } }];
}

/** Two nodes between which something listens. */
export interface Ends {
  readonly plus: string;
  readonly minus: string;
}

/** The loss of a source where it is loudest between some nodes of the circuit. */
export function bandLossAt(
  context: ResponseContext,
  source: string,
  ends: readonly Ends[],
): BandLoss | undefined {
  const found = context.voices
    .filter((voice) => voice.placed === source && Number.isFinite(voice.level))
    .flatMap((voice) =>
      ends.flatMap(({ plus, minus }) =>
        lostBetween(context, voice, context.nets.of(plus), context.nets.of(minus)),
      ),
    );
  const loudest = found.reduce<Lost | undefined>(
    (top, one) => (top && top.middle >= one.middle ? top : one),
    undefined,
  );
  return loudest?.loss;
}

/**
 * The loss of a source on its way to an input's converter, by the circuit's own response: its worst place in the band against
 * 1 kHz, beside what it gives there with nothing plugged in. Undefined where nothing of it comes.
 */
export function bandLoss(context: ResponseContext, input: HostInput, source: string): BandLoss | undefined {
  const node = (name: string) => nodeKey(input.placed, name);
  const ends = input.capture.channels.map(({ plus, minus }) => ({ plus: node(plus), minus: node(minus) }));
  return bandLossAt(context, source, ends);
}
