import type { Facts } from '../facts';
import { REFERENCE_FREQUENCY } from '../circuit';
import { gainToDb, hertz, type Hertz } from '../../units';
import { backTo, couplings, type Coupling } from './couplings';
import { loopGain } from './loop-gain';

/** How near the loudspeakers of a rig come to howling. */
export interface Howl {
  /** Room to a loop gain of one at the octave that has least of it, whatever the phase, dB. */
  readonly marginDb: number;
  readonly at: Hertz;
  /** The pair that gives most of it. */
  readonly worst: Coupling;
}

/** Common practice: six decibels below howling the sound no longer rings. */
export const SAFE_MARGIN = 6;

/** Octaves in which loudspeakers and microphones in a room do howl (mid-band frequencies of IEC 61260-1), 1 kHz first: it is named where none has less room. */
const OCTAVES: readonly Hertz[] = [
  REFERENCE_FREQUENCY,
  ...[125, 250, 500, 2000, 4000, 8000].map((at) => hertz(at)),
];
/** Octaves that differ by less, dB, are alike: rounding. */
const ALIKE = 0.01;

const gainsOf = (facts: Facts, pairs: readonly Coupling[], at: Hertz): number[][] => {
  const speakers = [...new Set(pairs.map(({ speaker }) => speaker))];
  return speakers.map((to) =>
    speakers.map((from) =>
      pairs
        .filter(({ speaker }) => speaker === from)
        .reduce((sum, { source, gain }) => sum + gain * backTo(facts, source, to, at), 0),
    ),
  );
};

/** The loop through the air at the octave with least room; none where the rig has no loudspeaker or nothing of a microphone comes to one. */
export function howl(facts: Facts): Howl | undefined {
  const pairs = couplings(facts);
  if (pairs.length === 0) return undefined;
  const [reference, ...others] = OCTAVES.map((at) => ({ at, gain: loopGain(gainsOf(facts, pairs, at)) }));
  if (!reference) return undefined;
  const most = others.reduce(
    (top, one) => (gainToDb(one.gain) > gainToDb(top.gain) + ALIKE ? one : top),
    reference,
  );
  const alone = (pair: Coupling) => pair.gain * backTo(facts, pair.source, pair.speaker, most.at);
  const [worst] = [...pairs].sort((a, b) => alone(b) - alone(a));
  return worst && most.gain > 1e-6 ? { marginDb: -gainToDb(most.gain), at: most.at, worst } : undefined;
}
