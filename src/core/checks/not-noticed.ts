import { check, type Found } from './check';
import { failing } from './failing';
import { NOTICED } from './origins';

/** A mobile interface of which the phone takes no notice while a socket of it is empty. */
export const notNoticed = check({
  code: 'not-noticed',
  severity: ['blocks'],
  origin: NOTICED,
  limit: 'A property of the part (common practice).',
  cures: ['headphones', 'plug', 'link'],
  find: (facts) =>
    failing(facts).flatMap(({ arrival, inputs }) =>
      inputs.flatMap(({ unnoticed }): Found[] =>
        unnoticed === undefined
          ? []
          : [
              {
                where: unnoticed,
                source: arrival.source,
                recorder: arrival.recorder,
                other: unnoticed.part,
                values: [],
              },
            ],
      ),
    ),
});
