import type { Facts } from '../engine';
import { exchangedAt } from '../engine/roles';
import { jointsOf } from '../rig';
import { check } from './check';
import { isReversed, underfed } from './feeds-of';
import type { Place } from './finding';
import { HEADSET_PINOUT } from './origins';

function place(facts: Facts, placed: string): Place {
  const joint = jointsOf(facts.rig, placed)[0]?.id;
  if (joint === undefined) return { part: placed };
  const crossed = exchangedAt(facts, joint);
  return { joint, plug: crossed.map((c) => c.plug), jack: crossed.map((c) => c.jack) };
}

/** A capsule across which the bias stands the wrong way round. */
export const contactsSwapped = check({
  code: 'contacts-swapped',
  means:
    'The bias stands across the capsule the wrong way round: plug and jack put microphone and ground on each other’s contacts.',
  severity: ['blocks'],
  origin: HEADSET_PINOUT,
  limit:
    'Bias across the capsule at least its minimum (typical), with the right sign; pinouts of ITU-T P.381 and OMTP (from memory).',
  cures: ['plug', 'link'],
  find: (facts) =>
    underfed(facts)
      .filter(isReversed)
      .map(({ element, least, supply, source, recorder }) => ({
        where: place(facts, element.placed),
        source,
        recorder,
        values: [{ name: 'supply at the microphone', value: supply, unit: 'V' }],
        limit: { value: least, unit: 'V', is: 'at least' },
      })),
});
