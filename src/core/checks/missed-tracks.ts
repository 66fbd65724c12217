import { appOf, chooseInput, isAudible, tracksOf, type Track } from '../engine/flow';
import type { Facts } from '../engine';
import type { Found } from './check';
import { failing } from './failing';

/** Sources that stand at an input of the device and that no armed track records. `waiting`: a track that has the input and is not armed. */
export function missedTracks(
  facts: Facts,
  about: (waiting: Track | undefined, tracks: readonly Track[]) => string | undefined,
): Found[] {
  return failing(facts).flatMap(({ arrival, inputs }): Found[] => {
    const host = facts.laid.get(arrival.recorder);
    if (!host || appOf(host)?.channels !== 'tracks') return [];
    const { input } = chooseInput(facts.rig, host, inputs);
    const carrying = (input?.channels ?? []).filter((c) => isAudible(c, arrival.source));
    const [first] = carrying;
    if (!first) return [];
    const tracks = tracksOf(host);
    const setting = about(
      tracks.find((t) => carrying.some((c) => c.number === t.input)),
      tracks,
    );
    if (setting === undefined) return [];
    return [
      {
        where: { part: arrival.recorder },
        source: arrival.source,
        recorder: arrival.recorder,
        setting,
        values: [{ name: 'input with the source', value: first.number, unit: '' }],
      },
    ];
  });
}
