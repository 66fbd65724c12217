import { jointsOf } from '../rig';
import { check } from './check';
import { isReversed, underfed } from './feeds-of';
import { PHANTOM, TYPICAL_CAPSULE } from './origins';

/** A microphone whose plug-in power or phantom is missing. */
export const capsuleUnpowered = check({
  code: 'capsule-unpowered',
  means: 'The microphone gets less plug-in power or phantom than it needs.',
  severity: ['blocks'],
  origin: PHANTOM,
  limit: 'Supply at the microphone at least its minimum, which is a figure of the part (typical).',
  asks: 'start',
  cures: ['feed', 'plug', 'link'],
  find: (facts) =>
    underfed(facts)
      .filter((fed) => !isReversed(fed))
      .map(({ element, least, supply, source, recorder }) => {
        const joint = jointsOf(facts.rig, element.placed)[0]?.id;
        return {
          where: joint === undefined ? { part: element.placed } : { joint },
          source,
          recorder,
          values: [{ name: 'supply at the microphone', value: supply, unit: 'V' }],
          limit: { value: least, unit: 'V', is: 'at least' },
          origin: element.kind === 'electret' ? TYPICAL_CAPSULE : PHANTOM,
        };
      }),
});
