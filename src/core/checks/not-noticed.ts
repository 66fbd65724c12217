import type { Facts } from '../engine/facts';
import { failing } from './failing';
import type { Finding } from './finding';
import { NOTICED } from './origins';

/** A mobile interface of which the phone takes no notice while a socket of it is empty. */
export function notNoticed(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival, inputs }) =>
    inputs.flatMap((input): Finding[] =>
      input.unnoticed === undefined
        ? []
        : [
            {
              code: 'not-noticed',
              severity: 'blocks',
              where: { part: input.unnoticed },
              source: arrival.source,
              recorder: arrival.recorder,
              other: input.unnoticed,
              values: [],
              origin: NOTICED,
            },
          ],
    ),
  );
}
