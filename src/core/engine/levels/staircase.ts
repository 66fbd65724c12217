import { gainToDb, dbV, powerSumDb, type DbV } from '../../units';
import { magnitude, nodeKey, type NetElement } from '../circuit';
import type { Facts } from '../facts';
import { appOf, chainsInto, type Arrival, type Chain, type HostInput, type Stage } from '../flow';

/** A stage with the noise that stands there. */
export interface Step extends Stage {
  /** RMS noise here, 20 Hz–20 kHz, dBV: what comes along, and at an input the stage's own. */
  readonly noise: DbV;
}

/** The way of an intended source into what its recorder takes. */
export interface RecordedWay {
  readonly recorder: string;
  readonly source: string;
  readonly arrival: Arrival;
  /** What records it, at the chain's end. */
  readonly input: HostInput;
  readonly chain: Chain;
}

/** The same with all that is needed to see where it clips and hisses. */
export interface Staircase extends RecordedWay {
  readonly steps: readonly Step[];
  /** RMS of the sine at full scale of the converter, dBV: what turns dBV there into dBFS. */
  readonly fullScale: DbV;
}

type Sense = Extract<NetElement, { kind: 'sense' }>;

/** Noise between two nets at which a stage senses or a converter listens: resistors, stages, and what every source brings of its own. */
function noiseBetween(facts: Facts, plus: number | undefined, minus: number | undefined): DbV {
  const own = facts.voices.map((voice) => {
    const gain = facts.alternating.gain(voice.id, plus, minus);
    return gain ? voice.noise + gainToDb(magnitude(gain)) : -Infinity;
  });
  return dbV(powerSumDb([facts.noise(plus, minus), ...own]));
}

/** Noise that a drive gives: of all that feeds it, each by its gain. What two of its inputs have in common is added as if they had not. */
function noiseOut(facts: Facts, senses: ReadonlyMap<string, Sense>, drive: string): DbV {
  const parts = facts.paths
    .filter(({ to, gain }) => to === drive && gain !== 0)
    .flatMap(({ from, gain }) => {
      const sense = senses.get(from);
      return sense ? [noiseIn(facts, sense) + gainToDb(gain)] : [];
    });
  return dbV(powerSumDb(parts));
}

const noiseIn = (facts: Facts, sense: Sense): DbV =>
  dbV(
    powerSumDb([
      noiseBetween(facts, facts.nets.of(sense.a), facts.nets.of(sense.b)),
      sense.noise ?? -Infinity,
    ]),
  );

/** Full scale of the channel of a chain, its gains taken off. */
export const fullScaleOf = (input: HostInput, { number }: Chain): DbV =>
  input.channels.find((channel) => channel.number === number)?.fullScale ?? dbV(0);

function stepsOf(facts: Facts, chain: Chain, input: HostInput): Step[] {
  const senses = new Map(facts.elements.flatMap((e) => (e.kind === 'sense' ? [[e.id, e] as const] : [])));
  return chain.stages.map((stage, index): Step => {
    const next = chain.stages[index + 1];
    if (stage.is === 'source') {
      const voice = facts.voices.find((one) => one.placed === chain.source);
      return { ...stage, noise: voice?.noise ?? dbV(-Infinity) };
    }
    if (stage.is === 'input') {
      const sense = next?.path && senses.get(next.path.from);
      return { ...stage, noise: sense ? noiseIn(facts, sense) : dbV(-Infinity) };
    }
    if (stage.is === 'output')
      return { ...stage, noise: stage.path ? noiseOut(facts, senses, stage.path.to) : dbV(-Infinity) };
    const spec = input.capture.channels[chain.number - 1];
    const net = (node: string | undefined) =>
      node === undefined ? undefined : facts.nets.of(nodeKey(input.placed, node));
    const come = noiseBetween(facts, net(spec?.plus), net(spec?.minus));
    return { ...stage, noise: dbV(powerSumDb([come, input.capture.noise])) };
  });
}

/** The input that an arrival is recorded from. */
export const inputOf = (facts: Facts, arrival: Arrival): HostInput | undefined =>
  facts.inputs.find(
    (one) => one.host === arrival.recorder && `${one.placed}/${one.capture.id}` === arrival.records,
  );

/** The chain by which most of an arrival's source comes to each channel of what records it, the loudest first. */
export function loudestChains(facts: Facts, arrival: Arrival): readonly Chain[] {
  const input = inputOf(facts, arrival);
  if (!input) return [];
  const host = facts.laid.get(arrival.recorder);
  // What sums its sides records each of them, whichever it names.
  const sums = host !== undefined && appOf(host)?.channels === 'mono';
  const chains = facts.voices
    .filter((voice) => voice.placed === arrival.source && Number.isFinite(voice.level))
    .flatMap((voice) => chainsInto(facts, voice, input))
    .filter(({ number }) => sums || arrival.inputs.length === 0 || arrival.inputs.includes(number));
  const peakOf = ({ stages }: Chain) => (stages.at(-1)?.peak ?? 0) - (stages.at(-1)?.clipLevel ?? 0);
  const sorted = chains.filter((one) => Number.isFinite(peakOf(one))).sort((a, b) => peakOf(b) - peakOf(a));
  return sorted.filter((one, at) => sorted.findIndex(({ number }) => number === one.number) === at);
}

/** The chain by which most of an arrival's source comes to what records it. */
export const loudestChain = (facts: Facts, arrival: Arrival): Chain | undefined =>
  loudestChains(facts, arrival)[0];

const ways = new WeakMap<Facts, readonly RecordedWay[]>();

/** The way of every intended source that comes to a converter; followed once. */
export function recordedWays(facts: Facts): readonly RecordedWay[] {
  const known = ways.get(facts);
  if (known) return known;
  const found = facts.arrivals.flatMap((arrival): RecordedWay[] => {
    const [chain, input] = [loudestChain(facts, arrival), inputOf(facts, arrival)];
    const { recorder, source } = arrival;
    return chain && input ? [{ recorder, source, arrival, input, chain }] : [];
  });
  ways.set(facts, found);
  return found;
}

/** The staircase of every intended source that comes to a converter. */
export const staircases = (facts: Facts): Staircase[] =>
  recordedWays(facts).map((way) => ({
    ...way,
    steps: stepsOf(facts, way.chain, way.input),
    fullScale: fullScaleOf(way.input, way.chain),
  }));
