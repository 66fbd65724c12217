import { weave16 } from '../../core/signal/files';
import type { GuideStep } from '../../core/words/guide';
import type { Stretch, TakeAbout, TakeOrigin } from '../../store/records';
import { beginTake, changeTake, deleteTake, keepPart } from '../../store/takes';
import { readKept } from './keep-take';
import type { Recording, RecorderEars } from './recorder';

export interface AskedTake {
  /** Begins to hear the input: a device, or a stand-in for one. */
  readonly listen: (ears: RecorderEars) => Promise<Recording>;
  readonly origin: TakeOrigin;
  /** The prompts of a guided take; none of a free one. */
  readonly steps: readonly GuideStep[];
  readonly about: TakeAbout;
}

export interface TakeEars {
  readonly peaks: (peaks: readonly number[]) => void;
  readonly progress: (seconds: number) => void;
  readonly trouble: (says: string) => void;
  /** It has ended; with the take, where something was recorded. */
  readonly ended: (take: string | undefined) => void;
}

/** Where in the prompts a time lies. */
export function stepAt(
  steps: readonly GuideStep[],
  seconds: number,
): { step?: number; left: number; over: boolean } {
  let end = 0;
  for (const [step, one] of steps.entries()) {
    end += one.seconds;
    if (seconds < end) return { step, left: end - seconds, over: false };
  }
  return { left: 0, over: steps.length > 0 };
}

function stretchesOf(steps: readonly GuideStep[], seconds: number): Stretch[] {
  let from = 0;
  return steps.flatMap(({ asked, is, part, seconds: length }) => {
    const stretch = {
      asked,
      is,
      ...(part !== undefined && { part }),
      from,
      to: Math.min(seconds, from + length),
    };
    from += length;
    return stretch.to > stretch.from ? [stretch] : [];
  });
}

const nameOfNow = (): string =>
  `Take of ${new Date().toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`;

/** A disk that is really full shows as one of several errors, none of which says so. */
const NO_MORE = 'The browser’s storage took no more: it is full, or cannot be written.';

/** Gaps shorter than this come and go with the buffers of the browser; seconds, ours. */
const LOST_SAID_S = 0.1;

interface Running {
  recording?: Recording;
  samples: number;
  parts: number;
  /** No more is taken: it was stopped, or there is no room. */
  over: boolean;
  /** Why it was broken off. */
  broken: string;
}

/** Writes down the parts of a take in their order. After one that finds no room none is written: a sound with a hole in it would be read as a fault. */
function partKeeper(id: string, begun: Promise<void>, failed: () => void) {
  let last = begun;
  let full = false;
  return {
    keep(n: number, samples: ArrayBuffer): void {
      last = last
        .then(() => (full ? undefined : keepPart(id, n, samples)))
        .catch(() => {
          full = true;
          failed();
        });
    },
    /** When all that came has been written, or left out. */
    written: () => last,
  };
}

/** Records into the store, each half second as it comes, so that nothing is lost with the tab; then reads it. Rejects where it cannot begin. */
export async function recordTake(
  { listen, origin, steps, about }: AskedTake,
  ears: TakeEars,
): Promise<{ readonly recording: Recording; readonly stop: () => Promise<void> }> {
  const id = crypto.randomUUID();
  const now: Running = { samples: 0, parts: 0, over: false, broken: '' };
  let begin: () => void = () => undefined;
  const begun = new Promise<void>((resolve) => {
    begin = resolve;
  });
  const seconds = () => now.samples / (now.recording?.sampleRate ?? 48_000);
  const stop = async (): Promise<void> => {
    if (now.over || !now.recording) return;
    now.over = true;
    const lostSeconds = await now.recording.stop();
    await keeper.written();
    if (now.samples === 0) {
      await deleteTake(id);
      ears.trouble('Nothing was recorded.');
      ears.ended(undefined);
      return;
    }
    ears.ended(id);
    // On a full disk neither finds room; the sound is there all the same.
    const read = async () => {
      await changeTake(id, {
        ...(steps.length > 0 && { stretches: stretchesOf(steps, seconds()) }),
        ...(lostSeconds >= LOST_SAID_S && { lostSeconds }),
      });
      await readKept(id);
    };
    await read().catch((error: unknown) => {
      const why = error instanceof Error ? error.message : String(error);
      ears.trouble(now.broken ? `${now.broken} Free some space, then press Read it.` : why);
    });
  };
  const breakOff = (says: string) => {
    now.broken = `${says} What was recorded up to then is kept.`;
    ears.trouble(now.broken);
    void stop();
  };
  const keeper = partKeeper(id, begun, () => breakOff(NO_MORE));
  const piece = (sides: readonly Float32Array[]) => {
    now.samples += sides[0]?.length ?? 0;
    keeper.keep(now.parts++, weave16(sides).buffer);
    ears.progress(seconds());
    if (stepAt(steps, seconds()).over) void stop();
  };
  const lost = () => breakOff('The input was pulled.');
  const recording = await listen({ peaks: ears.peaks, piece, lost });
  now.recording = recording;
  const { sampleRate, channels } = recording;
  try {
    await beginTake({ ...about, id, at: Date.now(), origin, name: nameOfNow(), sampleRate, channels });
  } catch (error) {
    await recording.stop();
    throw error;
  }
  begin();
  return { recording, stop };
}
