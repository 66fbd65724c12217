import type { Facts } from '../engine';
import { couplings } from '../engine/air';
import { echoes, heardAmongCallers } from '../engine/hearing';
import { check, type Found } from './check';
import { TALKER_ECHO } from './origins';

/** The loudspeaker and microphone on the way of an echo, where it goes through the air. */
function pairOn(facts: Facts, caller: string) {
  const path = heardAmongCallers(facts).find((c) => c.listener === caller && c.voice === caller)?.path ?? [];
  return couplings(facts).find(
    ({ speaker, microphone }) => path.includes(speaker) && path.includes(microphone),
  );
}

/** A far end that hears itself by the air: a loudspeaker plays it, and a microphone that it is sent stands in the room. */
export const speakersOpen = check({
  code: 'speakers-open',
  means:
    'A loudspeaker plays the far end to a microphone that the far end is sent. Headphones; or a microphone closer to the mouth, the loudspeaker behind it, farther and lower.',
  severity: ['spoils'],
  origin: TALKER_ECHO,
  limit:
    'Talker echo loudness by the delay: 33 dB at 25 ms one way, 55 dB at 300 (ITU-T G.131; figures from memory).',
  aspect: 'returns',
  cures: ['gain', 'send', 'switch', 'less'],
  find: (facts) =>
    echoes(facts).flatMap(({ caller, loss, wants, roundTrip }): Found[] => {
      const pair = loss < wants ? pairOn(facts, caller) : undefined;
      if (!pair) return [];
      return [
        {
          where: { part: pair.speaker },
          recorder: caller,
          other: pair.microphone,
          values: [
            { name: 'echo under the voice', value: loss, unit: 'dB' },
            { name: 'after', value: roundTrip.typical, unit: 'ms' },
          ],
          limit: { value: wants, unit: 'dB', is: 'at least' },
        },
      ];
    }),
});
