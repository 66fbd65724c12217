import type { Facts } from '../engine';
import { earthFacts, UNDER_SPEECH, worstOf, type EarHum } from '../engine/earth';
import { programmeAt } from '../engine/hearing';
import { jointsOf } from '../rig';
import { check, type Found } from './check';
import { recordingHums, wayOfHum } from './hums';
import { HUM } from './origins';

function say(facts: Facts, ear: EarHum, heard: number): Found {
  const { whines, level, one, other } = wayOfHum(facts, ear, 'typical');
  const beside = [one, other].find((id) => id !== undefined && id !== ear.listener);
  // What is listened to has one lead: that is where the way can be broken.
  const joint = jointsOf(facts.rig, ear.listener)[0]?.id;
  const isRoom = facts.laid.get(ear.listener)?.part.speaker !== undefined;
  return {
    // Who has come to hear it hears the hum; whoever wears headphones is warned.
    severity: isRoom ? 'spoils' : 'note',
    where: { part: ear.listener, ...(joint !== undefined && { joint }) },
    ...(beside !== undefined && { other: beside }),
    values: [
      { name: whines ? 'whine' : 'hum', value: level.typical, unit: 'dBV' },
      { name: 'at the least', value: level.least, unit: 'dBV' },
      { name: 'at the most', value: level.most, unit: 'dBV' },
      { name: 'what is played', value: heard, unit: 'dBV' },
    ],
    limit: { value: heard - UNDER_SPEECH, unit: 'dBV', is: 'at most' },
  };
}

/** A loudspeaker or headphones that hum while the recording is clean: the powered loudspeaker on an unbalanced lead. */
export const humsInEars = check({
  code: 'hums-in-ears',
  means:
    'The recording is clean, but a loudspeaker or headphones hum: they are on the mains, or joined to what is, and the lead to them closes the loop. A balanced lead or an isolator in that lead breaks the way; a safety earth is never lifted.',
  severity: ['spoils', 'note'],
  origin: HUM,
  limit: `${UNDER_SPEECH} dB under what is played there (our own limit, as beside a voice).`,
  aspect: 'power',
  asks: 'hum',
  cures: ['feeder', 'switch', 'parting'],
  find: (facts) =>
    recordingHums(facts)
      ? []
      : earthFacts(facts).ears.flatMap((ear) => {
          const heard = programmeAt(facts, ear.listener);
          return heard > -Infinity && worstOf(ear, 'typical') > heard - UNDER_SPEECH
            ? [say(facts, ear, heard)]
            : [];
        }),
});
