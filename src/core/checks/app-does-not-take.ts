import { appOf, appTakes, selectInput } from '../flow';
import type { Facts } from '../pipeline/facts';
import { failing } from './failing';
import type { Finding } from './finding';

/** An input that the host offers and the app leaves alone. */
export function appDoesNotTake(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival, inputs }): Finding[] => {
    const host = facts.laid.get(arrival.recorder);
    const app = host && appOf(host);
    const input = host && selectInput(host, inputs);
    if (!host || !app || !input || appTakes(host, input)) return [];
    return [
      {
        code: 'app-does-not-take',
        severity: 'blocks',
        where: { part: arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        other: input.placed,
        values: [],
        origin: {
          kind: 'common practice',
          text: `policy of this app class, ${app.evidence.kind}, ${app.evidence.date}`,
        },
      },
    ];
  });
}
