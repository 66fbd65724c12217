import { appOf, chooseInput, takeOf, wayOf, type LeftAlone } from '../engine/flow';
import type { Facts } from '../engine';
import type { Evidence } from '../apps';
import type { Found } from './check';
import { failing } from './failing';

/** An input that a host offers and its app leaves alone for one reason, with what its policy rests on. */
export function leftAlone(
  facts: Facts,
  reason: LeftAlone,
  about: (evidence: Evidence) => Partial<Found>,
): Found[] {
  return failing(facts).flatMap(({ arrival, inputs }): Found[] => {
    const host = facts.laid.get(arrival.recorder);
    const app = host && appOf(host);
    if (!host || !app) return [];
    const { offered, left, by } = chooseInput(facts.rig, host, inputs);
    if (!offered || left !== reason) return [];
    return [
      {
        where: { part: arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        other: offered.placed,
        ...(by !== undefined && { setting: by }),
        values: [],
        ...about(takeOf(facts.rig, host, app, wayOf(offered)).evidence),
      },
    ];
  });
}
