import { open } from 'node:fs/promises';
import { takeReport, type TakeReport } from '../core/files/take-report';
import { readingReport, type ReadingReport } from '../core/files/reading-report';
import { explain, featuresOf } from '../core/diagnosis';
import type { Rig } from '../core/rig';
import { wavFeed } from '../core/signal/files';
import { measuring } from '../core/signal/measure';
import { sayWavProblem } from '../core/words/say-take';

/** Bytes that are read at a time. */
const CHUNK = 1 << 18;

export type SoundcheckReport = TakeReport & { readonly reading?: ReadingReport };

/** A rig that a take is held against, at one of its recorders. */
export interface Against {
  readonly rig: Rig;
  readonly recorder: string;
}

/** Measures a WAV file, piece by piece, and holds it against a rig. Throws what `refuse` makes of what is wrong with it. */
export async function soundcheck(
  path: string,
  refuse: (says: string) => Error,
  against?: Against,
): Promise<SoundcheckReport> {
  const file = await open(path).catch((error: unknown) => {
    throw refuse(`cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  });
  try {
    const { size } = await file.stat();
    let measure: ReturnType<typeof measuring> | undefined;
    const feed = wavFeed(size, (head) => {
      const frames = head.bytes / ((head.channels * head.bits) / 8);
      measure = measuring(head, frames / head.sampleRate);
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
    const measures = measure.finish();
    const report = takeReport(measures, end.head.mended);
    if (!against) return report;
    const { rig, recorder } = against;
    return { ...report, reading: readingReport(rig, recorder, explain(rig, recorder, featuresOf(measures))) };
  } finally {
    await file.close();
  }
}
