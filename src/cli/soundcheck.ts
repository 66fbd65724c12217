import { once } from 'node:events';
import { open, stat } from 'node:fs/promises';
import { Worker } from 'node:worker_threads';
import { takeReport, type TakeReport } from '../core/files/take-report';
import { readingReport, type ReadingReport } from '../core/files/reading-report';
import { explain, featuresOf } from '../core/diagnosis';
import type { Rig } from '../core/rig';
import { wavFeed, type WavHead } from '../core/signal/files';
import {
  halfMeasuring,
  measuring,
  together,
  type Feed,
  type FrameMeasures,
  type Measures,
} from '../core/signal/measure';
import { sayWavProblem } from '../core/words/say-take';

/** Bytes that are read at a time. */
const CHUNK = 1 << 18;
/** Files larger than this are read by two threads, each for its half of the measures, bytes: a thread costs a third of a second, about a minute of sound. */
const LARGE = 10_000_000;

export type SoundcheckReport = TakeReport & { readonly reading?: ReadingReport };

/** A rig that a take is held against, at one of its recorders. */
export interface Against {
  readonly rig: Rig;
  readonly recorder: string;
}

const secondsOf = (head: WavHead): number => head.bytes / ((head.channels * head.bits) / 8) / head.sampleRate;

type Refuse = (says: string) => Error;

interface Read<T> {
  readonly head: WavHead;
  readonly found: T;
}

/** Reads a WAV file piece by piece into what `begin` gives for its head. */
async function readInto<T>(
  path: string,
  refuse: Refuse,
  begin: (head: WavHead) => Feed<T>,
): Promise<Read<T>> {
  const file = await open(path).catch((error: unknown) => {
    throw refuse(`cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  });
  try {
    const { size } = await file.stat();
    let measure: Feed<T> | undefined;
    const feed = wavFeed(size, (head) => {
      measure = begin(head);
      return measure.push;
    });
    const bytes = new Uint8Array(CHUNK);
    for (let at = 0; at < size;) {
      const { bytesRead } = await file.read(bytes, 0, CHUNK, at);
      if (bytesRead === 0) break;
      at += bytesRead;
      const problem = feed.push(bytes.subarray(0, bytesRead));
      if (problem) throw refuse(sayWavProblem(problem));
    }
    const end = feed.finish();
    if (!end.ok) throw refuse(sayWavProblem(end.problem));
    if (!measure) throw refuse('holds no samples');
    return { head: end.head, found: measure.finish() };
  } finally {
    await file.close();
  }
}

/** What the other thread reads of a take, in frames. */
export const framesOf = async (path: string, refuse: Refuse): Promise<FrameMeasures> =>
  (await readInto(path, refuse, (head) => halfMeasuring('frames', head, secondsOf(head)))).found;

/** A thread that reads a take for its frames: this program, begun once more (see main.ts). */
function otherThread(path: string) {
  const worker = new Worker(new URL(import.meta.url), { workerData: { take: path } });
  const answer = once(worker, 'message').then(([frames]) => frames as FrameMeasures);
  // Where this thread refuses the take, nobody waits for the other.
  answer.catch(() => undefined);
  return { answer, end: () => worker.terminate() };
}

async function inTwoThreads(path: string, refuse: Refuse): Promise<Read<Measures>> {
  const other = otherThread(path);
  try {
    const { head, found } = await readInto(path, refuse, (shape) => halfMeasuring('hops', shape));
    return { head, found: together(head, found, await other.answer) };
  } finally {
    await other.end();
  }
}

const inOneThread = (path: string, refuse: Refuse): Promise<Read<Measures>> =>
  readInto(path, refuse, (head) => measuring(head, secondsOf(head)));

/** All measures of a take, and its head. */
async function measuresOf(path: string, refuse: Refuse): Promise<Read<Measures>> {
  // A file that is not there is told of by whoever opens it.
  const size = await stat(path).then(
    (found) => found.size,
    () => 0,
  );
  return size > LARGE ? inTwoThreads(path, refuse) : inOneThread(path, refuse);
}

/** Measures a WAV file, piece by piece, and holds it against a rig. Throws what `refuse` makes of what is wrong with it. */
export async function soundcheck(path: string, refuse: Refuse, against?: Against): Promise<SoundcheckReport> {
  const { head, found: measures } = await measuresOf(path, refuse);
  const report = takeReport(measures, head.mended);
  if (!against) return report;
  const { rig, recorder } = against;
  return { ...report, reading: readingReport(rig, recorder, explain(rig, recorder, featuresOf(measures))) };
}
