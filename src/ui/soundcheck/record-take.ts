import { weave16 } from '../../core/signal/files';
import type { GuideStep } from '../../core/words/guide';
import type { Stretch, TakeAbout, TakeOrigin } from '../../store/records';
import { beginTake, changeTake, deleteTake, keepPart } from '../../store/takes';
import { sayStoreTrouble } from '../../store/trouble';
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

/** Records into the store, each half second as it comes, so that nothing is lost with the tab; then reads it. Rejects where it cannot begin. */
export async function recordTake(
  { listen, origin, steps, about }: AskedTake,
  ears: TakeEars,
): Promise<{ readonly recording: Recording; readonly stop: () => Promise<void> }> {
  const id = crypto.randomUUID();
  const now: { recording?: Recording; samples: number; n: number; over: boolean } = {
    samples: 0,
    n: 0,
    over: false,
  };
  const kept: Promise<void>[] = [];
  const seconds = () => now.samples / (now.recording?.sampleRate ?? 48_000);
  const stop = async (): Promise<void> => {
    if (now.over || !now.recording) return;
    now.over = true;
    await now.recording.stop();
    await Promise.all(kept);
    if (now.samples === 0) {
      await deleteTake(id);
      ears.trouble('Nothing was recorded.');
      ears.ended(undefined);
      return;
    }
    await changeTake(id, { stretches: stretchesOf(steps, seconds()) });
    ears.ended(id);
    await readKept(id).catch((error: unknown) =>
      ears.trouble(error instanceof Error ? error.message : String(error)),
    );
  };
  const breakOff = (says: string) => {
    ears.trouble(`${says} What was recorded up to then is kept.`);
    void stop();
  };
  const piece = (sides: readonly Float32Array[]) => {
    now.samples += sides[0]?.length ?? 0;
    const part = keepPart(id, now.n++, weave16(sides).buffer);
    kept.push(part.catch((error: unknown) => breakOff(sayStoreTrouble(error))));
    ears.progress(seconds());
    if (stepAt(steps, seconds()).over) void stop();
  };
  const recording = await listen({
    peaks: ears.peaks,
    piece,
    lost: () => breakOff('The input was pulled.'),
  });
  now.recording = recording;
  const { sampleRate, channels } = recording;
  await beginTake({
    ...about,
    id,
    at: Date.now(),
    origin,
    name: nameOfNow(),
    sampleRate,
    channels,
  });
  return { recording, stop };
}
