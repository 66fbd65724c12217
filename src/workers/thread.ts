import { wrap, type Remote } from 'comlink';

/** A thread that broke down or did not answer; it is started anew with the next call. */
export class ThreadDied extends Error {
  override readonly name = 'ThreadDied';
}

/** The same calls, answered later. */
export type Answering<P> = {
  readonly [K in keyof P]: P[K] extends (...args: infer A) => infer R
    ? (...args: A) => Promise<Awaited<R>>
    : never;
};

interface Running {
  readonly worker: Worker;
  readonly remote: Remote<unknown>;
  readonly fail: (reason: ThreadDied) => void;
  readonly failed: Promise<never>;
}

function run(start: () => Worker): Running {
  const worker = start();
  let fail: Running['fail'] = () => undefined;
  const failed = new Promise<never>((_, reject) => {
    fail = reject;
  });
  // Whoever waits is told; where nobody does there is nothing to tell.
  failed.catch(() => undefined);
  worker.addEventListener('error', (event) =>
    fail(new ThreadDied(event.message || 'it could not be started')),
  );
  worker.addEventListener('messageerror', () => fail(new ThreadDied('an answer could not be read')));
  return { worker, remote: wrap(worker), fail, failed };
}

/**
 * A typed thread: started with the first call, kept, and started again after it broke down. A call rejects with `ThreadDied`
 * when the thread errs, or when it has not answered within `patience` ms, and then nothing goes on behind.
 */
export class Thread<P extends object> {
  private running: Running | undefined;
  readonly calls: Answering<P>;

  constructor(
    private readonly start: () => Worker,
    private readonly patience: number,
  ) {
    this.calls = new Proxy({} as Answering<P>, {
      get:
        (_, name) =>
        (...args: unknown[]) =>
          this.call(String(name), args),
    });
  }

  /** Ends the thread at once: what was asked of it is never answered. */
  stop(): void {
    this.running?.worker.terminate();
    this.running = undefined;
  }

  private async call(name: string, args: readonly unknown[]): Promise<unknown> {
    const own = (this.running ??= run(this.start));
    const timer = setTimeout(
      () => own.fail(new ThreadDied(`no answer within ${this.patience / 1000} s`)),
      this.patience,
    );
    const remote = own.remote as unknown as Readonly<
      Record<string, (...a: readonly unknown[]) => Promise<unknown>>
    >;
    try {
      return await Promise.race([remote[name]?.(...args), own.failed]);
    } catch (error) {
      if (error instanceof ThreadDied) {
        own.worker.terminate();
        if (this.running === own) this.running = undefined;
      }
      throw error;
    } finally {
      clearTimeout(timer);
    }
  }
}
