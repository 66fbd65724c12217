import type { Facts } from '../engine';
import { feedOf, type SoundSource } from '../engine/circuit';
import { failing } from './failing';

/** Under this a voltage is nothing but rounding. */
export const NO_VOLTAGE = 1e-4;

/** A source that is fed too little, with what it gets and wants, volts. */
export interface Underfed {
  readonly element: SoundSource;
  readonly least: number;
  readonly supply: number;
  readonly source: string;
  readonly recorder: string;
}

const soundsOf = (facts: Facts, placed: string): SoundSource[] =>
  facts.nets.branches.filter(
    (b): b is SoundSource => (b.kind === 'electret' || b.kind === 'signal') && b.placed === placed,
  );

/** Microphones that do not get through and whose plug-in power or phantom is missing, or stands the wrong way round. */
export const underfed = (facts: Facts): Underfed[] =>
  failing(facts).flatMap(({ arrival: { source, recorder } }) =>
    soundsOf(facts, source).flatMap((element) => {
      const feed = feedOf(element);
      const supply = feed && facts.direct.between(facts.nets.of(feed.plus), facts.nets.of(feed.minus));
      if (!feed || supply === undefined || supply >= feed.volts) return [];
      return [{ element, least: feed.volts, supply, source, recorder }];
    }),
  );

/** Whether its voltage stands across a capsule the wrong way round: microphone and ground are exchanged. */
export const isReversed = ({ element, supply }: Underfed): boolean =>
  element.kind === 'electret' && supply < -NO_VOLTAGE;
