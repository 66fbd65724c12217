import { contactOf } from '../engine/circuit';
import { placedOf } from '../engine/outward';
import { check, type Found } from './check';
import { misplacedOutputs } from './misplaced';
import { COMPUTED } from './origins';

/** A source's output that feeds nothing but another output, and no better socket is there. */
export const outputIntoOutput = check({
  code: 'output-into-output',
  means: 'The source runs into a socket that gives sound out; nothing listens there.',
  severity: ['blocks'],
  origin: COMPUTED,
  limit: 'Computed from what touches what.',
  cures: ['plug', 'link'],
  find: (facts) =>
    misplacedOutputs(facts).flatMap(({ step, better, source, recorder }): Found[] =>
      better
        ? []
        : [
            {
              where: { joint: step.joint, jack: [contactOf(step.to)], plug: [contactOf(step.from)] },
              source,
              recorder,
              other: placedOf(step.to),
              values: [],
            },
          ],
    ),
});
