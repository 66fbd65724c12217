import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { refusal, type Answer, type Job } from './jobs';

/** A job that takes longer than this is ended, ms. */
const LONGEST_JOB = 30_000;
/** So many jobs may wait for a thread. */
const MOST_WAITING = 32;
const MOST_THREADS = Math.max(1, availableParallelism() - 1);

interface Waiting {
  readonly job: Job;
  readonly signal: AbortSignal;
  readonly answer: (answer: Answer) => void;
}

const GONE = refusal('The client went away.', 499);
const BUSY = refusal(`More than ${MOST_WAITING} questions are waiting: ask again later.`, 503);
const LATE = refusal(`The answer took longer than ${LONGEST_JOB / 1000} s.`, 503);
const BROKEN = refusal('The engine broke down on this question.', 500);

/**
 * Threads that do jobs, each one at a time, kept warm between them. A thread whose client goes away, or that takes too long, is
 * ended at once: nothing goes on behind.
 */
export class Threads {
  private readonly idle: Worker[] = [];
  private readonly waiting: Waiting[] = [];
  private running = 0;

  constructor(private readonly script: string) {}

  /** How many jobs are being done. */
  get busy(): number {
    return this.running;
  }

  do(job: Job, signal: AbortSignal): Promise<Answer> {
    if (signal.aborted) return Promise.resolve(GONE);
    if (this.waiting.length >= MOST_WAITING) return Promise.resolve(BUSY);
    return new Promise((answer) => {
      this.waiting.push({ job, signal, answer });
      this.next();
    });
  }

  private next(): void {
    while (this.running < MOST_THREADS) {
      const task = this.waiting.shift();
      if (!task) return;
      if (task.signal.aborted) task.answer(GONE);
      else this.run(task);
    }
  }

  private run({ job, signal, answer }: Waiting): void {
    const worker = this.idle.pop() ?? new Worker(this.script);
    worker.ref();
    this.running += 1;
    const end = (given: Answer, keep: boolean) => {
      clearTimeout(timer);
      signal.removeEventListener('abort', leave);
      worker.off('message', done);
      worker.off('error', broke);
      this.running -= 1;
      if (keep) {
        // An idle thread does not keep the server alive.
        worker.unref();
        this.idle.push(worker);
      } else void worker.terminate();
      answer(given);
      this.next();
    };
    const done = (given: Answer) => end(given, true);
    const broke = () => end(BROKEN, false);
    const leave = () => end(GONE, false);
    const timer = setTimeout(() => end(LATE, false), LONGEST_JOB);
    signal.addEventListener('abort', leave);
    worker.on('message', done);
    worker.on('error', broke);
    worker.postMessage(job);
  }
}
