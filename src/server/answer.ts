import { LARGEST_RIG_BYTES } from '../core/files';
import { readTarget } from '../core/files/levels-report';
import { oneLine } from '../core/schema';
import { doJob, refusal, type Job } from './jobs';
import { readBody } from './read-body';
import { packed } from './refusals';
import { respond } from './respond';
import { Threads } from './threads';

/** Time for the search for fixes unless another is asked for, and at the most, ms. */
export const FIXES_MS = 2000;
export const MOST_FIXES_MS = 10_000;

/** scripts/serve.mjs makes the thread's script and says where it is; a development server has none and answers by itself. */
const script = process.env.SYMPLEX_THREAD;
const threads = script === undefined ? undefined : new Threads(script);

/** `?fixes=MS`; undefined where it is no whole number of milliseconds in range. */
function fixesTime(request: Request): number | undefined {
  const value = new URL(request.url).searchParams.get('fixes');
  if (value === null) return FIXES_MS;
  return /^\d+$/.test(value) && Number(value) <= MOST_FIXES_MS ? Number(value) : undefined;
}

/** Answers a POST request whose body is a document, as the command line would. */
export async function answer(kind: Job['kind'], request: Request): Promise<Response> {
  const unread = packed(request);
  if (unread) return unread;
  const milliseconds = fixesTime(request);
  if (milliseconds === undefined) {
    const value = new URL(request.url).searchParams.get('fixes') ?? '';
    return respond(refusal(`fixes takes milliseconds from 0 to ${MOST_FIXES_MS}, not ${oneLine(value)}.`));
  }
  const asked = new URL(request.url).searchParams.get('target');
  const target = asked === null ? undefined : readTarget(asked);
  if (target && !target.ok) return respond(refusal(`target ${target.says}.`));
  const body = await readBody(request);
  if (!body.ok) {
    const megabytes = (body.bytes / 1e6).toFixed(1);
    return respond(
      refusal(`The body has ${megabytes} MB or more; at most ${LARGEST_RIG_BYTES / 1e6} MB are read.`, 413),
    );
  }
  const job: Job = { kind, text: body.text, milliseconds, ...(target && { target: target.value }) };
  return respond(threads ? await threads.do(job, request.signal) : doJob(job));
}
