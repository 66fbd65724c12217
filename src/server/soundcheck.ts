import { takeReport } from '../core/files/take-report';
import { wavFeed } from '../core/signal/files';
import { measuring } from '../core/signal/measure';
import { sayWavProblem } from '../core/words/say-take';
import { refusal, type Answer } from './jobs';

/** The largest take that is read, bytes: over half an hour in 16-bit stereo. */
export const LARGEST_TAKE = 400_000_000;

const tooLarge = (): Answer => refusal(`The take has more than ${LARGEST_TAKE / 1e6} MB.`, 413);

/** Measures a WAV file as its bytes come; at no time is more than a piece of it held. A body that is too large is not read to its end. */
export async function soundcheckBody(
  body: ReadableStream<Uint8Array> | null,
  declared: number,
): Promise<Answer> {
  if (declared > LARGEST_TAKE) return tooLarge();
  let measure: ReturnType<typeof measuring> | undefined;
  const feed = wavFeed(declared > 0 ? declared : undefined, (head) => {
    const frames = head.bytes / ((head.channels * head.bits) / 8);
    measure = measuring(head, Number.isFinite(frames) ? frames / head.sampleRate : undefined);
    return measure.push;
  });
  let seen = 0;
  const reader = body?.getReader();
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    seen += part.value.byteLength;
    const problem = feed.push(part.value);
    if (problem || seen > LARGEST_TAKE) {
      await reader?.cancel();
      return problem ? refusal(`The take ${sayWavProblem(problem)}.`) : tooLarge();
    }
  }
  const end = feed.finish();
  if (!end.ok) return refusal(`The take ${sayWavProblem(end.problem)}.`);
  if (!measure) return refusal('The take holds no samples.');
  return {
    status: 200,
    type: 'application/json',
    body: JSON.stringify(takeReport(measure.finish(), end.head.mended)),
  };
}
