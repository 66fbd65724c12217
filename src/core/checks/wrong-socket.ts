import { check, type Found } from './check';
import { misplacedLeads, misplacedOutputs } from './misplaced';
import { COMPUTED } from './origins';

/** A plug in one socket of a box whose other socket would take it and listens: the headphone socket of a splitter, say. */
export const wrongSocket = check({
  code: 'wrong-socket',
  means:
    'The plug is in a socket that gives sound out, and the socket beside it takes the same plug and listens: the headphone socket of a splitter, of a camera.',
  severity: ['blocks'],
  origin: COMPUTED,
  limit: 'Computed from what touches what: something listens at the one socket and not at the other.',
  cures: ['plug'],
  find: (facts) =>
    [...misplacedOutputs(facts), ...misplacedLeads(facts)].flatMap(
      ({ step, better, source, recorder }): Found[] =>
        better
          ? [
              {
                where: { joint: step.joint, part: better.part, port: better.port },
                source,
                recorder,
                other: better.part,
                values: [],
              },
            ]
          : [],
    ),
});
