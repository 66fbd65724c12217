import { REFERENCE_FREQUENCY, magnitude, nodeKey, type AlternatingSolution, type Nets } from '../circuit';
import { decibels, gainToDb, hertz, type Decibels, type Hertz } from '../../units';
import type { HostInput } from './inputs';
import type { VoiceSource } from './sources';

/** What a response is read off. */
export interface ResponseContext {
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

/**
 * The loss of a source on its way to an input's converter, by the circuit's own response: its worst place in the band
 * against 1 kHz, so that a resonance of the source itself is no loss. Undefined where nothing of it comes.
 */
export function bandLoss(context: ResponseContext, input: HostInput, source: string): BandLoss | undefined {
  const net = (node: string) => context.nets.of(nodeKey(input.placed, node));
  const found = context.voices
    .filter((voice) => voice.placed === source && Number.isFinite(voice.level))
    .flatMap((voice) =>
      input.capture.channels.flatMap(({ plus, minus }) => {
        const levels = places(voice.band).map((at) => {
          const gain = context.alternatingAt(at).gain(voice.id, net(plus), net(minus));
          return { at, level: gain ? gainToDb(magnitude(gain)) : -Infinity };
        });
        const middle = levels[0]?.level ?? -Infinity;
        if (!Number.isFinite(middle)) return [];
        const worst = levels.reduce((low, one) => (one.level < low.level ? one : low));
        return [{ middle, loss: { decibels: decibels(middle - worst.level), at: worst.at } }];
      }),
    );
  const loudest = found.reduce<(typeof found)[number] | undefined>(
    (top, one) => (top && top.middle >= one.middle ? top : one),
    undefined,
  );
  return loudest?.loss;
}
