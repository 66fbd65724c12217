import { howl, SAFE_MARGIN, type Howl } from '../engine/air';
import type { Facts } from '../engine';
import { check, type Found } from './check';
import { LOOP_MARGIN } from './origins';

function say(facts: Facts, found: Howl, limit: number): Found {
  const { worst, marginDb, at } = found;
  const recorder = facts.rig.purpose.recorders[0];
  return {
    where: { part: worst.speaker },
    source: worst.microphone,
    other: worst.microphone,
    ...(recorder !== undefined && { recorder }),
    values: [
      { name: 'margin', value: marginDb, unit: 'dB' },
      { name: 'apart', value: worst.placing.metres, unit: 'm' },
      { name: 'in the octave of', value: at, unit: 'Hz' },
    ],
    limit: { value: limit, unit: 'dB', is: 'at least' },
  };
}

/** A loudspeaker that a microphone hears, on a way back to it with a gain of one or more: it howls. */
export const howls = check({
  code: 'howls',
  means:
    'A microphone hears a loudspeaker that plays it: what goes round comes back louder than it went. Closer to the mouth, the loudspeaker where the microphone is deafest, farther, lower, or headphones.',
  severity: ['blocks'],
  origin: LOOP_MARGIN,
  limit:
    'Loop gain through the air under 0 dB in every octave from 125 Hz to 8 kHz, whatever its phase (Barkhausen’s criterion, worst case).',
  aspect: 'returns',
  cures: ['gain', 'send', 'switch', 'less', 'place'],
  find: (facts) => {
    const found = howl(facts);
    return found && found.marginDb <= 0 ? [say(facts, found, 0)] : [];
  },
});

/** The same within six decibels: it rings, and somebody who comes nearer makes it howl. */
export const nearHowling = check({
  code: 'near-howling',
  means: 'The same within six decibels: it rings, and howls when somebody steps nearer or turns up.',
  severity: ['spoils'],
  origin: LOOP_MARGIN,
  limit: `${SAFE_MARGIN} dB under howling (common practice).`,
  aspect: 'returns',
  cures: ['gain', 'send', 'switch', 'less', 'place'],
  find: (facts) => {
    const found = howl(facts);
    return found && found.marginDb > 0 && found.marginDb < SAFE_MARGIN
      ? [say(facts, found, SAFE_MARGIN)]
      : [];
  },
});
