'use client';
import { wavHead } from '../../core/signal/files';
import type { Stretch, TakeRecord } from '../../store/records';
import { wavOf } from './keep-take';
import type { Range } from './listen-range';

/** A WAV of 16 bits has so many bytes ahead of its samples as we write it. */
const HEAD = wavHead(48_000, 1, 0).byteLength;

/** The stretches of a take that a range of it still holds, counted from its new beginning. */
export const trimmedStretches = (stretches: readonly Stretch[], [from, to]: Range): Stretch[] =>
  stretches
    .map((one) => ({ ...one, from: Math.max(one.from, from) - from, to: Math.min(one.to, to) - from }))
    .filter((one) => one.to > one.from);

/** A stretch of the kept sound of a take as a WAV file; undefined where no sound is kept. */
export async function trimmedWav(take: TakeRecord, [from, to]: Range): Promise<Blob | undefined> {
  const wav = await wavOf(take);
  if (!wav) return undefined;
  const frame = 2 * take.channels;
  const at = (seconds: number) => HEAD + Math.round(seconds * take.sampleRate) * frame;
  const samples = wav.slice(at(from), Math.min(wav.size, at(to)));
  return new Blob([wavHead(take.sampleRate, take.channels, samples.size), samples], { type: 'audio/wav' });
}
