import { check, type Found } from './check';
import { failing } from './failing';
import { NOTICED } from './origins';

/** A mobile interface of which the phone takes no notice while a socket of it is empty. */
export const notNoticed = check({
  code: 'not-noticed',
  means:
    'Some mobile interfaces are noticed only while something sits in their headphone socket: their load is what the phone senses. Plug headphones in and leave them in.',
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
