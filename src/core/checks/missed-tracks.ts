import { appOf, chooseInput, isAudible, tracksOf, type Track } from '../engine/flow';
import type { Facts } from '../engine';
import type { Found } from './check';
import { failing } from './failing';

interface Missed {
  readonly source: string;
  readonly recorder: string;
  /** The first input of the device at which the source stands. */
  readonly input: number;
  /** A track that has such an input and is not armed. */
  readonly waiting?: Track;
  /** Tracks that record nothing of what is meant, those that are armed first. */
  readonly spare: readonly Track[];
  /** What is chosen where no track is left: how many there are, or else what the first of them records. */
  readonly otherwise?: string;
}

/** Sources that stand at an input of the device and that no armed track records. */
function missedAt(facts: Facts): Missed[] {
  return failing(facts).flatMap(({ arrival: { source, recorder }, inputs }): Missed[] => {
    const host = facts.laid.get(recorder);
    if (!host || appOf(host)?.channels !== 'tracks') return [];
    const channels = chooseInput(facts.rig, host, inputs).input?.channels ?? [];
    const carrying = channels.filter((c) => isAudible(c, source));
    const [first] = carrying;
    if (!first) return [];
    const tracks = tracksOf(host);
    const takesSome = ({ input }: Track) =>
      facts.rig.purpose.sources.some((meant) =>
        channels.some((c) => c.number === input && isAudible(c, meant)),
      );
    const spare = tracks.filter((track) => !takesSome(track)).sort((a, b) => +b.armed - +a.armed);
    const otherwise = appOf(host)?.decides.trackCount?.choice ?? tracks[0]?.chosenBy;
    const waiting = tracks.find((t) => carrying.some((c) => c.number === t.input));
    return [
      {
        source,
        recorder,
        input: first.number,
        spare,
        ...(waiting && { waiting }),
        ...(otherwise !== undefined && { otherwise }),
      },
    ];
  });
}

/** What of these a choice in the app is to blame for, each with that choice; of several that no track has each gets a track of its own. */
export function missedTracks(
  facts: Facts,
  about: (waiting: Track | undefined, spare: string | undefined) => string | undefined,
): Found[] {
  const given = new Map<string, number>();
  return missedAt(facts).flatMap(({ source, recorder, input, waiting, spare, otherwise }): Found[] => {
    const nth = given.get(recorder) ?? 0;
    if (!waiting) given.set(recorder, nth + 1);
    const setting = about(waiting, spare[nth]?.chosenBy ?? otherwise);
    if (setting === undefined) return [];
    return [
      {
        where: { part: recorder },
        source,
        recorder,
        setting,
        values: [{ name: 'input with the source', value: input, unit: '' }],
      },
    ];
  });
}
