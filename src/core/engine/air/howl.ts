import type { Facts } from '../facts';
import { gainToDb } from '../../units';
import { backTo, couplings, type Coupling } from './couplings';
import { loopGain } from './loop-gain';

/** How near the loudspeakers of a rig come to howling. */
export interface Howl {
  /** Room to a loop gain of one at 1 kHz, whatever the phase, dB; Infinity where nothing goes round. */
  readonly marginDb: number;
  /** The pair that gives most of it. */
  readonly worst: Coupling;
}

/** Common practice: six decibels below howling the sound no longer rings. */
export const SAFE_MARGIN = 6;

const gainsOf = (facts: Facts, pairs: readonly Coupling[]): number[][] => {
  const speakers = [...new Set(pairs.map(({ speaker }) => speaker))];
  return speakers.map((to) =>
    speakers.map((from) =>
      pairs
        .filter(({ speaker }) => speaker === from)
        .reduce((sum, { source, gain }) => sum + gain * backTo(facts, source, to), 0),
    ),
  );
};

/** The loop through the air; none where the rig has no loudspeaker or nothing of a microphone comes to one. */
export function howl(facts: Facts): Howl | undefined {
  const pairs = couplings(facts);
  const gain = loopGain(gainsOf(facts, pairs));
  const alone = (pair: Coupling) => pair.gain * backTo(facts, pair.source, pair.speaker);
  const [worst] = [...pairs].sort((a, b) => alone(b) - alone(a));
  return worst && gain > 1e-6 ? { marginDb: -gainToDb(gain), worst } : undefined;
}
