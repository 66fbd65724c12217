'use client';
import { wavHead } from '../../core/signal/files';
import { database } from '../../store/database';
import type { Stretch, TakeAbout, TakeOrigin, TakeRecord } from '../../store/records';
import {
  changeTake,
  deleteTake,
  dropSound,
  keepLoosePart,
  partsOf,
  putTake,
  sweepParts,
} from '../../store/takes';
import { measureFile, type Listening } from '../../workers/takes';

/** Files longer than this are measured, but their sound is not kept in the browser, bytes. */
const KEPT_AT_MOST = 200_000_000;

const HEAD_BYTES = wavHead(1, 1, 0).byteLength;

/** The kept sound of a take as a WAV file; undefined where none is kept. */
export async function wavOf(take: TakeRecord): Promise<Blob | undefined> {
  const parts = await partsOf(take.id);
  if (parts.length === 0) return undefined;
  const bytes = parts.reduce((sum, part) => sum + part.byteLength, 0);
  return new Blob([wavHead(take.sampleRate, take.channels, bytes), ...parts], { type: 'audio/wav' });
}

/** Measures the kept sound of a take, as after recording, or of one that was broken off. */
export async function readKept(id: string): Promise<void> {
  const take = await database.takes.get(id);
  const file = take && (await wavOf(take));
  if (!file) return;
  const read = await measureFile(file, () => undefined).answer;
  if (!read.ok) throw new Error(`The recording ${read.says}.`);
  await changeTake(id, { measures: read.measures, bytes: file.size - HEAD_BYTES });
}

/** A take to be: how it is called, whence it comes, what it is about. */
export interface NewTake extends TakeAbout {
  readonly name: string;
  readonly origin: TakeOrigin;
  readonly stretches?: readonly Stretch[];
}

export interface Reading {
  readonly id: string;
  readonly done: Promise<string | undefined>;
  readonly cancel: () => void;
}

/**
 * Measures a file and keeps it as a take of a rig. `done`: nothing, or why it was refused; then nothing is kept. Where there is no room for the
 * sound, what was measured is kept without it.
 */
export function readFile(file: Blob, about: NewTake, tell: (share: number) => void): Reading {
  const id = crypto.randomUUID();
  const kept = { parts: 0, bytes: 0, full: false };
  const keep = async (samples: ArrayBuffer): Promise<void> => {
    if (kept.full) return;
    const n = kept.parts++;
    const size = samples.byteLength;
    await keepLoosePart(id, n, samples).then(
      () => {
        kept.bytes += size;
      },
      () => {
        kept.full = true;
      },
    );
  };
  const listening: { now?: Listening } = {};
  const work = async (): Promise<string | undefined> => {
    listening.now = measureFile(file, tell, file.size <= KEPT_AT_MOST ? keep : undefined);
    const read = await listening.now.answer;
    if (!read.ok) {
      await deleteTake(id);
      return read.says;
    }
    const { measures } = read;
    // Half a sound is none: what does not fit is not kept at all.
    if (kept.full) await dropSound(id);
    const { sampleRate, channels } = measures;
    await putTake({
      ...about,
      id,
      at: Date.now(),
      sampleRate,
      channels,
      measures,
      bytes: kept.full ? 0 : kept.bytes,
    });
    return undefined;
  };
  return {
    id,
    done: whileReading(work).catch(async (error: unknown) => {
      await deleteTake(id);
      return `could not be read (${error instanceof Error ? error.message : String(error)})`;
    }),
    cancel() {
      listening.now?.cancel();
      void deleteTake(id);
    },
  };
}

const LOCK = 'symplex-reading';

/** Holds a lock that all tabs share while it reads, so that nobody sweeps its parts away. */
const whileReading = <T>(work: () => Promise<T>): Promise<T> =>
  'locks' in navigator ? (navigator.locks.request(LOCK, { mode: 'shared' }, work) as Promise<T>) : work();

/** Forgets what closed tabs left behind, where no tab reads just now. */
export async function sweep(): Promise<void> {
  if (!('locks' in navigator)) return;
  await navigator.locks.request(LOCK, { ifAvailable: true }, async (lock) => {
    if (lock) await sweepParts();
  });
}
